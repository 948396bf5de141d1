import { RequiredOneOf, RequiredText } from '@keen-gauge/core/survey/fields';
import { IsEmail, IsOptional, IsUUID, MaxLength } from 'class-validator';
import { randomUUID } from 'node:crypto';
import { Router, type Request } from 'express';
import type { Pool, PoolClient } from 'pg';
import { audit } from '../audit/queries';
import { inFirm, type Asker } from '../db/firm-scope';
import { termsOf } from '../firm/queries';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { once } from '../http/once';
import { notFound, Problem } from '../http/problem';
import { jobNumber, packNumber } from '../jobs/numbers';
import { jobById, type JobRow } from '../jobs/queries';
import { packsOf } from '../packs/queries';
import { personById } from '../people/queries';
import type { Mailer } from './mailer';
import { mailsOfJob, queueMail, sendDraft } from './queries';

const KINDS = ['to-operator', 'to-customer'] as const;

class MailBody {
  @RequiredOneOf(KINDS) kind: (typeof KINDS)[number];
  @IsEmail({}, { message: 'an e-mail address' }) @MaxLength(200, { message: 'at most 200 characters' }) to: string;
  @RequiredText(20_000, 'what is written') body: string;
  /** A pack whose document goes with it. */
  @IsOptional() @IsUUID('all', { message: 'a pack' }) packId?: string;
}

/** What is mailed about a job: letters to the operator and messages to the customer, sent or kept as drafts as the firm has chosen. */
export function jobMailRoutes(pool: Pool, mailer: Mailer | undefined): Router {
  const router = Router({ mergeParams: true });

  const ofJob = async (
    request: Request,
    work: (db: PoolClient, asker: Asker, job: JobRow) => Promise<object>,
  ): Promise<object> => {
    const asker = askerOf(request);
    const jobId = idParameter(request, 'jobId', 'job');
    return inFirm(pool, asker, async (db) => {
      const job = await jobById(db, jobId);
      if (!job) throw notFound('job');
      return work(db, asker, job);
    });
  };
  /** Whether a letter leaves by mail here, or is kept to be sent by hand. */
  const isSent = async (db: PoolClient): Promise<boolean> =>
    mailer !== undefined && (await termsOf(db)).mail === 'send';
  const standing = async (db: PoolClient, jobId: string): Promise<object> => ({
    mails: await mailsOfJob(db, jobId),
    sends: await isSent(db),
  });

  router.get('/', async (request, response) => {
    response.json(await ofJob(request, (db, _asker, { id }) => standing(db, id)));
  });

  router.post('/', async (request, response) => {
    const answer = await ofJob(request, async (db, asker, job) => {
      const { kind, to, body, packId } = bodyAs(MailBody, request.body);
      const pack = packId === undefined ? undefined : (await packsOf(db, job.id)).find(({ id }) => id === packId);
      if (packId !== undefined && !pack) throw notFound('pack');
      return once(db, asker, request, async () => {
        const me = await personById(db, asker.personId);
        // Numbers only: whoever sees a list of mails learns nothing of the customer, the place or the supply.
        const about = pack ? packNumber(pack.number) : `job ${jobNumber(job.number)}`;
        const subject = `${me?.firm ?? ''}: ${about}`.slice(0, 200);
        await queueMail(db, asker.firmId, {
          id: randomUUID(),
          kind,
          to,
          subject,
          body,
          jobId: job.id,
          ...(packId === undefined ? {} : { packId }),
          madeBy: asker.personId,
          draft: !(await isSent(db)),
        });
        await audit(db, asker, job.id, 'mail-asked', { to, subject });
        return standing(db, job.id);
      });
    });
    response.status(201).json(answer);
  });

  /** A draft is sent after all. */
  router.post('/:mailId/send', async (request, response) => {
    const answer = await ofJob(request, async (db, asker, { id: jobId }) => {
      if (!mailer) throw new Problem(409, 'No mail here', 'This server sends no mail. Send it by your own.');
      const mailId = idParameter(request, 'mailId', 'mail');
      const draft = (await mailsOfJob(db, jobId)).find(({ id }) => id === mailId);
      if (!draft) throw notFound('mail');
      if (await sendDraft(db, asker.firmId, mailId)) {
        const { to, subject } = draft;
        await audit(db, asker, jobId, 'mail-asked', { to, subject });
      }
      return standing(db, jobId);
    });
    response.json(answer);
  });

  return router;
}
