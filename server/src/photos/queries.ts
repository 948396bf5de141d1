import type { PoolClient } from 'pg';
import { bytesOf } from '../db/bytes';
import type { Actor } from '../db/firm-scope';
import type { Picture } from './picture';

/** The bytes of an upload as far as they have arrived, and whether that is all of them. */
export async function uploadedBytes(
  db: PoolClient,
  jobId: string,
  id: string,
): Promise<{ bytes: Buffer; whole: boolean } | undefined> {
  const upload = await db.query<{ whole: boolean }>(
    'SELECT received = size AS whole FROM uploads WHERE id = $1 AND job_id = $2',
    [id, jobId],
  );
  if (!upload.rows[0]) return undefined;
  const starts = await db.query<{ start: number }>(
    'SELECT start FROM upload_parts WHERE upload_id = $1 ORDER BY start',
    [id],
  );
  const parts: Buffer[] = [];
  for (const { start } of starts.rows)
    parts.push(
      (await bytesOf(db, 'bytes', `upload_parts WHERE upload_id = $1 AND start = ${start}`, id)) ?? Buffer.alloc(0),
    );
  return { bytes: Buffer.concat(parts), whole: upload.rows[0].whole };
}

export async function forgetUpload(db: PoolClient, id: string): Promise<void> {
  await db.query('DELETE FROM uploads WHERE id = $1', [id]);
}

/** Uploads nobody went on with for a week; what was lost with them is on the device that sent them. */
export async function forgetStaleUploads(db: PoolClient): Promise<void> {
  await db.query("DELETE FROM uploads WHERE started_at < now() - interval '7 days'");
}

export interface PhotoRow {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly takenAt: Date | null;
  readonly addedAt: Date;
  readonly addedBy: string;
}

const COLUMNS = `f.id, f.width, f.height, f.taken_at AS "takenAt", f.added_at AS "addedAt", p.name AS "addedBy"`;

/** A photograph of a job by its id. */
export async function photoById(db: PoolClient, jobId: string, id: string): Promise<PhotoRow | undefined> {
  const found = await db.query<PhotoRow>(
    `SELECT ${COLUMNS} FROM photos f JOIN people p ON p.id = f.added_by WHERE f.job_id = $1 AND f.id = $2`,
    [jobId, id],
  );
  return found.rows[0];
}

/** A photograph of a job made from the very same file, or undefined. */
export async function photoOfFile(db: PoolClient, jobId: string, sha256: string): Promise<PhotoRow | undefined> {
  const found = await db.query<PhotoRow>(
    `SELECT ${COLUMNS} FROM photos f JOIN people p ON p.id = f.added_by WHERE f.job_id = $1 AND f.sha256 = $2`,
    [jobId, sha256],
  );
  return found.rows[0];
}

export async function insertPhoto(
  db: PoolClient,
  asker: Actor,
  jobId: string,
  photo: { id: string; sha256: string; picture: Picture },
): Promise<void> {
  const { id, sha256, picture } = photo;
  await db.query(
    `INSERT INTO photos (id, firm_id, job_id, sha256, width, height, taken_at, added_by)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [id, asker.firmId, jobId, sha256, picture.widthPx, picture.heightPx, picture.takenAt, asker.personId],
  );
}
