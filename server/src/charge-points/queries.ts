import type { Payload } from '@keen-gauge/core/link/frames';
import type { LinkSample } from '@keen-gauge/core/link/messages';
import type { Pool, PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';

/** A charge point linked to a job, as people see it. */
export interface ChargePoint {
  readonly id: string;
  readonly proposalId: string;
  readonly name: string;
  readonly connected: boolean;
  /** What it said of itself last: charging, faulted and so on. */
  readonly status: { readonly status: string; readonly errorCode: string; readonly info: string } | null;
}

/** The one look-up that crosses firms; see the migration. */
export async function chargePointByName(
  pool: Pool,
  name: string,
): Promise<{ id: string; firmId: string; keyHash: Buffer } | undefined> {
  const found = await pool.query<{ id: string; firmId: string; keyHash: Buffer }>(
    'SELECT id, firm_id AS "firmId", key_hash AS "keyHash" FROM charge_point_by_name($1)',
    [name],
  );
  return found.rows[0];
}

export async function chargePointsOf(db: PoolClient, jobId: string): Promise<ChargePoint[]> {
  const found = await db.query<ChargePoint>(
    `SELECT id, proposal_id AS "proposalId", name, connection IS NOT NULL AS connected, status
       FROM charge_points WHERE job_id = $1 AND ended_at IS NULL ORDER BY made_at`,
    [jobId],
  );
  return found.rows;
}

/** Links a charge point to a proposal of a job; the one linked before is let go. */
export async function insertChargePoint(
  db: PoolClient,
  asker: Actor,
  point: { id: string; jobId: string; proposalId: string; name: string; keyHash: Buffer },
): Promise<void> {
  const { id, jobId, proposalId, name, keyHash } = point;
  await db.query(
    'UPDATE charge_points SET ended_at = now() WHERE job_id = $1 AND proposal_id = $2 AND ended_at IS NULL',
    [jobId, proposalId],
  );
  await db.query(
    `INSERT INTO charge_points (id, firm_id, job_id, proposal_id, name, key_hash, made_by)
     VALUES ($1, $2, $3, $4, $5, $6, $7)`,
    [id, asker.firmId, jobId, proposalId, name, keyHash, asker.personId],
  );
}

export async function endChargePoint(db: PoolClient, jobId: string, id: string): Promise<boolean> {
  const ended = await db.query(
    'UPDATE charge_points SET ended_at = now(), connection = NULL WHERE id = $1 AND job_id = $2 AND ended_at IS NULL',
    [id, jobId],
  );
  return ended.rowCount === 1;
}

/** A connection takes the charge point over; whichever had it before finds that out at its next turn. */
export async function connect(db: PoolClient, id: string, connection: string): Promise<void> {
  await db.query('UPDATE charge_points SET connection = $2 WHERE id = $1', [id, connection]);
}

export async function disconnect(db: PoolClient, id: string, connection: string): Promise<void> {
  await db.query('UPDATE charge_points SET connection = NULL WHERE id = $1 AND connection = $2', [id, connection]);
}

export async function putStatus(db: PoolClient, id: string, status: ChargePoint['status']): Promise<void> {
  await db.query('UPDATE charge_points SET status = $2 WHERE id = $1', [id, JSON.stringify(status)]);
}

/** How long samples are kept: enough to see a reading come to rest. */
const KEPT = "interval '5 minutes'";

export async function putSamples(
  db: PoolClient,
  firmId: string,
  id: string,
  samples: readonly LinkSample[],
): Promise<void> {
  for (const sample of samples)
    await db.query('INSERT INTO charge_point_samples (point_id, firm_id, sample) VALUES ($1, $2, $3)', [
      id,
      firmId,
      JSON.stringify(sample),
    ]);
  await db.query(`DELETE FROM charge_point_samples WHERE point_id = $1 AND arrived_at < now() - ${KEPT}`, [id]);
}

/** The last minute of samples, newest last, each with how many milliseconds ago it arrived. */
export async function samplesOf(db: PoolClient, id: string): Promise<(LinkSample & { readonly agoMs: number })[]> {
  const found = await db.query<{ sample: LinkSample; agoMs: number }>(
    `SELECT sample, (extract(epoch FROM clock_timestamp() - arrived_at) * 1000)::float AS "agoMs"
       FROM charge_point_samples WHERE point_id = $1 AND arrived_at > now() - interval '1 minute' ORDER BY arrived_at`,
    [id],
  );
  return found.rows.map(({ sample, agoMs }) => ({ ...sample, agoMs }));
}

export interface Call {
  readonly id: string;
  readonly action: string;
  readonly payload: Payload;
}

export async function insertCall(db: PoolClient, asker: Actor, pointId: string, call: Call): Promise<void> {
  await db.query(
    'INSERT INTO charge_point_calls (id, point_id, firm_id, action, payload, asked_by) VALUES ($1, $2, $3, $4, $5, $6)',
    [call.id, pointId, asker.firmId, call.action, JSON.stringify(call.payload), asker.personId],
  );
}

/** How old a call may be and still be made: one asked for while nobody listened must not surprise anybody later. */
const FRESH = "interval '15 seconds'";

/**
 * The next call for this connection, marked as sent so that it is never sent twice; `mine` is false once another connection
 * has taken over or the charge point was let go.
 */
export async function takeCall(
  db: PoolClient,
  id: string,
  connection: string,
): Promise<{ readonly mine: boolean; readonly call?: Call | undefined }> {
  const held = await db.query('SELECT 1 FROM charge_points WHERE id = $1 AND connection = $2 AND ended_at IS NULL', [
    id,
    connection,
  ]);
  if (held.rowCount === 0) return { mine: false };
  const taken = await db.query<Call>(
    `UPDATE charge_point_calls SET sent_at = now()
      WHERE id = (SELECT id FROM charge_point_calls
                   WHERE point_id = $1 AND sent_at IS NULL AND asked_at > now() - ${FRESH}
                   ORDER BY asked_at LIMIT 1 FOR UPDATE SKIP LOCKED)
      RETURNING id, action, payload`,
    [id],
  );
  return { mine: true, call: taken.rows[0] };
}

/** What came back, or that nothing useful did. */
export type Answer = { readonly result: Payload } | { readonly error: string };

export async function putAnswer(db: PoolClient, pointId: string, callId: string, answer: Answer): Promise<void> {
  await db.query(
    `UPDATE charge_point_calls SET answered_at = now(), answer = $3
      WHERE id = $1 AND point_id = $2 AND answered_at IS NULL`,
    [callId, pointId, JSON.stringify(answer)],
  );
}

export async function answerTo(db: PoolClient, callId: string): Promise<Answer | null> {
  const found = await db.query<{ answer: Answer | null }>('SELECT answer FROM charge_point_calls WHERE id = $1', [
    callId,
  ]);
  return found.rows[0]?.answer ?? null;
}

/** Whether the job, of the firm in scope, has such new equipment recorded. */
export async function jobHasProposal(db: PoolClient, jobId: string, proposalId: string): Promise<boolean> {
  const found = await db.query(
    `SELECT 1 FROM jobs WHERE id = $1 AND survey->'proposals' @> jsonb_build_array(jsonb_build_object('id', $2::text))`,
    [jobId, proposalId],
  );
  return found.rowCount === 1;
}
