import type { PoolClient } from 'pg';
import { Problem } from '../http/problem';

/** What a firm may keep besides its surveys, bytes: photographs, logs, letters. Set by whoever runs the server; see docs/operating.md. */
const MOST_BYTES = Number(process.env['FIRM_STORAGE_GB'] ?? 50) * 1_000_000_000;

/** Refuses what there is no room for. What is kept is counted by the database as it comes in; see the migration. */
export async function roomFor(db: PoolClient, firmId: string, bytes: number, most = MOST_BYTES): Promise<void> {
  const found = await db.query<{ bytes: string }>('SELECT bytes FROM firm_storage WHERE firm_id = $1', [firmId]);
  if (Number(found.rows[0]?.bytes ?? 0) + bytes <= most) return;
  throw new Problem(
    413,
    'No room',
    `Your firm keeps as much as it may, ${Math.round(most / 1_000_000_000)} GB. Nothing was stored; speak to whoever runs Keen Gauge.`,
  );
}
