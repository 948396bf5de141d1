import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import { randomUUID } from 'node:crypto';
import { call } from './call';
import { quantile, report } from './report';

interface Saver {
  readonly jobId: string;
  revisionId: string;
  count: number;
}

const PEOPLE = 50;

/** Fifty people, each typing in a survey of their own that saves itself about once a second; then all at one instant. */
export async function benchAutosave(base: string): Promise<void> {
  const { cookie } = await call(base, 'POST', '/session', '', {
    email: 'maren@fennel.example',
    password: 'keen-gauge-demo',
  });
  const savers: Saver[] = [];
  for (let index = 0; index < PEOPLE; index += 1) {
    const jobId = randomUUID();
    await call(base, 'POST', '/jobs', cookie, { id: jobId, place: `Bench ${index}`, wanted: 'bench' });
    const head = await call(base, 'GET', `/jobs/${jobId}/survey`, cookie);
    const saver: Saver = { jobId, revisionId: (head.body as { revisionId: string }).revisionId, count: 0 };
    const loads = (STARTING_SETS[1]?.loads ?? []).map((load, at) => ({
      kind: 'set',
      path: ['loads', load.id],
      to: load,
      index: at,
    }));
    await save(base, cookie, saver, loads);
    savers.push(saver);
  }
  const once = (saver: Saver): Promise<number> =>
    save(base, cookie, saver, [
      {
        kind: 'set',
        path: ['notes'],
        ...(saver.count > 0 ? { from: `note ${saver.count - 1}` } : {}),
        to: `note ${saver.count}`,
      },
    ]).then((time) => {
      saver.count += 1;
      return time;
    });
  const typing = await Promise.all(
    savers.map(async (saver) => {
      const times: number[] = [];
      await new Promise((resolve) => setTimeout(resolve, Math.random() * 1000));
      for (let at = 0; at < 10; at += 1) {
        times.push(await once(saver));
        await new Promise((resolve) => setTimeout(resolve, 700 + Math.random() * 600));
      }
      return times;
    }),
  );
  report(
    `autosave round trip, ${PEOPLE} people each saving about once a second, 95th percentile`,
    quantile(typing.flat(), 0.95),
    'ms',
    50,
  );
  const bursts: number[] = [];
  for (let at = 0; at < 10; at += 1) bursts.push(...(await Promise.all(savers.map(once))));
  report(
    `autosave round trip, ${PEOPLE} people saving at one instant, 95th percentile`,
    quantile(bursts, 0.95),
    'ms',
    50,
  );
}

async function save(base: string, cookie: string, saver: Saver, changes: readonly object[]): Promise<number> {
  const id = randomUUID();
  const start = performance.now();
  const made = await call(base, 'POST', `/jobs/${saver.jobId}/survey/revisions`, cookie, {
    id,
    parentId: saver.revisionId,
    changes,
  });
  if (made.status !== 201) throw new Error(`save answered ${made.status}: ${JSON.stringify(made.body)}`);
  saver.revisionId = id;
  return performance.now() - start;
}
