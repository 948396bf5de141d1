import { meterPoint } from '@keen-gauge/core/route/meter-point';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { daysOf } from '@keen-gauge/core/calendar/job-events';
import { IsOptional, IsString, IsUUID, MaxLength } from 'class-validator';
import { Router } from 'express';
import type { Pool, PoolClient } from 'pg';
import { audit } from '../audit/queries';
import { inFirm } from '../db/firm-scope';
import { eventsOf } from '../events/queries';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem } from '../http/problem';
import { packNumber } from '../jobs/numbers';
import { jobById } from '../jobs/queries';
import { newestOfEach, packById, packMade, packsOf, packSurvey } from '../packs/queries';
import { sinceSigned } from '../packs/since';
import { askFor, dropTask } from '../tasks/queue';
import { addressFor, type OperatorAddresses } from './addresses';
import { addMessage, conversationsOf, insertSubmission, settle, submissionById } from './queries';

class HandInBody {
  /** Made by the sender, so that the request sent twice asks once. */
  @IsUUID(undefined, { message: 'a UUID' }) id: string;
  @IsUUID(undefined, { message: 'the id of a pack' }) packId: string;
  /** Why a pack is sent although the survey has changed since it was signed. */
  @IsOptional()
  @IsString({ message: 'text' })
  @MaxLength(1000, { message: 'at most 1000 characters' })
  reason?: string;
}

/** A job’s packs handed in over the operator’s link: asking for it, stopping it, and what was said. */
export function submissionRoutes(pool: Pool, addresses: OperatorAddresses): Router {
  const router = Router({ mergeParams: true });

  router.get('/', async (request, response) => {
    const jobId = idParameter(request, 'jobId', 'job');
    const found = await inFirm(pool, askerOf(request), async (db) => {
      if (!(await jobById(db, jobId))) throw notFound('job');
      return standingOf(db, jobId, addresses);
    });
    response.json(found);
  });

  router.post('/', async (request, response) => {
    const asker = askerOf(request);
    const jobId = idParameter(request, 'jobId', 'job');
    const { id, packId, reason } = bodyAs(HandInBody, request.body);
    const standing = await inFirm(pool, asker, async (db) => {
      const { area, supplyId } = await mayBeHandedIn(db, jobId, packId, addresses);
      const stale = await olderThanSurvey(db, jobId, reason, supplyId);
      if (await insertSubmission(db, asker, { id, jobId, packId, area })) {
        const pack = await packById(db, packId);
        await audit(db, asker, jobId, 'hand-in-asked', {
          pack: packNumber(pack?.number ?? 0),
          ...(stale === undefined ? {} : { changedSince: stale }),
        });
      } else {
        const known = (await conversationsOf(db, jobId)).find((each) => each.packId === packId);
        if (known?.state === 'stopped') {
          // Tried again under its old key: should it have arrived before it was stopped, the desk has it once all the same.
          await settle(db, known.id, 'waiting');
          await askFor(db, asker, 'hand-in', known.id);
          await addMessage(db, asker.firmId, known.id, { direction: 'out', says: 'Tried again' });
          await audit(db, asker, jobId, 'hand-in-asked', { pack: packNumber(known.packNumber) });
        } else if (known?.id !== id)
          throw new Problem(409, 'Handed in already', 'This pack is in the outbox or with the operator already.');
      }
      return standingOf(db, jobId, addresses);
    });
    response.status(201).json(standing);
  });

  router.post('/:submissionId/stop', async (request, response) => {
    const asker = askerOf(request);
    const [jobId, id] = [idParameter(request, 'jobId', 'job'), idParameter(request, 'submissionId', 'submission')];
    const standing = await inFirm(pool, asker, async (db) => {
      const found = await submissionById(db, id, true);
      if (found?.jobId !== jobId) throw notFound('submission');
      if (found.state !== 'waiting')
        throw new Problem(409, 'Too late to stop', 'It has been handed in, or came back. Tell the operator yourself.');
      if (found.underWay)
        throw new Problem(409, 'Being handed in', 'It is being handed in this moment. Look again in a minute.');
      const says =
        found.tries === 0
          ? 'Stopped before it was sent'
          : `Stopped after ${found.tries} ${found.tries === 1 ? 'try' : 'tries'}; whether the operator has it is not known: ask.`;
      await addMessage(db, asker.firmId, id, { direction: 'out', says });
      await settle(db, id, 'stopped');
      await dropTask(db, 'hand-in', id);
      await audit(db, asker, jobId, 'hand-in-stopped', { pack: packNumber(found.packNumber) });
      return standingOf(db, jobId, addresses);
    });
    response.json(standing);
  });

  return router;
}

