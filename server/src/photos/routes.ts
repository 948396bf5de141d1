import { YesNo } from '@keen-gauge/core/survey/fields';
import { PHOTO_SUBJECTS, type PhotoSubject } from '@keen-gauge/core/survey/photo';
import { Server } from '@tus/server';
import { IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { Router } from 'express';
import { pipeline } from 'node:stream/promises';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { AccessEnded, inFirm } from '../db/firm-scope';
import { isUnavailable } from '../db/unavailable';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem } from '../http/problem';
import { jobNumber } from '../jobs/numbers';
import { jobById } from '../jobs/queries';
import { headOf } from '../surveys/queries';
import { filePhoto, type AboutPhoto } from './file-photo';
import { databasePictures, fullKey, thumbKey } from './picture-store';
import { photoById } from './queries';
import { REQUEST_ID } from '../signals/request-line';
import { UploadFault, UploadStore } from './upload-store';
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
  @YesNo() fromCustomer?: boolean;
}

/**
 * Files on their way in, over the open protocol for resumable uploads (tus 1.0). The id of an upload is the sender's,
 * in the metadata; it becomes the photograph's.
 */
export function uploadRoutes(pool: Pool, log: Logger): Router {
  const router = Router({ mergeParams: true });
  router.all('/{*rest}', async (request, response) => {
    const asker = askerOf(request);
    const jobId = idParameter(request, 'jobId', 'job');
    const store = new UploadStore(pool, asker, jobId);
    const server = new Server({
      path: `/api/jobs/${jobId}/uploads`,
      datastore: store,
      relativeLocation: true,
      allowedOrigins: [],
      maxSize: MOST_BYTES,
      namingFunction: (_request, metadata) => metadata?.['id'] ?? '',
      // An error of ours is never told as the sender's fault: a browser that is told so gives a picture up.
      onResponseError: (_request, error) => toldAs(store.failure ?? error, log, response.locals[REQUEST_ID]),
    });
    await server.handle(request, response);
  });
  return router;
}

/** How an upload that failed is told; undefined leaves it to the library, whose own errors say what the sender did. */
function toldAs(
  error: unknown,
  log: Logger,
  id: unknown,
): { readonly status_code: number; readonly body: string } | undefined {
  if (error instanceof UploadFault) return { status_code: error.status_code, body: error.body };
  if (error instanceof Problem) return { status_code: error.status, body: `${error.detail}\n` };
  if (error instanceof AccessEnded) return { status_code: 401, body: 'Sign in to go on.\n' };
  if (isUnavailable(error)) {
    log.warn({ err: error, id }, 'database does not answer');
    return { status_code: 503, body: 'The database does not answer. What has arrived is kept; go on in a moment.\n' };
  }
  if (!(error instanceof Error)) return undefined;
  log.error({ err: error, id }, 'upload failed');
  return { status_code: 500, body: 'Something went wrong here. What has arrived is kept; go on in a moment.\n' };
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
