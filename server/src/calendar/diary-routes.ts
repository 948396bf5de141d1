import { ukDay } from '@keen-gauge/core/calendar/days';
import { Router, type Request } from 'express';
import { createHash } from 'node:crypto';
import type { Pool } from 'pg';
import { audit } from '../audit/queries';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { once, secretFor } from '../http/once';
import { notFound, Problem } from '../http/problem';
import { firmRules } from '../firm/rules';
import { mustBeAllowed } from '../people/rights';
import { askFor } from '../tasks/queue';
import { diaryOf } from './diary';
import { diaryFor } from './diary-file';

const hashOf = (key: string): Buffer => createHash('sha256').update(key).digest();

/** The firm's diary, and the secret addresses under which calendars subscribe to it. */
export function diaryRoutes(pool: Pool, serverSecret: string): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    const today = ukDay(new Date());
    const entries = await inFirm(pool, askerOf(request), async (db) => {
      return diaryOf(db, await firmRules(db), today);
    });
    // Thousands of entries of as many jobs: each job is told of once, and what follows from the rest is left out.
    const at = new Map<string, number>();
    const jobs: { id: string; number: number; place: string }[] = [];
    const told = entries.map(({ jobId, number, place, id, fromOn, dueOn }) => {
      const index = at.get(jobId) ?? jobs.push({ id: jobId, number, place }) - 1;
      at.set(jobId, index);
      return [index, id, fromOn, dueOn] as const;
    });
    response.json({ today, jobs, entries: told });
  });

  router.get('/feeds', async (request, response) => {
    const feeds = await inFirm(pool, askerOf(request), async (db) => {
      const found = await db.query<{ id: string; madeBy: string; madeAt: Date }>(
        `SELECT f.id, p.name AS "madeBy", f.made_at AS "madeAt" FROM calendar_feeds f JOIN people p ON p.id = f.made_by
          WHERE f.revoked_at IS NULL ORDER BY f.made_at`,
      );
      return found.rows;
    });
    response.json({ feeds });
  });

  router.post('/feeds', async (request, response) => {
    const asker = askerOf(request);
    const key = secretFor(request, asker, serverSecret, 'feed').toString('base64url');
    await inFirm(pool, asker, async (db) => {
      await once(db, asker, request, async () => {
        await db.query('INSERT INTO calendar_feeds (firm_id, key_hash, made_by) VALUES ($1, $2, $3)', [
          asker.firmId,
          hashOf(key),
          asker.personId,
        ]);
        // Written beforehand, so that the first calendar that asks need not wait.
        await askFor(db, { firmId: asker.firmId }, 'write-diary', asker.firmId);
        await audit(db, asker, null, 'feed-made');
        return {};
      });
    });
    // The address is shown this once and kept nowhere.
    response.status(201).json({ path: `/api/feed/${key}/diary.ics` });
  });

  router.delete('/feeds/:feedId', async (request, response) => {
    const [asker, id] = [askerOf(request), idParameter(request, 'feedId', 'calendar address')];
    await inFirm(pool, asker, async (db) => {
      const own = await db.query('SELECT 1 FROM calendar_feeds WHERE id = $1 AND made_by = $2', [id, asker.personId]);
      if (own.rowCount === 0) await mustBeAllowed(db, asker, 'revoke-others-feeds');
      const revoked = await db.query(
        'UPDATE calendar_feeds SET revoked_at = now() WHERE id = $1 AND revoked_at IS NULL',
        [id],
      );
      if (revoked.rowCount === 0) throw notFound('calendar address');
      await audit(db, asker, null, 'feed-revoked');
    });
    response.status(204).end();
  });

  return router;
}

const tagOf = (version: string): string => `"${version}"`;

const NOT_WRITTEN = new Problem(
  503,
  'Being written',
  'This diary is being written for the first time. Ask again in a moment.',
);

/** The diary for a calendar that knows the address; it signs in to nothing. */
export function feedRoutes(pool: Pool): Router {
  const router = Router();
  router.get('/:key/diary.ics', async (request: Request, response) => {
    const { key } = request.params;
    const found = await pool.query<{ firmId: string | null }>('SELECT firm_of_calendar_feed($1) AS "firmId"', [
      hashOf(typeof key === 'string' ? key : ''),
    ]);
    const firmId = found.rows[0]?.firmId;
    if (!firmId) throw notFound('calendar');
    const asked = request.get('if-none-match');
    const file = await diaryFor(pool, firmId, (version) => asked === tagOf(version));
    if (!file) throw NOT_WRITTEN;
    response.set({ ETag: tagOf(file.version), 'Cache-Control': 'private, no-cache' });
    if ('body' in file) response.type('text/calendar').send(file.body);
    else response.status(304).end();
  });
  return router;
}
