import { Router } from 'express';
import { pipeline } from 'node:stream/promises';
import type { Pool } from 'pg';
import { audit } from '../audit/queries';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { notFound } from '../http/problem';
import { jobNumber } from '../jobs/numbers';
import { jobById } from '../jobs/queries';
import { mustBeAllowed } from '../people/rights';
import { askForErasure, erasureOf } from './erasure';
import { everythingOf } from './export';

/** What is kept of a job’s customer: all of it as a file, and erased. */
export function privacyRoutes(pool: Pool): Router {
  const router = Router({ mergeParams: true });

  router.get('/', async (request, response) => {
    const jobId = idParameter(request, 'jobId', 'job');
    const erasure = await inFirm(pool, askerOf(request), async (db) => {
      if (!(await jobById(db, jobId))) throw notFound('job');
      return (await erasureOf(db, jobId)) ?? null;
    });
    response.json({ erasure });
  });

  router.get('/everything.zip', async (request, response) => {
    const asker = askerOf(request);
    const jobId = idParameter(request, 'jobId', 'job');
    const job = await inFirm(pool, asker, async (db) => {
      const found = await jobById(db, jobId);
      if (!found) throw notFound('job');
      await mustBeAllowed(db, asker, 'export-personal-data');
      await audit(db, asker, jobId, 'data-exported');
      return found;
    });
    const zip = await everythingOf(pool, asker, jobId);
    if (!zip) throw notFound('job');
    response.attachment(`${jobNumber(job.number)}-everything.zip`).type('application/zip');
    await pipeline(zip, response);
  });

  router.post('/erase', async (request, response) => {
    const asker = askerOf(request);
    const jobId = idParameter(request, 'jobId', 'job');
    const erasure = await inFirm(pool, asker, async (db) => {
      if (!(await jobById(db, jobId))) throw notFound('job');
      await mustBeAllowed(db, asker, 'erase-personal-data');
      if (await askForErasure(db, asker.firmId, jobId, asker.personId)) await audit(db, asker, jobId, 'erasure-asked');
      return erasureOf(db, jobId);
    });
    response.status(202).json({ erasure });
  });

  return router;
}
