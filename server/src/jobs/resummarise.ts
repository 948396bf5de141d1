import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { setImmediate } from 'node:timers/promises';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { inFirm, type Asker } from '../db/firm-scope';
import { firmRules } from '../firm/rules';
import { summarise } from './summary';

const AT_ONCE = 10;

/**
 * What the list of jobs says of each survey, reckoned anew after the firm's rules changed. A few at a time, so that nobody waits
 * for it; one saved meanwhile has been reckoned by its save. Packs signed before keep the rules they were signed under.
 */
export async function resummarise(pool: Pool, asker: Asker, log: Logger): Promise<void> {
  try {
    for (let after = '00000000-0000-0000-0000-000000000000'; ;) {
      const last = await inFirm(pool, asker, async (db) => {
        const rules = await firmRules(db);
        const found = await db.query<{ id: string; survey: Survey; place: string; revisionId: string }>(
          'SELECT id, survey, place, revision_id AS "revisionId" FROM jobs WHERE id > $1 ORDER BY id LIMIT $2',
          [after, AT_ONCE],
        );
        for (const { id, survey, place, revisionId } of found.rows) {
          const { route, nextQuestion } = summarise(survey, rulesFor(survey.place.meterPointNumber, rules), place);
          await db.query('UPDATE jobs SET route = $3, next_question = $4 WHERE id = $1 AND revision_id = $2', [
            id,
            revisionId,
            route,
            nextQuestion,
          ]);
        }
        return found.rows.at(-1)?.id;
      });
      if (last === undefined) return;
      after = last;
      await setImmediate();
    }
  } catch (error) {
    log.error({ error: error instanceof Error ? error.message : error }, 'jobs not reckoned anew under changed rules');
  }
}
