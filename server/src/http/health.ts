import { Router } from 'express';
import type { Pool } from 'pg';

/** How an instance stands; told to stop, it takes on nothing more. */
export interface Standing {
  stopping: boolean;
}

/** How long the database may take to answer, ms, before an instance says that it is not ready. */
const PATIENCE_MS = 2000;

/**
 * `/health/live`: the process answers, whatever the database does; one that does not is to be killed. `/health`: it can work now; requests go to another instance
 * while it says 503. Looked at often and by many, so all who ask at once share one question to the database.
 */
export function healthRoutes(pool: Pool, standing: Standing): Router {
  const router = Router();
  const answers = shared(() => answersWithin(pool, PATIENCE_MS));
  router.get('/health/live', (_request, response) => {
    response.json({ live: true });
  });
  router.get('/health', async (_request, response) => {
    const ready = !standing.stopping && (await answers());
    if (ready) response.json({ ok: true });
    else response.status(503).set('Retry-After', '1').json({ ok: false, stopping: standing.stopping });
  });
  return router;
}

async function answersWithin(pool: Pool, ms: number): Promise<boolean> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<boolean>((resolve) => {
    timer = setTimeout(resolve, ms, false);
  });
  const asked = pool.query('SELECT 1').then(
    () => true,
    () => false,
  );
  try {
    return await Promise.race([asked, late]);
  } finally {
    clearTimeout(timer);
  }
}

/** Whoever asks while an answer is on its way gets that one. */
function shared<T>(ask: () => Promise<T>): () => Promise<T> {
  let underWay: Promise<T> | undefined;
  return () => {
    underWay ??= ask().finally(() => (underWay = undefined));
    return underWay;
  };
}
