import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import type { PoolClient } from 'pg';
import { heavy } from '../heavy/threads';
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
  const fails = await heavy('failsUnder', { surveys: found.rows.map(({ survey }) => survey), rules: plain(rules) });
  if (fails === null) return rules;
  throw new Problem(
    422,
    'Not stored',
    `Under these settings ${jobNumber(found.rows[fails]?.number ?? 0)} can no longer be worked out. Nothing was changed; tell whoever runs Keen Gauge.`,
  );
}

/** As a thread takes it. */
const plain = (rules: FirmRules): FirmRules => JSON.parse(JSON.stringify(rules)) as FirmRules;
