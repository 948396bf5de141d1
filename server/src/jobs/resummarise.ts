import type { Survey } from '@keen-gauge/core/survey/survey';
import type { Pool } from 'pg';
import { keepDates } from '../calendar/keep-dates';
import { eventsOf } from '../events/queries';
import { inFirm } from '../db/firm-scope';
import { firmRules } from '../firm/rules';
import { heavy } from '../heavy/threads';

/**
 * What the list of jobs says of each survey of a firm, and its dates, reckoned anew after its rules changed, one after the other and in a thread, so that nobody waits for it; one saved
 * meanwhile has been reckoned by its save. Packs signed before keep the rules they were signed under.
 */
export async function resummarise(pool: Pool, firmId: string): Promise<void> {
  const scope = { firmId };
  for (let after = '00000000-0000-0000-0000-000000000000'; ;) {
    const next = await inFirm(pool, scope, async (db) => {
      const found = await db.query<{ id: string; survey: Survey; place: string; revisionId: string }>(
        'SELECT id, survey, place, revision_id AS "revisionId" FROM jobs WHERE id > $1 ORDER BY id LIMIT 1',
        [after],
      );
      const [job] = found.rows;
      return job && { job, rules: await firmRules(db) };
    });
    if (!next) return;
    const { id, survey, place, revisionId } = next.job;
    const { rules } = next;
    const { route, nextQuestion } = await heavy('summaryUnder', { survey, rules, place });
    await inFirm(pool, scope, async (db) => {
      await db.query('UPDATE jobs SET route = $3, next_question = $4 WHERE id = $1 AND revision_id = $2', [
        id,
        revisionId,
        route,
        nextQuestion,
      ]);
      await keepDates(db, id, await eventsOf(db, id), rules);
    });
    after = id;
  }
}
