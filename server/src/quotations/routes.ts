import { ukDay } from '@keen-gauge/core/calendar/days';
import { Count, Text } from '@keen-gauge/core/survey/fields';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsOptional,
  IsString,
  IsUUID,
  MaxLength,
} from 'class-validator';
import { randomUUID } from 'node:crypto';
import { Router, type Request } from 'express';
import type { Pool, PoolClient } from 'pg';
import { audit } from '../audit/queries';
import { inFirm, type Asker } from '../db/firm-scope';
import { termsOf } from '../firm/queries';
import { firmRules } from '../firm/rules';
import { heavy } from '../heavy/threads';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem, takenId } from '../http/problem';
import { jobById } from '../jobs/queries';
import type { Mailer } from '../mail/mailer';
import { MailTo } from '../mail/mail-to';
import { queueMail } from '../mail/queries';
import { quotationWords } from '../mail/words';
import { personById } from '../people/queries';
import { schemesOf } from '../prices/queries';
import { bookToSee } from '../prices/seeing';
import { headOf } from '../surveys/queries';
import { quotationDocument } from './document';
import {
  answersOfQuotations,
  drawQuotationToken,
  insertQuotation,
  quotationById,
  quotationNumber,
  quotationsOf,
  setState,
  takeQuotationNumber,
  type Quotation,
} from './queries';

class QuoteBody {
  @IsUUID('all', { message: 'an id' }) id: string;
  /** The revision of the survey it is made of: another has been saved meanwhile, and it is looked at again. */
  @IsUUID('all', { message: 'the id of a revision' }) revisionId: string;
  @IsArray({ message: 'a list of choices' })
  @ArrayMinSize(1, { message: 'at least one choice' })
  @ArrayMaxSize(6, { message: 'at most six choices' })
  @ArrayUnique({ message: 'each choice once' })
  @IsString({ each: true, message: 'ids of choices' })
  @MaxLength(60, { each: true, message: 'ids of choices' })
  offered: string[];
  @Text(2000) about?: string;
  @IsOptional()
  @IsArray({ message: 'a list of photographs' })
  @ArrayMaxSize(12, { message: 'at most twelve photographs' })
  @IsString({ each: true, message: 'ids of photographs' })
  @MaxLength(64, { each: true, message: 'ids of photographs' })
  pictures?: string[];
  /** The number it is a revision of; left out, it is a quotation of its own. */
  @Count(1, 1_000_000_000) revises?: number;
}

