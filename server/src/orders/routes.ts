import { ukDay } from '@keen-gauge/core/calendar/days';
import type { OrderList } from '@keen-gauge/core/order/order-list';
import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, IsUUID } from 'class-validator';
import { Router } from 'express';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { firmRules } from '../firm/rules';
import { heavy } from '../heavy/threads';
import { askerOf } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound } from '../http/problem';
import { jobNumber } from '../jobs/numbers';
import { jobById } from '../jobs/queries';
import { priceBookOf } from '../prices/queries';
import { seesPrices } from '../prices/seeing';
import { headOf } from '../surveys/queries';

class OrderBody {
  @IsArray({ message: 'a list of jobs' })
  @ArrayMinSize(1, { message: 'at least one job' })
  @ArrayMaxSize(60, { message: 'at most sixty jobs' })
  @ArrayUnique({ message: 'each job once' })
  @IsUUID('all', { each: true, message: 'ids of jobs' })
  jobs: string[];
}

/** What to buy over chosen jobs. Everybody may see what is bought; what it costs, only who may see prices. */
export function orderRoutes(pool: Pool): Router {
  const router = Router();

  router.post('/', async (request, response) => {
    const asker = askerOf(request);
    const { jobs: wanted } = bodyAs(OrderBody, request.body);
    const { sees, ...input } = await inFirm(pool, asker, async (db) => {
      const jobs = [];
      for (const id of wanted) {
        const [job, head] = [await jobById(db, id), await headOf(db, id)];
        if (!job || !head) throw notFound('job');
        jobs.push({ id, name: `${jobNumber(job.number)} ${job.place}`, survey: head.survey });
      }
      const stored = await priceBookOf(db);
      return { jobs, rules: await firmRules(db), book: stored.book, sees: await seesPrices(db, asker, stored) };
    });
    const found = await heavy('linesOfJobs', { ...input, day: ukDay(new Date()) });
    response.json(sees ? found : withoutPrices(found));
  });

  return router;
}

function withoutPrices({ suppliers, open }: OrderList): OrderList {
  return {
    open,
    suppliers: suppliers.map((each) => ({
      ...each,
      pence: 0,
      rows: each.rows.map((row) => ({ ...row, pence: null })),
    })),
  };
}
