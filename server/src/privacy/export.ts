import { Readable } from 'node:stream';
import type { Pool, PoolClient } from 'pg';
import { ZipFile } from 'yazl';
import { auditOfJob } from '../audit/queries';
import { answersOfJob, picturesOfJob } from '../customer/queries';
import { bytesOf } from '../db/bytes';
import { inFirm, type Actor } from '../db/firm-scope';
import { eventsOf } from '../events/queries';
import { packNumber } from '../jobs/numbers';
import { mailsOfJob } from '../mail/queries';
import { packDocument, packsOf, packSurvey } from '../packs/queries';
import { pictureFileName } from '../photos/zip';
import { databasePictures, fullKey } from '../photos/picture-store';
import { answersOfQuotations, quotationsOf } from '../quotations/queries';
import { headOf } from '../surveys/queries';

const json = (value: unknown): Buffer => Buffer.from(`${JSON.stringify(value, null, 2)}\n`);

/** Everything that is kept of a job’s customer as one zip, written while it is read; undefined where there is no such job. */
export async function everythingOf(
  pool: Pool,
  asker: Actor,
  jobId: string,
): Promise<NodeJS.ReadableStream | undefined> {
  const told = await inFirm(pool, asker, async (db) => {
    const head = await headOf(db, jobId);
    if (!head) return undefined;
    return {
      head,
      answers: await answersOfJob(db, jobId),
      pictures: await picturesOfJob(db, jobId),
      revisions: (
        await db.query('SELECT seq, made_at AS "madeAt", changes FROM revisions WHERE job_id = $1 ORDER BY seq', [
          jobId,
        ])
      ).rows,
      events: await eventsOf(db, jobId),
      attachments: (
        await db.query<{ id: string; name: string }>(
          'SELECT a.id, a.name FROM event_attachments a JOIN job_events e ON e.id = a.event_id WHERE e.job_id = $1 ORDER BY a.added_at',
          [jobId],
        )
      ).rows,
      logs: (
        await db.query<{ id: string; name: string }>(
          'SELECT id, file_name AS name FROM logs WHERE job_id = $1 ORDER BY added_at',
          [jobId],
        )
      ).rows,
      mails: await mailsOfJob(db, jobId),
      quotations: { quotations: await quotationsOf(db, jobId), answers: await answersOfQuotations(db, jobId) },
      packs: await packsOf(db, jobId),
      record: await auditOfJob(db, jobId),
    };
  });
  if (!told) return undefined;
  const zip = new ZipFile();
  const later = (name: string, read: (db: PoolClient) => Promise<Buffer | undefined>): void => {
    zip.addReadStreamLazy(name, { compress: false }, (open) => {
      inFirm(pool, asker, read).then(
        (bytes) => {
          open(null, Readable.from([bytes ?? Buffer.alloc(0)]));
        },
        (error: unknown) => {
          open(error, Readable.from([]));
        },
      );
    });
  };
  zip.addBuffer(json(told.head.survey), 'survey.json');
  zip.addBuffer(json(told.revisions), 'history.json');
  zip.addBuffer(json(told.events), 'dates.json');
  zip.addBuffer(json(told.mails), 'mails.json');
  zip.addBuffer(json(told.quotations), 'quotations.json');
  zip.addBuffer(json(told.record), 'record.json');
  zip.addBuffer(json(told.answers), 'customer/answers.json');
  for (const [at, { id, step }] of told.pictures.entries())
    later(`customer/${pictureFileName(at, step)}`, (db) => quarantined(db, id));
  for (const [at, photo] of told.head.survey.photos.entries())
    later(`photographs/${pictureFileName(at, photo.caption ?? photo.fileName ?? '')}`, (db) =>
      databasePictures(db, asker.firmId).get(fullKey(photo.id)),
    );
  for (const [at, { id, name }] of told.attachments.entries())
    later(`letters/${fileName(at, name)}`, (db) => bytesOf(db, 'bytes', 'event_attachments WHERE id = $1', id));
  for (const [at, { id, name }] of told.logs.entries())
    later(`logs/${fileName(at, name)}.gz`, (db) => bytesOf(db, 'bytes', 'logs WHERE id = $1', id));
  for (const { id, number } of told.packs) {
    later(`packs/${packNumber(number)}.pdf`, (db) => packDocument(db, id));
    later(`packs/${packNumber(number)}.json`, async (db) => Buffer.from((await packSurvey(db, id))?.survey ?? ''));
  }
  zip.end();
  return zip.outputStream;
}

async function quarantined(db: PoolClient, id: string): Promise<Buffer | undefined> {
  const found = await db.query<{ bytes: Buffer }>('SELECT full_jpg AS bytes FROM customer_pictures WHERE id = $1', [
    id,
  ]);
  return found.rows[0]?.bytes;
}

/** A name that every system takes, and that leads nowhere else. */
function fileName(at: number, name: string): string {
  const plain = name
    .replace(/[^A-Za-z0-9._-]+/g, '-')
    .replace(/^[.-]+/, '')
    .slice(-80);
  return `${String(at + 1).padStart(2, '0')}-${plain === '' ? 'file' : plain}`;
}
