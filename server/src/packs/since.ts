import { assess } from '@keen-gauge/core/assess';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import type { PackChange } from '@keen-gauge/core/pack/changes';
import { changedSinceSigning } from '@keen-gauge/core/pack/since';
import { readSurvey } from '@keen-gauge/core/survey/opening/read';
import type { PoolClient } from 'pg';
import { firmRules } from '../firm/rules';
import { headOf } from '../surveys/queries';
import { packContent, packsOf } from './queries';

/** A job’s newest pack, and what the survey says by now that it does not. */
export interface SinceSigned {
  readonly packId: string;
  readonly number: number;
  readonly lines: readonly PackChange[];
}

/** What has changed since a job’s newest pack was signed; null where none was. */
export async function sinceSigned(db: PoolClient, jobId: string): Promise<SinceSigned | null> {
  const newest = (await packsOf(db, jobId)).find(({ supplyId }) => supplyId === null);
  const head = newest && (await headOf(db, jobId));
  if (!head) return null;
  const about = { packId: newest.id, number: newest.number };
  // Nothing was saved since: nothing to compare.
  if (head.seq === newest.revisionSeq) return { ...about, lines: [] };
  const read = readSurvey(head.survey);
  const content = await packContent(db, newest.id);
  if ('faults' in read || !content) return { ...about, lines: [] };
  const { survey } = read;
  const rules = rulesFor(survey.place.meterPointNumber, await firmRules(db));
  return { ...about, lines: changedSinceSigning(content.sections, survey, assess(survey, rules), rules) };
}
