import { DataStore, Upload } from '@tus/server';
import { isUUID } from 'class-validator';
import type { Readable } from 'node:stream';
import type { Pool } from 'pg';
import { inFirm, type Actor } from '../db/firm-scope';
import { roomFor } from '../firm/storage';
import { forgetStaleUploads } from './queries';

/** So much is gathered before it is written down: what is lost with a dropped link is less than this. */
const PART_BYTES = 512 * 1024;

/** Why a part is not taken, as the protocol tells it. */
export class UploadFault extends Error {
  constructor(
    readonly status_code: number,
    readonly body: string,
  ) {
    super(body);
  }
}

const notFound = (): UploadFault => new UploadFault(404, 'There is no such upload, or it is not your firm’s.\n');

/**
 * Files on their way into one job, kept in the database part by part, so that any instance can take up what another
 * began. One person's requests only: made anew for each.
 */
export class UploadStore extends DataStore {
  /** Why a part could not be written down; undefined while none has failed. */
  failure: unknown;

  constructor(
    private readonly pool: Pool,
    private readonly asker: Actor,
    private readonly jobId: string,
  ) {
    super();
    this.extensions = ['creation', 'termination'];
  }

  /** Begins an upload; begun already under that id, it stays as it is and goes on. */
  override async create(upload: Upload): Promise<Upload> {
    if (!isUUID(upload.id) || !upload.size) throw new UploadFault(422, 'An upload has an id and a size.\n');
    await inFirm(this.pool, this.asker, async (db) => {
      const job = await db.query('SELECT 1 FROM jobs WHERE id = $1', [this.jobId]);
      if (job.rowCount === 0) throw notFound();
      await forgetStaleUploads(db);
      await db.query(
        `INSERT INTO uploads (id, firm_id, job_id, person_id, size) VALUES ($1, $2, $3, $4, $5) ON CONFLICT DO NOTHING`,
        [upload.id, this.asker.firmId, this.jobId, this.asker.personId, upload.size],
      );
      // Begun before, it goes on; another's, or one of another job or size, is not it.
      const begun = await db.query('SELECT 1 FROM uploads WHERE id = $1 AND job_id = $2 AND size = $3', [
        upload.id,
        this.jobId,
        upload.size,
      ]);
      if (begun.rowCount === 0) throw new UploadFault(409, 'That id is taken.\n');
      await roomFor(db, this.asker.firmId, upload.size ?? 0);
    });
    return this.getUpload(upload.id);
  }

  override async getUpload(id: string): Promise<Upload> {
    if (!isUUID(id)) throw notFound();
    const row = await inFirm(this.pool, this.asker, async (db) => {
      const found = await db.query<{ size: number; received: number }>(
        'SELECT size, received FROM uploads WHERE id = $1 AND job_id = $2',
        [id, this.jobId],
      );
      return found.rows[0];
    });
    if (!row) throw notFound();
    return new Upload({ id, size: row.size, offset: row.received });
  }

  override async write(stream: Readable, id: string, offset: number): Promise<number> {
    let received = offset;
    let [gathered, bytes]: [Buffer[], number] = [[], 0];
    const keep = async (): Promise<void> => {
      if (bytes === 0) return;
      await this.append(id, received, Buffer.concat(gathered, bytes));
      received += bytes;
      [gathered, bytes] = [[], 0];
    };
    try {
      for await (const chunk of stream as AsyncIterable<Buffer>) {
        gathered.push(chunk);
        bytes += chunk.length;
        if (bytes >= PART_BYTES) await keep();
      }
    } finally {
      // A link that drops half-way leaves what has arrived; what could not be written once is not tried at once again.
      if (this.failure === undefined) await keep();
    }
    return received;
  }

  override async remove(id: string): Promise<void> {
    await inFirm(this.pool, this.asker, (db) =>
      db.query('DELETE FROM uploads WHERE id = $1 AND job_id = $2', [id, this.jobId]),
    );
  }

  /** One part, only where it joins on to what is there: two requests for one file never mix. */
  private async append(id: string, start: number, bytes: Buffer): Promise<void> {
    await this.stored(id, start, bytes).catch((error: unknown) => {
      // Told as what it is, whatever the library makes of a stream that broke off because of it.
      this.failure = error;
      throw error;
    });
  }

  private async stored(id: string, start: number, bytes: Buffer): Promise<void> {
    await inFirm(this.pool, this.asker, async (db) => {
      const moved = await db.query(
        'UPDATE uploads SET received = received + $3 WHERE id = $1 AND received = $2 AND received + $3 <= size',
        [id, start, bytes.length],
      );
      if (moved.rowCount === 0) throw new UploadFault(409, 'It does not join on to what has arrived.\n');
      await db.query('INSERT INTO upload_parts (upload_id, firm_id, start, bytes) VALUES ($1, $2, $3, $4)', [
        id,
        this.asker.firmId,
        start,
        bytes,
      ]);
    });
  }
}
