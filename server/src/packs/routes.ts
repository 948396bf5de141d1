import { Signature } from '@keen-gauge/core/pack/signature';
import { ListOf, Part } from '@keen-gauge/core/survey/fields';
import { coveringMessage } from '@keen-gauge/core/pack/files';
import { IsOptional, IsString, IsUUID, MaxLength } from 'class-validator';
import { Router, type Request } from 'express';
import { pipeline } from 'node:stream/promises';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem } from '../http/problem';
import { packNumber } from '../jobs/numbers';
import { headOf } from '../surveys/queries';
import { wholeBundle } from './bundle';
import { packBundleOf, packContent, packFile, packsOf, type PackFile } from './queries';
import { signOff } from './sign-off';
import { sinceSigned } from './since';

class AnswerBody {
  @IsString({ message: 'the key of what is missing' })
  @MaxLength(200, { message: 'at most 200 characters' })
  key: string;
  @IsString({ message: 'text' })
  @MaxLength(1000, { message: 'at most 1000 characters' })
  reason: string;
}

class SignOffBody {
  @IsUUID(undefined, { message: 'a UUID' }) revisionId: string;
  @IsOptional()
  @IsString({ message: 'text' })
  @MaxLength(1000, { message: 'at most 1000 characters' })
  reason?: string;
  @ListOf(() => AnswerBody, 500) reasons?: AnswerBody[];
  @Part(() => Signature) signature?: Signature;
}

/** A job's packs: signing off, and the list. */
export function jobPackRoutes(pool: Pool): Router {
  const router = Router({ mergeParams: true });

  router.get('/', async (request, response) => {
    const jobId = idParameter(request, 'jobId', 'job');
    const packs = await inFirm(pool, askerOf(request), async (db) => {
      if (!(await headOf(db, jobId))) throw notFound('job');
      return packsOf(db, jobId);
    });
    response.json({ packs });
  });

  router.get('/since', async (request, response) => {
    const jobId = idParameter(request, 'jobId', 'job');
    const since = await inFirm(pool, askerOf(request), async (db) => {
      if (!(await headOf(db, jobId))) throw notFound('job');
      return sinceSigned(db, jobId);
    });
    response.json({ since });
  });

  router.post('/', async (request, response) => {
    const jobId = idParameter(request, 'jobId', 'job');
    const body = bodyAs(SignOffBody, request.body);
    response.status(201).json(await signOff(pool, askerOf(request), jobId, body));
  });

  return router;
}

/** A pack's files, as they were frozen. */
export function packRoutes(pool: Pool): Router {
  const router = Router();

  const fileOf = async (request: Request): Promise<PackFile> => {
    const id = idParameter(request, 'packId', 'pack');
    const pack = await inFirm(pool, askerOf(request), (db) => packFile(db, id));
    if (!pack) throw notFound('pack');
    return pack;
  };

  router.get('/:packId/notice.pdf', async (request, response) => {
    const { number, pdf } = await fileOf(request);
    response
      .attachment(`${packNumber(number)}.pdf`)
      .type('application/pdf')
      .send(pdf);
  });

  router.get('/:packId/pack.zip', async (request, response) => {
    const id = idParameter(request, 'packId', 'pack');
    const found = await inFirm(pool, askerOf(request), (db) => packBundleOf(db, id));
    if (!found) throw notFound('pack');
    if (!found.stored)
      throw new Problem(
        404,
        'No archive',
        'This pack was signed before archives were made. Its PDF and JSON are as they were.',
      );
    response.attachment(`${packNumber(found.number)}.zip`).type('application/zip');
    await pipeline(await wholeBundle(pool, askerOf(request), found.stored), response);
  });

  router.get('/:packId/message', async (request, response) => {
    const id = idParameter(request, 'packId', 'pack');
    const content = await inFirm(pool, askerOf(request), (db) => packContent(db, id));
    if (!content) throw notFound('pack');
    response.json({ message: coveringMessage(content), changed: content.changed ?? null });
  });

  router.get('/:packId/survey.json', async (request, response) => {
    const { number, survey } = await fileOf(request);
    response
      .attachment(`${packNumber(number)}.json`)
      .type('application/json')
      .send(survey);
  });

  return router;
}
