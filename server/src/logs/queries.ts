import type { LogMapping } from '@keen-gauge/core/demand/measured/mapping';
import type { PoolClient } from 'pg';
import { bytesOf } from '../db/bytes';
import type { Actor } from '../db/firm-scope';
import { takenId } from '../http/problem';

export interface LogFile {
  readonly fileName: string;
  /** Compressed with gzip, as it was sent. */
  readonly bytes: Buffer;
}

/** Keeps a log's file; the very one of that id already there stays, for the request was sent twice. Another under its id is refused. */
export async function insertLog(db: PoolClient, asker: Actor, jobId: string, id: string, file: LogFile): Promise<void> {
  const kept = await db.query(
    `INSERT INTO logs (id, firm_id, job_id, file_name, bytes, added_by) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT DO NOTHING`,
    [id, asker.firmId, jobId, file.fileName, file.bytes, asker.personId],
  );
  if (kept.rowCount === 1) return;
  const same = await db.query('SELECT 1 FROM logs WHERE id = $1 AND job_id = $2 AND bytes = $3', [
    id,
    jobId,
    file.bytes,
  ]);
  if (same.rowCount === 0) throw takenId();
}

export async function logFile(db: PoolClient, jobId: string, id: string): Promise<LogFile | undefined> {
  const found = await db.query<{ fileName: string }>(
    'SELECT file_name AS "fileName" FROM logs WHERE id = $1 AND job_id = $2',
    [id, jobId],
  );
  const [row] = found.rows;
  const bytes = row && (await bytesOf(db, 'bytes', 'logs WHERE id = $1', id));
  return row && bytes && { fileName: row.fileName, bytes };
}

/** How the firm read a file of this shape last, or undefined. */
export async function mappingOf(db: PoolClient, shape: string): Promise<LogMapping | undefined> {
  const found = await db.query<{ mapping: LogMapping }>('SELECT mapping FROM log_mappings WHERE shape = $1', [shape]);
  return found.rows[0]?.mapping;
}

export async function rememberMapping(db: PoolClient, asker: Actor, shape: string, mapping: object): Promise<void> {
  await db.query(
    `INSERT INTO log_mappings (firm_id, shape, mapping) VALUES ($1, $2, $3)
     ON CONFLICT (firm_id, shape) DO UPDATE SET mapping = $3, changed_at = now()`,
    [asker.firmId, shape, mapping],
  );
}
