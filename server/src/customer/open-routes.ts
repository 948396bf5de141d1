import { answerFault, CustomerSays, MOST_PICTURES } from '@keen-gauge/core/customer/answer';
import { RequiredText } from '@keen-gauge/core/survey/fields';
import { ArrayMaxSize, IsArray, IsUUID } from 'class-validator';
import express, { Router, type Request } from 'express';
import type { Pool, PoolClient } from 'pg';
import { inFirm } from '../db/firm-scope';
import { termsOf } from '../firm/queries';
import { roomFor } from '../firm/storage';
import { heavy } from '../heavy/threads';
import { idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem, takenId } from '../http/problem';
import type { Mailer } from '../mail/mailer';
import { tellOfAnswers } from '../mail/reminders';
import { accessLimits } from '../people/access-limits';
import { placeOf } from '../people/known-places';
import {
  answersOf,
  insertPicture,
  keepOnly,
  linkById,
  linkOfCustomer,
  picturesOf,
  putAnswer,
  roundOf,
  weightOf,
  type CustomerLink,
} from './queries';

const MOST_BYTES = 8_000_000;
/** Of one link, whatever it asks. */
const MOST_OF_A_LINK = { pictures: 80, bytes: 120_000_000 };

class TokenBody {
  @RequiredText(100, 'what stands in the link') token: string;
}

class AnswerBody extends CustomerSays {
  @RequiredText(100, 'what stands in the link') token: string;
  @IsUUID('all', { message: 'an id' }) id: string;
  @RequiredText(60, 'a step') step: string;
  @IsArray({ message: 'a list' })
  @ArrayMaxSize(MOST_PICTURES, { message: `at most ${MOST_PICTURES} pictures` })
  @IsUUID('all', { each: true, message: 'ids' })
  pictures: string[];
}

/** One answer for a link that never was, was revoked or is past its day. */
const SHUT = new Problem(
  404,
  'This link is closed',
  'It works for some days only, or a newer one has taken its place. Ask the firm that sent it.',
);

