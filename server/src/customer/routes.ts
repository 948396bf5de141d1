import { stepsOfFirm } from '@keen-gauge/core/customer/firm-steps';
import { Count, RequiredText, Text } from '@keen-gauge/core/survey/fields';
import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, IsString } from 'class-validator';
import { randomUUID } from 'node:crypto';
import { Router, type Request } from 'express';
import type { Pool, PoolClient } from 'pg';
import { audit } from '../audit/queries';
import { inFirm, type Asker } from '../db/firm-scope';
import { termsOf } from '../firm/queries';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem } from '../http/problem';
import { jobById } from '../jobs/queries';
import type { Mailer } from '../mail/mailer';
import { MailTo } from '../mail/mail-to';
import { queueMail } from '../mail/queries';
import { customerAgainWords, customerWords, type Words } from '../mail/words';
import { personById } from '../people/queries';
import {
  answersOfJob,
  decide,
  drawCustomerToken,
  insertLink,
  linkOfJob,
  picturesOfJob,
  revokeLinks,
  type CustomerLink,
} from './queries';

class LinkBody extends MailTo {
  @IsArray({ message: 'a list of steps' })
  @ArrayMinSize(1, { message: 'at least one step' })
  @ArrayMaxSize(60, { message: 'at most 60 steps' })
  @ArrayUnique({ message: 'each step once' })
  @IsString({ each: true, message: 'ids of steps' })
  steps: string[];
  @Count(1, 60) days?: number;
}

class AgainBody {
  @RequiredText(500, 'why, for the customer to read') reason: string;
}

class NoteBody {
  @Text(500) reason?: string;
}

const USUAL_DAYS = 14;

