import { isUUID } from 'class-validator';
import type { Request } from 'express';
import { createHash, createHmac, randomBytes } from 'node:crypto';
import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';
import { takenId } from './problem';

/** The header under which a client names a write of its own, so that it may send it again. */
const KEY = 'idempotency-key';

function keyOf(request: Request): string | undefined {
  const key = request.get(KEY);
  return key !== undefined && isUUID(key) ? key : undefined;
}

/**
 * Does a write once, however often it is sent under its key: the second time the answer of the first comes back. Key, work and answer are in the one transaction; two
 * at a moment wait for one another. Another thing under the same key is refused. What bears no key is done each time.
 */
export async function once<T extends object>(
  db: PoolClient,
  asker: Actor,
  request: Request,
  work: () => Promise<T>,
): Promise<T> {
  const key = keyOf(request);
  if (key === undefined) return work();
  const digest = digestOf(request, asker);
  await db.query("DELETE FROM answered_requests WHERE made_at < now() - interval '2 days'");
  const first = await db.query(
    'INSERT INTO answered_requests (firm_id, id, digest) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING',
    [asker.firmId, key, digest],
  );
  if (first.rowCount === 0) return answered<T>(db, key, digest);
  const answer = await work();
  await db.query('UPDATE answered_requests SET answer = $2 WHERE id = $1', [key, JSON.stringify(answer)]);
  return answer;
}

async function answered<T>(db: PoolClient, key: string, digest: Buffer): Promise<T> {
  const found = await db.query<{ digest: Buffer; answer: T | null }>(
    'SELECT digest, answer FROM answered_requests WHERE id = $1',
    [key],
  );
  const [row] = found.rows;
  if (!row?.answer || !row.digest.equals(digest)) throw takenId();
  return row.answer;
}

function digestOf(request: Request, { personId }: Actor): Buffer {
  const body: unknown = request.body;
  return createHash('sha256')
    .update(`${personId} ${request.method} ${request.originalUrl}\n`)
    .update(Buffer.isBuffer(body) ? body : JSON.stringify(body ?? null))
    .digest();
}

/**
 * A secret for an answer that is kept nowhere: the same each time a write is sent under its key, since it follows from that and from what only the server knows.
 * What bears no key gets one drawn by lot.
 */
export function secretFor(request: Request, { firmId }: Actor, serverSecret: string, what: string): Buffer {
  const key = keyOf(request);
  if (key === undefined) return randomBytes(32);
  return createHmac('sha256', serverSecret).update(`${what} ${firmId} ${key}`).digest();
}
