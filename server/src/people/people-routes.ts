import { Router } from 'express';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askerOf } from '../http/asker';

/** The people of the firm, for whoever gives them work: name and role, and nothing to reach them by. */
export function peopleRoutes(pool: Pool): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    const people = await inFirm(pool, askerOf(request), async (db) => {
      const found = await db.query<{ id: string; name: string; role: string }>(
        'SELECT id, name, role FROM people WHERE ended_at IS NULL ORDER BY name',
      );
      return found.rows;
    });
    response.json({ people });
  });
  return router;
}
