import { clockEntries } from '@keen-gauge/core/calendar/ics-events';
import { clocksOf } from '@keen-gauge/core/calendar/clocks';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { daysOf } from '@keen-gauge/core/calendar/job-events';
import { Router } from 'express';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { eventsOf } from '../events/queries';
import { askerOf, idParameter } from '../http/asker';
import { notFound, Problem } from '../http/problem';
import { jobNumber } from '../jobs/numbers';
import { jobById } from '../jobs/queries';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import { firmRules } from '../firm/rules';
import { headOf } from '../surveys/queries';
import { holidaysAbout, isNation } from './holidays';
import { icsOf } from './ics';

/** Holidays by nation, for whoever counts working days. */
export function holidayRoutes(): Router {
  const router = Router();
  router.get('/:nation', (request, response) => {
    const { nation } = request.params;
    if (!isNation(nation)) throw notFound('nation');
    const today = ukDay(new Date());
    response.json({ today, holidays: holidaysAbout(nation, today) });
  });
  return router;
}

/** A job's running clocks as a file any calendar takes. */
export function jobCalendarRoutes(pool: Pool): Router {
  const router = Router({ mergeParams: true });
  router.get('/', async (request, response) => {
    const [asker, jobId] = [askerOf(request), idParameter(request, 'jobId', 'job')];
    const { job, events, nation, rules } = await inFirm(pool, asker, async (db) => {
      const [job, head] = [await jobById(db, jobId), await headOf(db, jobId)];
      if (!job || !head) throw notFound('job');
      return {
        job,
        events: await eventsOf(db, jobId),
        nation: head.survey.place.nation ?? 'england',
        rules: rulesFor(head.survey.place.meterPointNumber, await firmRules(db)),
      };
    });
    const today = ukDay(new Date());
    const clocks = clocksOf(daysOf(events), today, new Set(holidaysAbout(nation, today)), rules);
    const entries = clockEntries({ id: job.id, number: jobNumber(job.number), place: job.place }, clocks);
    if (entries.length === 0)
      throw new Problem(
        404,
        'Nothing is running',
        'No clock of this job is running, so there is nothing for a calendar.',
      );
    response
      .attachment(`${jobNumber(job.number)}.ics`)
      .type('text/calendar')
      .send(icsOf(entries));
  });
  return router;
}
