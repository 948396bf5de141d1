import { isDay } from '@keen-gauge/core/calendar/days';
import { CONDITIONS, EVENT_KINDS, type Condition, type EventKind } from '@keen-gauge/core/calendar/job-events';
import { ANSWERS_OF_OPERATOR, type AnswerOfOperator } from '@keen-gauge/core/calendar/operator-answers';
import { IsIn, IsNumber, IsOptional, IsString, IsUUID, Max, MaxLength, Min } from 'class-validator';
import { Router, type Request } from 'express';
import type { Pool, PoolClient } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { invalid, notFound, Problem } from '../http/problem';
import { owedBy } from './owed';
import { jobById } from '../jobs/queries';
import { olderThanSurvey } from '../operator/routes';
import { eventsOf, insertEvent } from './queries';

class EventBody {
  @IsUUID(undefined, { message: 'a UUID' }) id: string;
  @IsIn([...EVENT_KINDS], { message: `one of ${EVENT_KINDS.join(', ')}` }) kind: EventKind;
  @IsString({ message: 'a date, YYYY-MM-DD' }) day: string;
  @IsOptional()
  @IsString({ message: 'text' })
  @MaxLength(100, { message: 'at most 100 characters' })
  reference?: string;
  @IsOptional()
  @IsIn([...ANSWERS_OF_OPERATOR], { message: `one of ${ANSWERS_OF_OPERATOR.join(', ')}` })
  answer?: AnswerOfOperator;
  @IsOptional()
  @IsString({ message: 'text' })
  @MaxLength(1000, { message: 'at most 1000 characters' })
  note?: string;
  @IsOptional()
  @IsIn([...CONDITIONS], { message: `one of ${CONDITIONS.join(', ')}` })
  condition?: Condition;
  @IsOptional()
  @IsNumber({ allowInfinity: false, allowNaN: false }, { message: 'a number from 0 to 3000 A' })
  @Min(0, { message: 'a number from 0 to 3000 A' })
  @Max(3000, { message: 'a number from 0 to 3000 A' })
  limitA?: number;
  @IsOptional() @IsUUID(undefined, { message: 'the id of an entry' }) withdraws?: string;
}

/** What happened to a job besides its survey: an append-only list. */
export function eventRoutes(pool: Pool): Router {
  const router = Router({ mergeParams: true });
  const ofJob = async <T>(request: Request, work: (db: PoolClient, jobId: string) => Promise<T>): Promise<T> => {
    const jobId = idParameter(request, 'jobId', 'job');
    return inFirm(pool, askerOf(request), async (db) => {
      if (!(await jobById(db, jobId))) throw notFound('job');
      return work(db, jobId);
    });
  };

  router.get('/', async (request, response) => {
    response.json({ events: await ofJob(request, eventsOf) });
  });

  router.post('/', async (request, response) => {
    const { id, kind, day, ...details } = bodyAs(EventBody, request.body);
    if (!isDay(day)) throw invalid([{ path: '$.day', wrong: 'is no day there is', expected: 'a date, YYYY-MM-DD' }]);
    if (kind === 'answered' && details.answer === undefined)
      throw invalid([{ path: '$.answer', wrong: 'is missing', expected: `one of ${ANSWERS_OF_OPERATOR.join(', ')}` }]);
    const events = await ofJob(request, async (db, jobId) => {
      const known = await eventsOf(db, jobId);
      if (kind === 'withdrawn' && !known.some((each) => each.id === details.withdraws && each.kind !== 'withdrawn'))
        throw invalid([{ path: '$.withdraws', wrong: 'is no entry of this job', expected: 'the id of one' }]);
      if (kind === 'sent' || kind === 'notice-sent') await olderThanSurvey(db, jobId, details.note);
      if (kind === 'closed' && !details.note) {
        const owed = await owedBy(db, jobId);
        if (owed.length > 0)
          throw new Problem(
            422,
            'Something is still due',
            'Say why it is closed all the same, or do what is still due.',
            {
              owed,
              faults: [{ path: '$.note', wrong: 'is missing', expected: 'why it is closed with something owed' }],
            },
          );
      }
      await insertEvent(db, askerOf(request), { id, jobId, kind, day, details });
      return eventsOf(db, jobId);
    });
    response.status(201).json({ events });
  });

  return router;
}