/** The quotations of a job. Whoever the firm keeps prices from sees none of it. */
export function quotationRoutes(pool: Pool, mailer: Mailer | undefined): Router {
  const router = Router({ mergeParams: true });

  const ofJob = async <T>(
    request: Request,
    work: (db: PoolClient, asker: Asker, jobId: string) => Promise<T>,
  ): Promise<T> => {
    const asker = askerOf(request);
    const jobId = idParameter(request, 'jobId', 'job');
    return inFirm(pool, asker, async (db) => {
      if (!(await jobById(db, jobId))) throw notFound('job');
      await bookToSee(db, asker);
      return work(db, asker, jobId);
    });
  };
  const listed = async (db: PoolClient, jobId: string) => ({
    quotations: await quotationsOf(db, jobId),
    answers: await answersOfQuotations(db, jobId),
    mails: mailer !== undefined,
  });
  const mine = async (db: PoolClient, request: Request, jobId: string, forUpdate = false): Promise<Quotation> => {
    const found = await quotationById(db, idParameter(request, 'quotationId', 'quotation'), forUpdate);
    if (found?.jobId !== jobId) throw notFound('quotation');
    return found;
  };

  router.get('/', async (request, response) => {
    response.json(await ofJob(request, (db, _asker, jobId) => listed(db, jobId)));
  });

  router.post('/', async (request, response) => {
    const body = bodyAs(QuoteBody, request.body);
    const given = await ofJob(request, async (db, asker, jobId) => {
      const known = await quotationById(db, body.id);
      if (known && known.jobId !== jobId) throw takenId();
      const head = await headOf(db, jobId);
      if (!head) throw notFound('job');
      if (!known && head.revisionId !== body.revisionId)
        throw new Problem(
          409,
          'The survey has changed',
          'Somebody saved the survey meanwhile. Look at the price again, then send it.',
        );
      const [{ book }, rules, { schemes }, { contact }] = [
        await bookToSee(db, asker),
        await firmRules(db),
        await schemesOf(db),
        await termsOf(db),
      ];
      const me = await personById(db, asker.personId);
      return { known, head, book, rules, schemes, contact, firm: me?.firm ?? '', jobId };
    });
    if (!given.known) {
      const { head, book, rules, schemes, contact, firm } = given;
      // Reckoned in a thread, with no transaction open.
      const made = await heavy('quoteOf', {
        survey: head.survey,
        rules,
        book,
        schemes,
        offered: body.offered,
        date: ukDay(new Date()),
        firm: {
          name: firm,
          address: contact?.address ?? '',
          telephone: contact?.telephone ?? '',
          email: contact?.email ?? '',
        },
        about: body.about ?? '',
        pictures: body.pictures ?? [],
      });
      if (made.faults.length > 0)
        throw new Problem(422, 'Not complete yet', made.faults.join(' '), { open: made.faults });
      await ofJob(request, async (db, asker, jobId) => {
        // One after the other: two revisions made at one moment are two.
        await headOf(db, jobId, true);
        if (await quotationById(db, body.id)) return;
        const all = await quotationsOf(db, jobId);
        const before = body.revises === undefined ? undefined : all.find(({ number }) => number === body.revises);
        if (body.revises !== undefined && !before) throw notFound('quotation');
        const number = before?.number ?? (await takeQuotationNumber(db, asker.firmId));
        const revision = (before?.revision ?? 0) + 1;
        const quote = { ...made.quote, number: quotationNumber(number), revision };
        await insertQuotation(db, asker, {
          id: body.id,
          jobId,
          number,
          revision,
          quote,
          basis: made.basis,
          surveySeq: head.seq,
        });
        await audit(db, asker, jobId, 'quotation-made', { number: quote.number, edition: revision });
      });
    }
    response.status(201).json(await ofJob(request, (db, _asker, jobId) => listed(db, jobId)));
  });

  /** A link to it: mailed with the document, or handed over and shown this once. */
  router.post('/:quotationId/link', async (request, response) => {
    const { mailTo } = bodyAs(MailTo, request.body ?? {});
    const answer = await ofJob(request, async (db, asker, jobId) => {
      const found = await mine(db, request, jobId, true);
      if (found.state !== 'made' && found.state !== 'sent')
        throw new Problem(409, 'Not to be sent', 'It was answered, withdrawn, or a newer one has taken its place.');
      if (found.state === 'made') await setState(db, found.id, 'sent');
      await audit(db, asker, jobId, 'quotation-sent', { number: found.quote.number, edition: found.revision });
      if (mailTo === undefined)
        return { token: await drawQuotationToken(db, asker.firmId, found.id), ...(await listed(db, jobId)) };
      if (!mailer) throw new Problem(409, 'No mail here', 'This server sends no mail. Hand the link over yourself.');
      const me = await personById(db, asker.personId);
      await queueMail(db, asker.firmId, {
        id: randomUUID(),
        kind: 'to-customer',
        to: mailTo,
        ...quotationWords(me?.firm ?? '', found.quote.number, found.validUntil),
        jobId,
        quotationId: found.id,
        madeBy: asker.personId,
      });
      return listed(db, jobId);
    });
    response.status(201).json(answer);
  });

  router.post('/:quotationId/withdraw', async (request, response) => {
    const answer = await ofJob(request, async (db, asker, jobId) => {
      const found = await mine(db, request, jobId, true);
      if (found.state === 'accepted' || found.state === 'declined')
        throw new Problem(409, 'It was answered', 'What a customer has answered stays as it is.');
      if (found.state !== 'withdrawn') {
        await setState(db, found.id, 'withdrawn');
        await audit(db, asker, jobId, 'quotation-withdrawn', { number: found.quote.number, edition: found.revision });
      }
      return listed(db, jobId);
    });
    response.json(answer);
  });

  router.get('/:quotationId/quotation.pdf', async (request, response) => {
    const { firmId } = askerOf(request);
    const { id, number } = await ofJob(request, async (db, _asker, jobId) => {
      const found = await mine(db, request, jobId);
      return { id: found.id, number: found.quote.number };
    });
    const pdf = await quotationDocument(pool, firmId, id);
    if (!pdf) throw notFound('quotation');
    response.type('application/pdf').set('Content-Disposition', `inline; filename="${number}.pdf"`).send(pdf);
  });

  return router;
}
