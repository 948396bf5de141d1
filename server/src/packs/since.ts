import { assess } from '@keen-gauge/core/assess';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import type { PackChange } from '@keen-gauge/core/pack/changes';
import { changedSinceSigning } from '@keen-gauge/core/pack/since';
import { readSurvey } from '@keen-gauge/core/survey/opening/read';
import { surveyOfSupply } from '@keen-gauge/core/site/supply-survey';
import type { PoolClient } from 'pg';
import { firmRules } from '../firm/rules';
import { headOf } from '../surveys/queries';
import { packContent, packsOf } from './queries';

/** The newest pack of a job or of one supply of it, and what the survey says by now that it does not. */
export interface SinceSigned {
  readonly packId: string;
  readonly number: number;
  readonly lines: readonly PackChange[];
}

/** What has changed since the newest pack of a job was signed, or of one supply of it; null where none was. */
export async function sinceSigned(
  db: PoolClient,
  jobId: string,
  ofSupply: string | null = null,
): Promise<SinceSigned | null> {
  const newest = (await packsOf(db, jobId)).find(({ supplyId }) => supplyId === ofSupply);
  const head = newest && (await headOf(db, jobId));
  if (!head) return null;
  const about = { packId: newest.id, number: newest.number };
  // Nothing was saved since: nothing to compare.
  if (head.seq === newest.revisionSeq) return { ...about, lines: [] };
  const read = readSurvey(head.survey);
  const content = await packContent(db, newest.id);
  if ('faults' in read || !content) return { ...about, lines: [] };
  const firm = await firmRules(db);
  const whole = read.survey;
  const survey =
    ofSupply === null
      ? whole
      : surveyOfSupply(whole, ofSupply, assess(whole, rulesFor(whole.place.meterPointNumber, firm)));
  const rules = rulesFor(survey.place.meterPointNumber, firm);
  return { ...about, lines: changedSinceSigning(content.sections, survey, assess(survey, rules), rules) };
}
