import { apply, type Change, type Conflict, type Value } from '@keen-gauge/core/record/changes';
import { readEdited } from '@keen-gauge/core/survey/opening/read-edited';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { PoolClient } from 'pg';
import { decisionsIn } from '../audit/decisions';
import { audit } from '../audit/queries';
import type { Actor } from '../db/firm-scope';
import { keepDates } from '../calendar/keep-dates';
import { eventsOf } from '../events/queries';
import { invalid, notFound, Problem } from '../http/problem';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import { firmRules } from '../firm/rules';
import { summarise } from '../jobs/summary';
import { personById } from '../people/queries';
import { newlyAnsweredFor, notTheirs } from './answered-for';
import { appendRevision, hasRevision, headOf } from './queries';

export interface Save {
  readonly id: string;
  readonly parentId: string;
  readonly changes: readonly Change[];
}

/** The head after a save. The document comes along only when it holds something the sender has not seen. */
export interface Saved {
  readonly revisionId: string;
  readonly seq: number;
  readonly survey?: Survey;
}

/**
 * Appends one revision to a survey. Changes made on an older revision are merged: they go in where the head still
 * says what they had seen. If any does not, nothing is stored and the conflicts come back, for the person to decide.
 */
export async function saveRevision(db: PoolClient, asker: Actor, jobId: string, save: Save): Promise<Saved> {
  const head = await headOf(db, jobId, true);
  if (!head) throw notFound('job');
  // Sent again after its answer was lost: a revision on the newest parent cannot be there yet, any other may be.
  if (save.parentId !== head.revisionId && (await hasRevision(db, jobId, save)))
    return { revisionId: head.revisionId, seq: head.seq, survey: head.survey };

  const merged = apply(head.survey as unknown as Value, save.changes);
  if (merged.conflicts.length > 0) throw conflict(merged.conflicts, head.survey, head);
  const read = readEdited(merged.document, head.survey);
  if ('faults' in read) throw invalid(read.faults);
  const { survey } = read;
  const answered = newlyAnsweredFor(head.survey, survey);
  const who = answered.length === 0 ? undefined : await personById(db, asker.personId);
  const faults = who ? notTheirs(answered, who) : [];
  if (faults.length > 0) throw invalid(faults);
  const seq = head.seq + 1;
  const rules = await firmRules(db);
  const summary = summarise(survey, rulesFor(survey.place.meterPointNumber, rules), head.place);
  await appendRevision(db, asker, {
    id: save.id,
    jobId,
    seq,
    parentId: head.revisionId,
    changes: save.changes,
    survey,
    summary,
  });
  const { nation, meterPointNumber } = head.survey.place;
  // Holidays and periods are the nation’s and the area’s.
  if (nation !== survey.place.nation || meterPointNumber !== survey.place.meterPointNumber)
    await keepDates(db, jobId, await eventsOf(db, jobId), rules);
  for (const { what, details } of decisionsIn(head.survey, survey)) await audit(db, asker, jobId, what, details);
  return save.parentId === head.revisionId ? { revisionId: save.id, seq } : { revisionId: save.id, seq, survey };
}

function conflict(conflicts: readonly Conflict[], survey: Survey, head: { revisionId: string; seq: number }): Problem {
  return new Problem(
    409,
    'Changed by somebody else',
    'The same field was changed elsewhere. Nothing of this save was stored; choose which to keep.',
    { conflicts, survey, revisionId: head.revisionId, seq: head.seq },
  );
}
