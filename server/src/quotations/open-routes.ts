import { ukDay } from '@keen-gauge/core/calendar/days';
import { RequiredText, Text } from '@keen-gauge/core/survey/fields';
import { IsUUID } from 'class-validator';
import { Router, type Request } from 'express';
import type { Pool, PoolClient } from 'pg';
import { inFirm } from '../db/firm-scope';
import { notFound, Problem } from '../http/problem';
import { bodyAs } from '../http/body';
import type { Mailer } from '../mail/mailer';
import { tellOfQuotation } from '../mail/reminders';
import { accessLimits } from '../people/access-limits';
import { placeOf } from '../people/known-places';
import { databasePictures, fullKey } from '../photos/picture-store';
import { termsOf } from '../firm/queries';
import { quotationDocument } from './document';
import {
  addAnswer,
  answersOfQuotations,
  quotationById,
  quotationOfToken,
  quotationsOf,
  setState,
  type Quotation,
} from './queries';

class TokenBody {
  @RequiredText(100, 'what stands in the link') token: string;
}
class PictureBody extends TokenBody {
  @RequiredText(64, 'a picture') id: string;
}
class AnswerBody extends TokenBody {
  @IsUUID('all', { message: 'an id' }) id: string;
  @RequiredText(100, 'your name') name: string;
}
class AcceptBody extends AnswerBody {
  @RequiredText(60, 'a choice') choice: string;
  /** Of the text that was read: another text is not accepted by it. */
  @RequiredText(64, 'what was read') fingerprint: string;
}
class DeclineBody extends AnswerBody {
  @Text(2000) words?: string;
}
class QuestionBody extends AnswerBody {
  @RequiredText(2000, 'a question') words: string;
}

/** One answer for a link that never was, was withdrawn or is too old. */
const SHUT = new Problem(
  404,
  'This link is closed',
  'The quotation was withdrawn, or the link is not complete. Ask the firm that sent it.',
);

/** What a customer sees and answers, who has a link and no account: one quotation, and nothing else of the firm or the job. */
export function openQuotationRoutes(pool: Pool, mailer: Mailer | undefined): Router {
  const limits = accessLimits(pool);
  const router = Router();

  const forHolder = async <T>(
    request: Request,
    token: string,
    work: (db: PoolClient, quotation: Quotation, firmId: string) => Promise<T>,
  ): Promise<T> => {
    await limits.take('customer', placeOf(request).address);
    const at = await quotationOfToken(pool, token);
    if (!at) throw SHUT;
    return inFirm(pool, at, async (db) => {
      const quotation = await quotationById(db, at.quotationId, true);
      if (!quotation) throw SHUT;
      return work(db, quotation, at.firmId);
    });
  };

  const shown = async (db: PoolClient, { id, jobId, quote, fingerprint, state, validUntil, number }: Quotation) => {
    const answers = (await answersOfQuotations(db, jobId)).filter(({ quotationId }) => quotationId === id);
    const newer = (await quotationsOf(db, jobId)).find(
      (each) => each.number === number && each.id !== id && state === 'replaced',
    );
    return {
      quote,
      fingerprint,
      state: state === 'made' ? 'sent' : state,
      isExpired: state === 'sent' && validUntil < ukDay(new Date()),
      hasNewer: newer !== undefined,
      answers: answers.map(({ kind, choice, name, words, cameAt }) => ({ kind, choice, name, words, cameAt })),
    };
  };

  router.post('/open', async (request, response) => {
    const { token } = bodyAs(TokenBody, request.body);
    response.json(await forHolder(request, token, (db, quotation) => shown(db, quotation)));
  });

  router.post('/quotation.pdf', async (request, response) => {
    const { token } = bodyAs(TokenBody, request.body);
    const { id, firmId, number } = await forHolder(request, token, (_db, quotation, firm) =>
      Promise.resolve({ id: quotation.id, firmId: firm, number: quotation.quote.number }),
    );
    await limits.take('picture', id);
    const pdf = await quotationDocument(pool, firmId, id);
    if (!pdf) throw SHUT;
    response.type('application/pdf').set('Content-Disposition', `inline; filename="${number}.pdf"`).send(pdf);
  });

  router.post('/picture', async (request, response) => {
    const { token, id } = bodyAs(PictureBody, request.body);
    const bytes = await forHolder(request, token, async (db, { quote }, firmId) => {
      if (!quote.pictures.some((each) => each.id === id)) throw notFound('picture');
      return databasePictures(db, firmId).get(fullKey(id));
    });
    if (!bytes) throw notFound('picture');
    response.type('image/jpeg').send(bytes);
  });

  for (const [path, kind, Body] of [
    ['accept', 'accepted', AcceptBody],
    ['decline', 'declined', DeclineBody],
    ['question', 'question', QuestionBody],
  ] as const)
    router.post(`/${path}`, async (request, response) => {
      const body = bodyAs<AnswerBody & { choice?: string; fingerprint?: string; words?: string }>(Body, request.body);
      const answer = await forHolder(request, body.token, async (db, quotation, firmId) => {
        const again = (await answersOfQuotations(db, quotation.jobId)).find(({ id }) => id === body.id);
        // Sent twice, since the first answer was lost: it stands, and counts once.
        if (again?.quotationId === quotation.id) return shown(db, quotation);
        if (kind !== 'question') mustBeOpen(quotation, body.choice, body.fingerprint);
        const added = await addAnswer(db, firmId, {
          id: body.id,
          quotationId: quotation.id,
          kind,
          choice: body.choice ?? null,
          name: body.name.trim(),
          words: body.words ?? null,
          fingerprint: quotation.fingerprint,
        });
        if (!added) throw new Problem(409, 'Not stored', 'Send it again.');
        if (kind !== 'question') await setState(db, quotation.id, kind);
        const { mail } = await termsOf(db);
        await tellOfQuotation(db, firmId, quotation, kind, body.id, mailer === undefined || mail !== 'send');
        return shown(db, kind === 'question' ? quotation : { ...quotation, state: kind });
      });
      response.status(201).json(answer);
    });

  return router;
}

/** Whether a quotation may still be answered, and with this. */
function mustBeOpen(quotation: Quotation, choice: string | undefined, fingerprint: string | undefined): void {
  const { state, validUntil, quote } = quotation;
  if (state === 'accepted' || state === 'declined')
    throw new Problem(
      409,
      'It was answered already',
      'This quotation has been answered. Ask the firm if something is wrong.',
    );
  if (state === 'replaced')
    throw new Problem(409, 'There is a newer quotation', 'The firm has sent another in its place. Answer that one.');
  if (choice === undefined) return;
  if (validUntil < ukDay(new Date()))
    throw new Problem(409, 'It is no longer valid', 'Its last day is past. Ask the firm for a new one.');
  if (!quote.choices.some(({ id }) => id === choice)) throw notFound('choice');
  if (fingerprint !== quotation.fingerprint)
    throw new Problem(
      409,
      'Not the same text',
      'The text you read is not the one that is kept. Load the page again and read it.',
    );
}
