import type { Change } from '@keen-gauge/core/record/changes';
import { Type } from 'class-transformer';
import {
  Allow,
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { Router } from 'express';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { invalid, notFound } from '../http/problem';
import { headOf, history } from './queries';
import { saveRevision } from './save';

const A_PATH = 'a list of at most 12 names';

class ChangeBody {
  @IsIn(['set', 'order'], { message: 'set or order' }) kind: 'set' | 'order';
  @IsArray({ message: A_PATH })
  @ArrayMaxSize(12, { message: A_PATH })
  @IsString({ each: true, message: A_PATH })
  path: string[];
  @Allow() from?: unknown;
  @Allow() to?: unknown;
  @IsOptional()
  @IsInt({ message: 'a whole number from 0 to 1000' })
  @Min(0, { message: 'a whole number from 0 to 1000' })
  @Max(1000, { message: 'a whole number from 0 to 1000' })
  index?: number;
}

class SaveBody {
  @IsUUID(undefined, { message: 'a UUID' }) id: string;
  @IsUUID(undefined, { message: 'a UUID' }) parentId: string;
  @IsArray({ message: 'a list of at most 1000 changes' })
  @ArrayMaxSize(1000, { message: 'a list of at most 1000 changes' })
  @IsObject({ each: true, message: 'a list of changes' })
  @ValidateNested({ each: true, message: 'a change' })
  @Type(() => ChangeBody)
  changes: ChangeBody[];
}

const HISTORY_PAGE = 40;

/** A job's survey: its head, saving, and its history. */
export function surveyRoutes(pool: Pool): Router {
  const router = Router({ mergeParams: true });

  router.get('/', async (request, response) => {
    const jobId = idParameter(request, 'jobId', 'job');
    const head = await inFirm(pool, askerOf(request), (db) => headOf(db, jobId));
    if (!head) throw notFound('job');
    response.json({ survey: head.survey, revisionId: head.revisionId, seq: head.seq });
  });

  router.post('/revisions', async (request, response) => {
    const asker = askerOf(request);
    const jobId = idParameter(request, 'jobId', 'job');
    const { id, parentId, changes } = bodyAs(SaveBody, request.body);
    const save = { id, parentId, changes: changes.map(asChange) };
    response.status(201).json(await inFirm(pool, asker, (db) => saveRevision(db, asker, jobId, save)));
  });

  router.get('/revisions', async (request, response) => {
    const jobId = idParameter(request, 'jobId', 'job');
    const { before } = request.query;
    const from = typeof before === 'string' && /^\d{1,9}$/.test(before) ? Number(before) : 2_147_483_647;
    const entries = await inFirm(pool, askerOf(request), async (db) => {
      if (!(await headOf(db, jobId))) throw notFound('job');
      return history(db, jobId, from, HISTORY_PAGE);
    });
    response.json({ entries, more: entries.length === HISTORY_PAGE });
  });

  return router;
}

/** Plain again: what is kept in history is the change itself, not the model it was checked with. An order needs the ids it puts in order. */
function asChange(body: ChangeBody, at: number): Change {
  if (body.kind === 'order')
    for (const key of ['from', 'to'] as const)
      if (!isIds(body[key]))
        throw invalid([{ path: `$.changes[${at}].${key}`, wrong: 'is no list of ids', expected: 'the ids in order' }]);
  return JSON.parse(JSON.stringify(body)) as Change;
}

function isIds(value: unknown): boolean {
  return Array.isArray(value) && value.length <= 1000 && value.every((each) => typeof each === 'string');
}
