import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { addDays, ukDay, type Day } from '@keen-gauge/core/calendar/days';
import type { Pool, PoolClient } from 'pg';
import { inFirm } from '../db/firm-scope';
import { termsOf } from '../firm/queries';
import { packsOf } from '../packs/queries';
import { askFor } from '../tasks/queue';
import type { Outcome } from '../tasks/worker';

/** How long signed packs are kept where the firm has set nothing, years. */
export const PACK_YEARS = 6;

/** An erasure as it stands. */
export interface Erasure {
  readonly askedAt: Date;
  readonly askedBy: string | null;
  readonly doneAt: Date | null;
  /** Until when signed packs are kept; null where there are none. */
  readonly packsUntil: Day | null;
  readonly packsGoneAt: Date | null;
}

export async function erasureOf(db: PoolClient, jobId: string): Promise<Erasure | undefined> {
  const found = await db.query<Erasure>(
    `SELECT e.asked_at AS "askedAt", p.name AS "askedBy", e.done_at AS "doneAt", to_char(e.packs_until, 'YYYY-MM-DD') AS "packsUntil",
            e.packs_gone_at AS "packsGoneAt"
       FROM erasures e LEFT JOIN people p ON p.id = e.asked_by WHERE e.job_id = $1`,
    [jobId],
  );
  return found.rows[0];
}

/** Asks for everything of a job’s customer to be erased; false where that has been asked already. */
export async function askForErasure(
  db: PoolClient,
  firmId: string,
  jobId: string,
  personId: string | null,
): Promise<boolean> {
  const asked = await db.query(
    'INSERT INTO erasures (job_id, firm_id, asked_by) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING',
    [jobId, firmId, personId],
  );
  await askFor(db, { firmId }, 'erase', jobId);
  return asked.rowCount === 1;
}

const SOON_S = 3;

/** Erases what was asked for. What is being made for a pack is waited for: it is made of what would be gone. */
export async function erase(pool: Pool, firmId: string, jobId: string): Promise<Outcome> {
  return inFirm(pool, { firmId }, async (db): Promise<Outcome> => {
    const packs = await packsOf(db, jobId);
    if (packs.some(({ made }) => !made)) return { afterS: SOON_S };
    const years = (await termsOf(db)).packYears ?? PACK_YEARS;
    const signed = packs.map(({ signedAt }) => signedAt.getTime());
    const until = signed.length === 0 ? null : yearsAfter(ukDay(new Date(Math.max(...signed))), years);
    await db.query('SELECT erase_job($1, $2)', [jobId, JSON.stringify(blankSurvey())]);
    await db.query('SELECT erase_quotations($1)', [jobId]);
    await db.query('UPDATE erasures SET done_at = now(), packs_until = $2 WHERE job_id = $1 AND done_at IS NULL', [
      jobId,
      until,
    ]);
    return 'done';
  });
}

function yearsAfter(day: Day, years: number): Day {
  const [year = '', ...rest] = day.split('-');
  const later = [String(Number(year) + years), ...rest].join('-');
  // The 29th of February has no day of its own in most years.
  return later.endsWith('-02-29') ? addDays(`${later.slice(0, 4)}-02-28`, 1) : later;
}

/**
 * What the firm’s periods have run out for: jobs that were never signed and not touched for so many months, signed ones after the years packs are kept, what customers sent after the months they
 * were told, and packs of what was erased before.
 */
export async function retain(pool: Pool, firmId: string): Promise<void> {
  await inFirm(pool, { firmId }, async (db) => {
    const { unsignedMonths, keptMonths, packYears } = await termsOf(db);
    if (keptMonths !== undefined)
      await db.query('SELECT forget_customers(now() - make_interval(months => $1))', [keptMonths]);
    if (unsignedMonths !== undefined)
      await eraseThose(
        db,
        firmId,
        `NOT EXISTS (SELECT 1 FROM packs k WHERE k.job_id = j.id) AND j.changed_at < now() - make_interval(months => $1)`,
        unsignedMonths,
      );
    if (packYears !== undefined)
      await eraseThose(
        db,
        firmId,
        `EXISTS (SELECT 1 FROM packs k WHERE k.job_id = j.id) AND j.changed_at < now() - make_interval(years => $1)
           AND NOT EXISTS (SELECT 1 FROM packs k WHERE k.job_id = j.id AND k.signed_at >= now() - make_interval(years => $1))`,
        packYears,
      );
    const due = await db.query<{ jobId: string }>(
      `SELECT job_id AS "jobId" FROM erasures WHERE done_at IS NOT NULL AND packs_until <= current_date AND packs_gone_at IS NULL`,
    );
    for (const { jobId } of due.rows) {
      await db.query('SELECT erase_packs($1)', [jobId]);
      await db.query('UPDATE erasures SET packs_gone_at = now() WHERE job_id = $1', [jobId]);
    }
  });
}

async function eraseThose(db: PoolClient, firmId: string, which: string, period: number): Promise<void> {
  const found = await db.query<{ id: string }>(
    `SELECT j.id FROM jobs j WHERE ${which} AND NOT EXISTS (SELECT 1 FROM erasures e WHERE e.job_id = j.id) LIMIT 200`,
    [period],
  );
  for (const { id } of found.rows) await askForErasure(db, firmId, id, null);
}
