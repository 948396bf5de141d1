import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';

/** A measuring instrument of the firm. `calibrationDue` is the last day its calibration holds, YYYY-MM-DD. */
export interface Instrument {
  readonly id: string;
  readonly name: string;
  readonly serial: string;
  readonly calibrationDue: string | null;
  readonly retired: boolean;
}

/** The firm's instruments, those in use first. */
export async function instrumentsOf(db: PoolClient): Promise<Instrument[]> {
  const found = await db.query<Instrument>(
    `SELECT id, name, serial, to_char(calibration_due, 'YYYY-MM-DD') AS "calibrationDue", retired
       FROM instruments ORDER BY retired, name, serial`,
  );
  return found.rows;
}

/** Adds an instrument, or changes the one of that id. */
export async function putInstrument(db: PoolClient, asker: Actor, instrument: Instrument): Promise<void> {
  const { id, name, serial, calibrationDue, retired } = instrument;
  await db.query(
    `INSERT INTO instruments (id, firm_id, name, serial, calibration_due, retired) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (firm_id, id) DO UPDATE SET name = $3, serial = $4, calibration_due = $5, retired = $6`,
    [id, asker.firmId, name, serial, calibrationDue, retired],
  );
}
