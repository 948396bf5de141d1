import { assess } from '@keen-gauge/core/assess';
import { owedOf } from '@keen-gauge/core/after/owed';
import { rulesFor, type FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { options } from '@keen-gauge/core/options/options';
import { plainSurvey, readSurvey } from '@keen-gauge/core/survey/read';
import type { PoolClient } from 'pg';
import { Problem } from '../http/problem';
import { jobNumber } from '../jobs/numbers';
import { firmRules } from './rules';

/** So many of the firm's surveys, those changed last. */
const TRIED = 5;

/**
 * The firm's rules as they have just been set, once they have been tried on surveys of its own: what stops the reckoning of a survey would stop every save and page
 * of the firm, and is not stored. In the transaction that sets them, which a refusal takes back.
 */
export async function triedOnSurveys(db: PoolClient): Promise<FirmRules> {
  const rules = await firmRules(db);
  const found = await db.query<{ number: number; survey: unknown }>(
    'SELECT number, survey FROM jobs ORDER BY changed_at DESC LIMIT $1',
    [TRIED],
  );
  for (const { number, survey } of found.rows) tryOn(jobNumber(number), survey, rules);
  return rules;
}

function tryOn(job: string, document: unknown, rules: FirmRules): void {
  const reading = readSurvey(document);
  if ('faults' in reading) return;
  const { survey } = reading;
  try {
    const pack = rulesFor(survey.place.meterPointNumber, rules);
    const assessment = assess(survey, pack);
    owedOf({ survey, assessment, pack, events: [], checklists: rules.checklists, packs: 0 });
    options(plainSurvey(survey), pack);
  } catch (error) {
    throw new Problem(
      422,
      'Not stored',
      `Under these settings ${job} can no longer be reckoned. Nothing was changed; say so to whoever runs Keen Gauge.`,
      { cause: error instanceof Error ? error.name : 'unknown' },
    );
  }
}
