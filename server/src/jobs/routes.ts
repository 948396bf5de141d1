import { addressOf } from '@keen-gauge/core/survey/address';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { alikeSurvey } from '@keen-gauge/core/survey/alike';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { IsBoolean, IsNotEmpty, IsOptional, IsString, IsUUID, isUUID, Matches, MaxLength } from 'class-validator';
import { Router } from 'express';
import type { Pool } from 'pg';
import { randomUUID as newId } from 'node:crypto';
import { audit } from '../audit/queries';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { invalid, notFound } from '../http/problem';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import { firmRules } from '../firm/rules';
import { personById } from '../people/queries';
import { headOf } from '../surveys/queries';
import { jobsAsked } from './jobs-asked';
import { archiveJob, assignJob, findJobs, insertJob, jobById } from './queries';
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
  /** The job of a house like it, whose shape, loads and equipment it starts from. */
  @IsOptional() @IsUUID(undefined, { message: 'the id of a job' }) like?: string;
  /** The survey’s first revision, named by a client that went on without waiting for the answer. */
  @IsOptional() @IsUUID(undefined, { message: 'a UUID' }) revisionId?: string;
}

class ChangeJob {
  /** Somebody of the firm, or `nobody`. */
  @IsOptional()
  @Matches(/^(nobody|[0-9a-f-]{36})$/, { message: 'the id of a person, or "nobody"' })
  assignedTo?: string;
  @IsOptional() @IsBoolean({ message: 'true or false' }) archived?: boolean;
}

/** The firm's jobs: the list as it is asked for, a new one, one by id, whose it is and whether it is put away. */
export function jobRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    const asked = jobsAsked(request.query);
    response.json(await inFirm(pool, askerOf(request), (db) => findJobs(db, ukDay(new Date()), asked)));
  });

  router.post('/', async (request, response) => {
    const asker = askerOf(request);
    const { id, place, wanted, like, revisionId = newId() } = bodyAs(CreateJob, request.body);
    const job = await inFirm(pool, asker, async (db) => {
      const other = like === undefined ? undefined : await headOf(db, like);
      if (like !== undefined && !other) throw notFound('job');
      const survey = other
        ? alikeSurvey(other.survey, addressOf(place))
        : { ...blankSurvey(), place: { ...addressOf(place) } };
      const summary = summarise(survey, rulesFor(undefined, await firmRules(db)), place);
      await insertJob(db, { ...asker, id, place, wanted, survey, revisionId, summary });
      return jobById(db, id);
    });
    if (!job) throw notFound('job');
    response.status(201).json(job);
  });

  router.patch('/:jobId', async (request, response) => {
    const [asker, id] = [askerOf(request), idParameter(request, 'jobId', 'job')];
    const { assignedTo, archived } = bodyAs(ChangeJob, request.body);
    const job = await inFirm(pool, asker, async (db) => {
      const known = await jobById(db, id);
      if (!known) throw notFound('job');
      if (assignedTo !== undefined && assignedTo !== (known.assignedTo?.id ?? 'nobody')) {
        const person =
          assignedTo === 'nobody' ? null : isUUID(assignedTo) ? await personById(db, assignedTo) : undefined;
        if (person === undefined)
          throw invalid([
            { path: '$.assignedTo', wrong: 'is nobody in the firm', expected: 'the id of a person, or "nobody"' },
          ]);
        await assignJob(db, id, person?.id ?? null);
        await audit(db, asker, id, 'job-assigned', { to: person?.name ?? '' });
      }
      if (archived !== undefined && archived !== known.archived) {
        await archiveJob(db, id, archived);
        await audit(db, asker, id, archived ? 'job-archived' : 'job-restored');
      }
      return jobById(db, id);
    });
    response.json(job);
  });

  router.get('/:jobId', async (request, response) => {
    const id = idParameter(request, 'jobId', 'job');
    const job = await inFirm(pool, askerOf(request), (db) => jobById(db, id));
    if (!job) throw notFound('job');
    response.json(job);
  });

  return router;
}
