import { Router } from 'express';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { notFound } from '../http/problem';
import { mustBeAllowed } from '../people/rights';
import { stuckTasks, tryAgain } from './queue';

/** Background work that has failed often: shown to supervisors, who may have it tried again. */
export function taskRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    const asker = askerOf(request);
    const tasks = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'see-stuck-work');
      return stuckTasks(db);
    });
    response.json({ tasks });
  });

  router.post('/:taskId/again', async (request, response) => {
    const [asker, id] = [askerOf(request), idParameter(request, 'taskId', 'task')];
    const tasks = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'see-stuck-work');
      if (!(await tryAgain(db, id))) throw notFound('task');
      return stuckTasks(db);
    });
    response.status(201).json({ tasks });
  });

  return router;
}
