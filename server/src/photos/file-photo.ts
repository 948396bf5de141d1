import type { Photo } from '@keen-gauge/core/survey/photo';
import { createHash, randomUUID as newId } from 'node:crypto';
import type { Pool } from 'pg';
import { inFirm, type Actor } from '../db/firm-scope';
import { notFound, Problem } from '../http/problem';
import { headOf } from '../surveys/queries';
import { saveRevision } from '../surveys/save';
import { heavy } from '../heavy/threads';
import { askFor } from '../tasks/queue';
import type { Picture } from './picture';
import { databasePictures, fullKey, thumbKey } from './picture-store';
import { forgetUpload, insertPhoto, photoById, photoOfFile, uploadedBytes, type PhotoRow } from './queries';

/** What the sender says of a photograph. */
export type AboutPhoto = Pick<Photo, 'caption' | 'subject' | 'subjectId' | 'fileName'> & {
  /** The customer took it; whoever hands it in has only looked at it. */
  readonly fromCustomer?: boolean;
};

export interface Filed {
  readonly photo: Photo;
  /** The same file was in the job already: nothing was added. */
  readonly known: boolean;
}

/**
 * Makes a photograph of an upload that has wholly arrived and enters it in the survey, as a revision of its own. Asked
 * twice it answers the same; a file the job already has is not taken a second time.
 */
export async function filePhoto(
  pool: Pool,
  asker: Actor,
  jobId: string,
  id: string,
  about: AboutPhoto,
): Promise<Filed> {
  const upload = await inFirm(pool, asker, async (db) => {
    if (!(await headOf(db, jobId))) throw notFound('job');
    const filed = await photoById(db, jobId, id);
    return filed ? { filed } : ((await uploadedBytes(db, jobId, id)) ?? null);
  });
  if (!upload) throw notFound('upload');
  if ('filed' in upload) return enter(pool, asker, jobId, upload.filed, about, true);
  if (!upload.whole)
    throw new Problem(409, 'Not all here', 'Part of the file has not arrived yet. Send the rest first.');

  const sha256 = createHash('sha256').update(upload.bytes).digest('hex');
  const twin = await inFirm(pool, asker, (db) => photoOfFile(db, jobId, sha256));
  if (twin) {
    await inFirm(pool, asker, (db) => forgetUpload(db, id));
    return enter(pool, asker, jobId, twin, about, true);
  }
  const picture = await pictureOf(upload.bytes).catch(async (error: unknown) => {
    // What is no picture never will be one; anything else may be tried again with what has arrived.
    if (error instanceof Problem) await inFirm(pool, asker, (db) => forgetUpload(db, id));
    throw error;
  });
  const row = await inFirm(pool, asker, async (db) => {
    // Held until the end, so that the same file handed in twice at one moment meets itself here.
    await headOf(db, jobId, true);
    const already = (await photoById(db, jobId, id)) ?? (await photoOfFile(db, jobId, sha256));
    if (!already) {
      const pictures = databasePictures(db, asker.firmId);
      await pictures.put(fullKey(id), picture.full);
      await pictures.put(thumbKey(id), picture.thumb);
      await insertPhoto(db, asker, jobId, { id, sha256, picture });
      // The printed picture beforehand, so that a pack need not wait for it.
      await askFor(db, { firmId: asker.firmId }, 'print-picture', id);
    }
    await forgetUpload(db, id);
    return already ?? (await photoById(db, jobId, id));
  });
  if (!row) throw notFound('photograph');
  return enter(pool, asker, jobId, row, about, row.id !== id);
}

/** The picture in a file, unfolded in a thread and one at a time. */
async function pictureOf(bytes: Buffer): Promise<Picture> {
  const picture = await heavy('pictureOf', bytes);
  if ('fault' in picture) throw new Problem(422, 'Not taken', picture.fault);
  return { ...picture, full: Buffer.from(picture.full), thumb: Buffer.from(picture.thumb) };
}

/** Enters a photograph in the survey, unless it is there. */
async function enter(
  pool: Pool,
  asker: Actor,
  jobId: string,
  row: PhotoRow,
  { fromCustomer = false, ...about }: AboutPhoto,
  known: boolean,
): Promise<Filed> {
  return inFirm(pool, asker, async (db) => {
    const head = await headOf(db, jobId, true);
    if (!head) throw notFound('job');
    const there = head.survey.photos.find(({ id }) => id === row.id);
    if (there) return { photo: there, known };
    const photo: Photo = {
      id: row.id,
      ...about,
      widthPx: row.width,
      heightPx: row.height,
      takenBy: fromCustomer ? 'The customer' : row.addedBy,
      takenAt: (row.takenAt ?? row.addedAt).toISOString(),
    };
    const changes = [
      { kind: 'set', path: ['photos', row.id], to: JSON.parse(JSON.stringify(photo)) as Record<string, string> },
    ] as const;
    await saveRevision(db, asker, jobId, { id: newId(), parentId: head.revisionId, changes });
    return { photo, known: false };
  });
}