/** What a customer sees and sends, who has a link and no account: their own steps, and that something arrived. Nothing of what the firm makes of it, and nothing back of what was sent. */
export function customerRoutes(pool: Pool, mailer: Mailer | undefined): Router {
  const limits = accessLimits(pool);
  const router = Router();

  /** Does something for whoever holds an open link. */
  const forHolder = async <T>(
    request: Request,
    token: string | undefined,
    work: (db: PoolClient, link: CustomerLink, firmId: string) => Promise<T>,
  ): Promise<T> => {
    await limits.take('customer', placeOf(request).address);
    const at = token === undefined ? undefined : await linkOfCustomer(pool, token);
    if (!at) throw SHUT;
    return inFirm(pool, at, async (db) => {
      const link = await linkById(db, at.linkId);
      if (!link) throw SHUT;
      return work(db, link, at.firmId);
    });
  };

  router.post('/open', async (request, response) => {
    const { token } = bodyAs(TokenBody, request.body);
    const shown = await forHolder(request, token, async (db, link) => {
      await db.query('UPDATE customer_links SET opened_at = now() WHERE id = $1 AND opened_at IS NULL', [link.id]);
      const firm = await db.query<{ name: string }>('SELECT name FROM firms');
      const { contact, keptMonths } = await termsOf(db);
      const [answers, pictures] = [await answersOf(db, link.id), await picturesOf(db, link.id)];
      return {
        firm: firm.rows[0]?.name ?? '',
        telephone: contact?.telephone ?? '',
        email: contact?.email ?? '',
        keptMonths: keptMonths ?? null,
        expiresAt: link.expiresAt,
        isDone: link.doneAt !== null,
        steps: link.steps.map((step) => {
          const { round, again, isIn } = roundOf(answers, step.id);
          // Asked again, only those are asked.
          return {
            ...step,
            again,
            isIn,
            pictures: pictures.filter((each) => each.step === step.id && each.round === round).length,
          };
        }),
      };
    });
    response.json(shown);
  });

  router.post(
    '/pictures/:pictureId',
    express.raw({ type: ['image/jpeg', 'image/png', 'image/webp'], limit: MOST_BYTES }),
    async (request, response) => {
      const id = idParameter(request, 'pictureId', 'picture');
      const asked = request.query['step'];
      const stepId = typeof asked === 'string' ? asked : '';
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes) || bytes.length === 0)
        throw new Problem(415, 'Not a photo', 'A photo of up to 8 MB can be sent.');
      const roomTaken = async (db: PoolClient, link: CustomerLink, firmId: string): Promise<void> => {
        const { pictures, bytes: heldBytes } = await weightOf(db, link.id);
        if (pictures >= MOST_OF_A_LINK.pictures || heldBytes + bytes.length > MOST_OF_A_LINK.bytes)
          throw new Problem(413, 'Enough photos', 'No more photos can be sent with this link. What arrived is kept.');
        await roomFor(db, firmId, bytes.length);
      };
      const token = request.get('x-customer-link');
      // Asked before anything is unfolded: a stranger’s file costs nothing where it will not be kept.
      const { isKnown, linkId } = await forHolder(request, token, async (db, link, firmId) => {
        if (!link.steps.some((step) => step.id === stepId && step.parts.includes('picture'))) throw notFound('step');
        const isHere = (await picturesOf(db, link.id)).some((each) => each.id === id);
        if (!isHere) await roomTaken(db, link, firmId);
        return { isKnown: isHere, linkId: link.id };
      });
      if (!isKnown) {
        // Unfolding takes time that everybody’s pictures wait for, also where nothing comes of it.
        await limits.take('picture', linkId);
        const picture = await heavy('pictureOf', bytes);
        if ('fault' in picture) throw new Problem(422, 'Not a photo that can be read', picture.fault);
        await forHolder(request, token, async (db, link, firmId) => {
          await db.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 23))', [link.id]);
          await roomTaken(db, link, firmId);
          const { round } = roundOf(await answersOf(db, link.id), stepId);
          await insertPicture(db, firmId, link.id, { id, step: stepId, round }, picture);
        });
      }
      response.status(201).json({ arrived: true });
    },
  );

  router.post('/answer', async (request, response) => {
    const { token, id, step: stepId, pictures, ...rest } = bodyAs(AnswerBody, request.body);
    await forHolder(request, token, async (db, link, firmId) => {
      const step = link.steps.find((each) => each.id === stepId);
      if (!step) throw notFound('step');
      const { choice, words, number } = rest;
      const says: CustomerSays = JSON.parse(JSON.stringify({ choice, words, number })) as CustomerSays;
      const { round } = roundOf(await answersOf(db, link.id), step.id);
      const kept = await keepOnly(db, link.id, { step: step.id, round }, pictures);
      if (kept < pictures.length)
        throw new Problem(409, 'A photo is missing', 'One of the photos has not arrived. Send it again.');
      const fault = answerFault(step, says, kept);
      if (fault !== null) throw new Problem(422, 'Not yet complete', fault);
      const taken = await db.query('SELECT 1 FROM customer_answers WHERE id = $1 AND link_id <> $2', [id, link.id]);
      if (taken.rowCount !== 0) throw takenId();
      if (!(await putAnswer(db, firmId, link.id, { id, step: step.id, round, says })))
        throw new Problem(409, 'It is here already', 'This answer has been looked at already. Nothing more is needed.');
    });
    response.status(201).json({ arrived: true });
  });

  router.post('/done', async (request, response) => {
    const { token } = bodyAs(TokenBody, request.body);
    await forHolder(request, token, async (db, link, firmId) => {
      await db.query('UPDATE customer_links SET done_at = now() WHERE id = $1', [link.id]);
      const { mail } = await termsOf(db);
      await tellOfAnswers(db, firmId, link, mailer === undefined || mail !== 'send');
    });
    response.status(204).end();
  });

  return router;
}
