import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askFor } from './queue';

/** Asks every firm to be looked through for what somebody is to be reminded of, and for what it has kept long enough. */
export async function askHourly(pool: Pool): Promise<void> {
  const firms = await pool.query<{ firmId: string }>('SELECT firms_to_remind AS "firmId" FROM firms_to_remind()');
  for (const firm of firms.rows)
    await inFirm(pool, firm, async (db) => {
      await askFor(db, firm, 'remind', firm.firmId);
      await askFor(db, firm, 'retain', firm.firmId);
    });
}
