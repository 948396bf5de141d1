import { addressOf } from '@keen-gauge/core/survey/address';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { IsNotEmpty, IsString, IsUUID, MaxLength } from 'class-validator';
import { Router } from 'express';
import type { Pool } from 'pg';
import { randomUUID as newId } from 'node:crypto';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound } from '../http/problem';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import { firmRules } from '../firm/rules';
import { findJobs, insertJob, jobById } from './queries';
import { summarise } from './summary';

class CreateJob {
  /** Made by the client, so that a request sent twice makes one job. */
  @IsUUID(undefined, { message: 'a UUID' }) id: string;
  @IsString({ message: 'text' })
  @IsNotEmpty({ message: 'where it is' })
  @MaxLength(200, { message: 'at most 200 characters' })
  place: string;
  @IsString({ message: 'text' })
  @IsNotEmpty({ message: 'what is wanted' })
  @MaxLength(200, { message: 'at most 200 characters' })
  wanted: string;
}

const PAGE = 50;

/** The firm's jobs: list with search, create, one by id. */
export function jobRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    const { search, page } = request.query;
    const words = typeof search === 'string' ? search.trim().split(/\s+/).filter(Boolean).slice(0, 8) : [];
    const at = typeof page === 'string' && /^\d{1,5}$/.test(page) ? Number(page) : 0;
    response.json(await inFirm(pool, askerOf(request), (db) => findJobs(db, words, PAGE, at * PAGE)));
  });

  router.post('/', async (request, response) => {
    const asker = askerOf(request);
    const { id, place, wanted } = bodyAs(CreateJob, request.body);
    const job = await inFirm(pool, asker, async (db) => {
      const survey = { ...blankSurvey(), place: { ...addressOf(place) } };
      const summary = summarise(survey, rulesFor(undefined, await firmRules(db)), place);
      await insertJob(db, { ...asker, id, place, wanted, survey, revisionId: newId(), summary });
      return jobById(db, id);
    });
    if (!job) throw notFound('job');
    response.status(201).json(job);
  });

  router.get('/:jobId', async (request, response) => {
    const id = idParameter(request, 'jobId', 'job');
    const job = await inFirm(pool, askerOf(request), (db) => jobById(db, id));
    if (!job) throw notFound('job');
    response.json(job);
  });

  return router;
}