/** What was handed in of a job, and which of its packs have a link to their operator: the newest of the whole, and of each supply. */
async function standingOf(
  db: PoolClient,
  jobId: string,
  addresses: OperatorAddresses,
): Promise<{ readonly linkedPackIds: string[]; readonly conversations: Awaited<ReturnType<typeof conversationsOf>> }> {
  const linkedPackIds: string[] = [];
  for (const { id } of newestOfEach(await packsOf(db, jobId)))
    if (addressFor(addresses, await areaOf(db, id)) !== undefined) linkedPackIds.push(id);
  return { linkedPackIds, conversations: await conversationsOf(db, jobId) };
}

/** The area whose operator a pack goes to, and the supply it is of; or why it cannot go. */
async function mayBeHandedIn(
  db: PoolClient,
  jobId: string,
  packId: string,
  addresses: OperatorAddresses,
): Promise<{ readonly area: string; readonly supplyId: string | null }> {
  const packs = await packsOf(db, jobId);
  const pack = packs.find((each) => each.id === packId);
  if (!pack) throw notFound('pack');
  if (!newestOfEach(packs).includes(pack))
    throw new Problem(409, 'Not the newest', 'A later pack has been signed. Hand that one in.');
  if (pack.route === 'hold')
    throw new Problem(409, 'Not an application', 'Phone the operator’s emergency line. This report is for the file.');
  if (pack.route === 'fit-then-notify' && daysOf(await eventsOf(db, jobId)).commissionedOn === undefined)
    throw new Problem(
      409,
      'Not commissioned yet',
      'A notice is sent after the fitting. Enter the day it was commissioned first.',
    );
  // One that is still being made will have its archive; one signed before there were any never will.
  const files = await packMade(db, packId);
  if (files?.made && !files.hasArchive)
    throw new Problem(409, 'No archive', 'This pack was signed before archives were made. Sign off again.');
  const area = await areaOf(db, packId);
  if (addressFor(addresses, area) === undefined)
    throw new Problem(409, 'No link', 'There is no link to the operator of this area. Send it by hand and enter that.');
  return { area, supplyId: pack.supplyId };
}

/** A pack older than the survey’s facts is not sent without a reason; the reason given, where one was needed. */
export async function olderThanSurvey(
  db: PoolClient,
  jobId: string,
  reason: string | undefined,
  ofSupply: string | null = null,
): Promise<string | undefined> {
  const since = await sinceSigned(db, jobId, ofSupply);
  if (!since || since.lines.length === 0) return undefined;
  if (reason?.trim()) return reason.trim();
  throw new Problem(
    409,
    'Older than the survey',
    `The survey has changed since ${packNumber(since.number)} was signed. Sign again, or say why it is sent as it is.`,
    { changed: since.lines },
  );
}

/** The area of a pack’s meter point, as it was signed; empty where it had none that checks. */
async function areaOf(db: PoolClient, packId: string): Promise<string> {
  const survey = JSON.parse((await packSurvey(db, packId))?.survey ?? '{}') as Partial<Survey>;
  const number = meterPoint(survey.place?.meterPointNumber);
  return number.state === 'good' ? number.distributor : '';
}
