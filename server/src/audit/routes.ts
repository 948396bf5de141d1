import { csv } from '@keen-gauge/core/pack/files';
import { safeCell } from '@keen-gauge/core/demand/schedule';
import { Router, type Request } from 'express';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { notFound } from '../http/problem';
import { jobNumber } from '../jobs/numbers';
import { jobById } from '../jobs/queries';
import { auditOfFirm, auditOfJob, type AuditEntry } from './queries';

/** Who decided what on a job, to read and to take away. */
export function jobAuditRoutes(pool: Pool): Router {
  const router = Router({ mergeParams: true });
  const recordOf = (request: Request): Promise<{ number: number; entries: AuditEntry[] }> => {
    const jobId = idParameter(request, 'jobId', 'job');
    return inFirm(pool, askerOf(request), async (db) => {
      const job = await jobById(db, jobId);
      if (!job) throw notFound('job');
      return { number: job.number, entries: await auditOfJob(db, jobId) };
    });
  };

  router.get('/', async (request, response) => {
    response.json({ entries: (await recordOf(request)).entries });
  });

  router.get('/record.csv', async (request, response) => {
    const { number, entries } = await recordOf(request);
    response
      .attachment(`${jobNumber(number)}-record.csv`)
      .type('text/csv')
      .send(asTable(entries));
  });

  return router;
}

function asTable(entries: readonly AuditEntry[]): string {
  const rows = entries.map(({ at, by, what, details }) => [at, by, what, JSON.stringify(details)].map(safeCell));
  return csv([['at (UTC)', 'by', 'what', 'details'], ...rows]);
}

const MOST = 500;

/** What was changed of what the firm sets for itself. */
export function firmAuditRoutes(pool: Pool): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    response.json({ entries: await inFirm(pool, askerOf(request), (db) => auditOfFirm(db, MOST)) });
  });
  router.get('/record.csv', async (request, response) => {
    // All of it: what is taken away is taken away whole.
    const entries = await inFirm(pool, askerOf(request), (db) => auditOfFirm(db, null));
    response.attachment('firm-record.csv').type('text/csv').send(asTable(entries));
  });
  return router;
}