/** The customer’s survey as the firm has it: the link, what came, and what is decided about each answer. */
export function jobCustomerRoutes(pool: Pool, mailer: Mailer | undefined): Router {
  const router = Router({ mergeParams: true });

  const ofJob = async <T extends object>(
    request: Request,
    work: (db: PoolClient, asker: Asker, jobId: string) => Promise<T>,
  ): Promise<object> => {
    const asker = askerOf(request);
    const jobId = idParameter(request, 'jobId', 'job');
    return inFirm(pool, asker, async (db) => {
      if (!(await jobById(db, jobId))) throw notFound('job');
      return { ...(await work(db, asker, jobId)), ...(await standing(db, jobId)), mails: mailer !== undefined };
    });
  };

  /** The link goes by mail, or what stands in it is shown this once. */
  const given = async (
    db: PoolClient,
    { firmId, personId }: Asker,
    jobId: string,
    linkId: string,
    mailTo: string | undefined,
    words: (firm: string, by: string) => Words,
  ): Promise<{ readonly token?: string }> => {
    if (mailTo === undefined) return { token: await drawCustomerToken(db, firmId, linkId) };
    if (!mailer) throw new Problem(409, 'No mail here', 'This server sends no mail. Hand the link over yourself.');
    const me = await personById(db, personId);
    await queueMail(db, firmId, {
      id: randomUUID(),
      kind: 'to-customer',
      to: mailTo,
      ...words(me?.firm ?? '', me?.name ?? ''),
      jobId,
      customerLinkId: linkId,
      madeBy: personId,
    });
    return {};
  };

  router.get('/', async (request, response) => {
    response.json(await ofJob(request, () => Promise.resolve({})));
  });

  router.post('/', async (request, response) => {
    const answer = await ofJob(request, async (db, asker, jobId) => {
      const { steps: wanted, days = USUAL_DAYS, mailTo } = bodyAs(LinkBody, request.body);
      const steps = stepsOfFirm((await termsOf(db)).customerSteps)
        .filter(({ id }) => wanted.includes(id))
        .map(({ helps: _helps, ...step }) => step);
      if (steps.length !== wanted.length) throw notFound('step');
      const linkId = await insertLink(db, asker, jobId, steps, days);
      await audit(db, asker, jobId, 'customer-asked', { steps: steps.length, days });
      return given(db, asker, jobId, linkId, mailTo, (firm, by) => customerWords(firm, by, days));
    });
    response.status(201).json(answer);
  });

  /** Another link to the same: handed over, or mailed where something is asked again. */
  router.post('/link', async (request, response) => {
    const answer = await ofJob(request, async (db, asker, jobId) => {
      const { mailTo } = bodyAs(MailTo, request.body);
      const link = await openLinkOf(db, jobId);
      return given(db, asker, jobId, link.id, mailTo, customerAgainWords);
    });
    response.status(201).json(answer);
  });

  router.delete('/', async (request, response) => {
    const answer = await ofJob(request, async (db, asker, jobId) => {
      if ((await revokeLinks(db, jobId)) > 0) await audit(db, asker, jobId, 'customer-revoked');
      return {};
    });
    response.json(answer);
  });

  for (const [path, state, what] of [
    ['take', 'taken', 'customer-answer-taken'],
    ['again', 'again', 'customer-asked-again'],
    ['set-aside', 'set-aside', 'customer-answer-set-aside'],
  ] as const)
    router.post(`/answers/:answerId/${path}`, async (request, response) => {
      const answer = await ofJob(request, async (db, asker, jobId) => {
        const { reason } = bodyAs(state === 'again' ? AgainBody : NoteBody, request.body ?? {});
        const id = idParameter(request, 'answerId', 'answer');
        const known = (await answersOfJob(db, jobId)).find((each) => each.id === id);
        if (!known) throw notFound('answer');
        // Decided the same way before, it is decided.
        if (known.state === state) return {};
        // By a link that is closed nobody can be asked again.
        if (state === 'again' && (await openLinkOf(db, jobId)).id !== known.linkId) throw CLOSED;
        const isDecided = await decide(db, asker.personId, known.linkId, id, { state, ...(reason ? { reason } : {}) });
        if (!isDecided) throw new Problem(409, 'Decided already', 'Somebody has decided about this answer meanwhile.');
        const asked = known.asked.ask;
        await audit(db, asker, jobId, what, { asked, ...(reason ? { reason } : {}) });
        return {};
      });
      response.json(answer);
    });

  for (const [path, column] of [
    ['full.jpg', 'full_jpg'],
    ['thumb.jpg', 'thumb_jpg'],
  ] as const)
    router.get(`/pictures/:pictureId/${path}`, async (request, response) => {
      const [jobId, id] = [idParameter(request, 'jobId', 'job'), idParameter(request, 'pictureId', 'picture')];
      const bytes = await inFirm(pool, askerOf(request), async (db) => {
        const found = await db.query<{ bytes: Buffer }>(
          `SELECT c.${column} AS bytes FROM customer_pictures c JOIN customer_links l ON l.id = c.link_id WHERE c.id = $1 AND l.job_id = $2`,
          [id, jobId],
        );
        return found.rows[0]?.bytes;
      });
      if (!bytes) throw notFound('picture');
      response.set('Cache-Control', 'private, no-store').type('image/jpeg').send(bytes);
    });

  return router;
}

const CLOSED = new Problem(409, 'The link is closed', 'Make a new one: what came before stays here.');

async function openLinkOf(db: PoolClient, jobId: string): Promise<CustomerLink> {
  const link = await linkOfJob(db, jobId);
  if (!link || link.revokedAt !== null || link.expiresAt < new Date()) throw CLOSED;
  return link;
}

/** The newest link of a job, and everything that came by it and by those before it. */
async function standing(db: PoolClient, jobId: string): Promise<object> {
  const link = await linkOfJob(db, jobId);
  const pictures = await picturesOfJob(db, jobId);
  const answers = (await answersOfJob(db, jobId)).map((answer) => ({
    ...answer,
    pictures: pictures
      .filter(({ linkId, step, round }) => linkId === answer.linkId && step === answer.step && round === answer.round)
      .map(({ id }) => id),
  }));
  if (!link) return { link: null, answers };
  const { id, steps, madeBy, madeAt, expiresAt, revokedAt, openedAt, doneAt } = link;
  return { link: { id, steps, madeBy, madeAt, expiresAt, revokedAt, openedAt, doneAt }, answers };
}
