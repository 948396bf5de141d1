import { PHOTO_SUBJECTS, type PhotoSubject } from '@keen-gauge/core/survey/photo';
import { Server } from '@tus/server';
import { IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { Router } from 'express';
import { pipeline } from 'node:stream/promises';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound } from '../http/problem';
import { jobNumber } from '../jobs/numbers';
import { jobById } from '../jobs/queries';
import { headOf } from '../surveys/queries';
import { filePhoto, type AboutPhoto } from './file-photo';
import { databasePictures, fullKey, thumbKey } from './picture-store';
import { printBeforehand } from './printed';
import { photoById } from './queries';
import { UploadStore } from './upload-store';
import { photoZip } from './zip';

const MOST_BYTES = 25 * 1024 * 1024;

class AboutBody {
  @IsOptional()
  @IsString({ message: 'text' })
  @MaxLength(300, { message: 'at most 300 characters' })
  caption?: string;
  @IsOptional() @IsIn([...PHOTO_SUBJECTS], { message: `one of ${PHOTO_SUBJECTS.join(', ')}` }) subject?: PhotoSubject;
  @IsOptional()
  @IsString({ message: 'text' })
  @MaxLength(64, { message: 'at most 64 characters' })
  subjectId?: string;
  @IsOptional()
  @IsString({ message: 'text' })
  @MaxLength(200, { message: 'at most 200 characters' })
  fileName?: string;
}

/**
 * Files on their way in, over the open protocol for resumable uploads (tus 1.0). The id of an upload is the sender's,
 * in the metadata; it becomes the photograph's.
 */
export function uploadRoutes(pool: Pool): Router {
  const router = Router({ mergeParams: true });
  router.all('/{*rest}', async (request, response) => {
    const asker = askerOf(request);
    const jobId = idParameter(request, 'jobId', 'job');
    const server = new Server({
      path: `/api/jobs/${jobId}/uploads`,
      datastore: new UploadStore(pool, asker, jobId),
      relativeLocation: true,
      allowedOrigins: [],
      maxSize: MOST_BYTES,
      namingFunction: (_request, metadata) => metadata?.['id'] ?? '',
    });
    await server.handle(request, response);
  });
  return router;
}

/** A job's photographs: filing one that has arrived, the pictures themselves, all of them as a zip. */
export function photoRoutes(pool: Pool): Router {
  const router = Router({ mergeParams: true });

  router.get('/all.zip', async (request, response) => {
    const asker = askerOf(request);
    const jobId = idParameter(request, 'jobId', 'job');
    const found = await inFirm(pool, asker, async (db) => ({
      head: await headOf(db, jobId),
      job: await jobById(db, jobId),
    }));
    if (!found.head || !found.job) throw notFound('job');
    response.attachment(`${jobNumber(found.job.number)}-photographs.zip`).type('application/zip');
    await pipeline(photoZip(pool, asker, found.head.survey.photos), response);
  });

  router.post('/:photoId', async (request, response) => {
    const jobId = idParameter(request, 'jobId', 'job');
    const id = idParameter(request, 'photoId', 'photograph');
    const body = bodyAs(AboutBody, request.body);
    const about = JSON.parse(JSON.stringify(body)) as AboutPhoto;
    const filed = await filePhoto(pool, askerOf(request), jobId, id, about);
    if (!filed.known) printBeforehand(pool, askerOf(request), filed.photo.id);
    response.status(201).json(filed);
  });

  for (const [path, keyOf] of [
    ['full.jpg', fullKey],
    ['thumb.jpg', thumbKey],
  ] as const)
    router.get(`/:photoId/${path}`, async (request, response) => {
      const asker = askerOf(request);
      const jobId = idParameter(request, 'jobId', 'job');
      const id = idParameter(request, 'photoId', 'photograph');
      const bytes = await inFirm(pool, asker, async (db) => {
        const photo = await photoById(db, jobId, id);
        return photo && databasePictures(db, asker.firmId).get(keyOf(id));
      });
      if (!bytes) throw notFound('photograph');
      // A kept picture never changes.
      response.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/jpeg').send(bytes);
    });

  return router;
}
