import { Signature } from '@keen-gauge/core/pack/signature';
import { ListOf, Part } from '@keen-gauge/core/survey/fields';
import { coveringMessage } from '@keen-gauge/core/pack/files';
import { ArrayMaxSize, IsArray, IsISO8601, IsOptional, IsString, IsUUID, Matches, MaxLength } from 'class-validator';
import { Router, type Request } from 'express';
import { pipeline } from 'node:stream/promises';
import { setTimeout } from 'node:timers/promises';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem } from '../http/problem';
import { packNumber } from '../jobs/numbers';
import { headOf } from '../surveys/queries';
import { wholeBundle } from './bundle';
import { packArchive, packContent, packDocument, packMade, packsOf, packSurvey, type PackMade } from './queries';
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

/** What was signed on a device without a connection. */
class SignedThereBody {
  @IsISO8601({ strict: true }, { message: 'a date and time, ISO 8601' }) at: string;
  @Matches(/^[0-9a-f]{64}$/, { message: 'a SHA-256 in hexadecimal' }) fingerprint: string;
  /** Photographs that were on the device when it was signed, and came after it. */
  @IsOptional()
  @IsArray({ message: 'a list of ids' })
  @ArrayMaxSize(500, { message: 'at most 500' })
  @IsUUID(undefined, { each: true, message: 'a UUID' })
  photos?: string[];
}

class SignOffBody {
  /** Made by the sender, so that the request sent twice makes one pack. */
  @IsOptional() @IsUUID(undefined, { message: 'a UUID' }) id?: string;
  @IsUUID(undefined, { message: 'a UUID' }) revisionId: string;
  @IsOptional() @Matches(/^[A-Za-z0-9_-]{1,64}$/, { message: 'the id of a node' }) supplyId?: string;
  @IsOptional()
  @IsString({ message: 'text' })
  @MaxLength(1000, { message: 'at most 1000 characters' })
  reason?: string;
  @ListOf(() => AnswerBody, 500) reasons?: AnswerBody[];
  @Part(() => Signature) signature?: Signature;
  @Part(() => SignedThereBody) signedThere?: SignedThereBody;
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
      const { supply } = request.query;
      return sinceSigned(db, jobId, typeof supply === 'string' && supply !== '' ? supply : null);
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

/** How long a file that is being made is waited for, ms, before whoever asks is told to come again. */
const PATIENCE_MS = 15_000;
const LOOK_MS = 150;

const BEING_MADE = new Problem(503, 'Being made', 'The document of this pack is being made. Ask again in a moment.');

/** A pack's files, as they were made. */
export function packRoutes(pool: Pool): Router {
  const router = Router();

  /** Waits for what is being made of a pack. */
  const madeOf = async (request: Request): Promise<PackMade & { readonly id: string }> => {
    const id = idParameter(request, 'packId', 'pack');
    for (const until = Date.now() + PATIENCE_MS; Date.now() < until;) {
      const pack = await inFirm(pool, askerOf(request), (db) => packMade(db, id));
      if (!pack) throw notFound('pack');
      if (pack.made) return { ...pack, id };
      await setTimeout(LOOK_MS);
    }
    throw BEING_MADE;
  };

  router.get('/:packId/notice.pdf', async (request, response) => {
    const { id, number } = await madeOf(request);
    const pdf = await inFirm(pool, askerOf(request), (db) => packDocument(db, id));
    // What was made never changes: its name says which it is, and nobody needs to reckon that from its megabytes.
    response
      .attachment(`${packNumber(number)}.pdf`)
      .set('ETag', `"${id}"`)
      .type('application/pdf')
      .send(pdf);
  });

  router.get('/:packId/pack.zip', async (request, response) => {
    const { id, number, hasArchive } = await madeOf(request);
    const stored = hasArchive ? await inFirm(pool, askerOf(request), (db) => packArchive(db, id)) : undefined;
    if (!stored)
      throw new Problem(
        404,
        'No archive',
        'This pack was signed before archives were made. Its PDF and JSON are as they were.',
      );
    response.attachment(`${packNumber(number)}.zip`).type('application/zip');
    await pipeline(await wholeBundle(pool, askerOf(request), stored), response);
  });

  router.get('/:packId/message', async (request, response) => {
    const id = idParameter(request, 'packId', 'pack');
    const content = await inFirm(pool, askerOf(request), (db) => packContent(db, id));
    if (!content) throw notFound('pack');
    response.json({ message: coveringMessage(content), changed: content.changed ?? null });
  });

  router.get('/:packId/survey.json', async (request, response) => {
    const id = idParameter(request, 'packId', 'pack');
    const found = await inFirm(pool, askerOf(request), (db) => packSurvey(db, id));
    if (!found) throw notFound('pack');
    const { number, survey } = found;
    response
      .attachment(`${packNumber(number)}.json`)
      .type('application/json')
      .send(survey);
  });

  return router;
}
