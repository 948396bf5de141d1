import { ukDay } from '@keen-gauge/core/calendar/days';
import { materialLessons } from '@keen-gauge/core/learning/materials';
import { taskLessons } from '@keen-gauge/core/learning/rates';
import { kindLessons } from '@keen-gauge/core/learning/wins';
import { personHours } from '@keen-gauge/core/price/at-day';
import { TASKS } from '@keen-gauge/core/price/tasks';
import { STARTER_TERMS } from '@keen-gauge/core/price/starter';
import { Router } from 'express';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askerOf } from '../http/asker';
import { bookToSee } from '../prices/seeing';
import { lessonsOf } from './queries';

/** What the firm’s own jobs teach of its rates and its quotations. Nothing is taken over by itself. */
export function lessonRoutes(pool: Pool): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    const asker = askerOf(request);
    const shown = await inFirm(pool, asker, async (db) => {
      const { book } = await bookToSee(db, asker);
      const { jobs, materials, quotes } = await lessonsOf(db, book, ukDay(new Date()));
      const learnFrom = book.terms.learnFrom ?? STARTER_TERMS.learnFrom;
      return {
        tasks: taskLessons(
          jobs,
          learnFrom,
          personHours(TASKS, (task) => book.rates.find((each) => each.task === task)),
        ),
        materials: materialLessons(materials, learnFrom),
        kinds: kindLessons(quotes),
        finished: jobs.length,
      };
    });
    response.json(shown);
  });
  return router;
}
