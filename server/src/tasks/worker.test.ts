import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { inFirm } from '../db/firm-scope';
import { openMetrics } from '../signals/metrics';
import { testBench, type TestBench } from '../testing/bench';
import { backOffS, STUCK_AFTER } from './back-off';
import { askFor, TASK_KINDS, takeTask, type Task } from './queue';
import { startWorkers, workOnce, type Handler, type Handlers, type Outcome } from './worker';

let bench: TestBench;
let anna: Agent;
beforeAll(async () => {
  bench = await testBench(undefined, 'by hand');
  anna = await bench.as('anna@a.example');
});
afterAll(() => bench.close());
beforeEach(() => bench.owner.query('DELETE FROM tasks'));

const firm = (index = 0) => ({ firmId: bench.firms[index]?.firmId ?? '' });
const ask = (about: string, index = 0): Promise<void> =>
  inFirm(bench.app, firm(index), (db) => askFor(db, firm(index), 'write-diary', about));
const handlersOf = (handler: Handler): Handlers =>
  Object.fromEntries(TASK_KINDS.map((kind) => [kind, handler])) as Handlers;
const work = (handler: Handler): Promise<boolean> =>
  workOnce(bench.app, bench.log, openMetrics(), handlersOf(handler), TASK_KINDS);
const rows = async (): Promise<Record<string, unknown>[]> =>
  (await bench.owner.query<Record<string, unknown>>('SELECT * FROM tasks ORDER BY made_at')).rows;
const dueNow = () =>
  bench.owner.query("UPDATE tasks SET next_at = now(), claimed_until = claimed_until - interval '1 hour'");

it('is there with what makes it needed, or not at all', async () => {
  await expect(
    inFirm(bench.app, firm(), async (db) => {
      await askFor(db, firm(), 'write-diary', 'x');
      throw new Error('no');
    }),
  ).rejects.toThrow('no');
  expect(await rows()).toEqual([]);
});

it('asked for many times while it waits it is done once; asked for while it is done, once more', async () => {
  for (let times = 0; times < 5; times += 1) await ask('x');
  const done: string[] = [];
  const handler: Handler = async ({ about }) => {
    done.push(about);
    if (done.length === 1) await ask('x');
    return 'done';
  };
  while (await work(handler));
  expect(done).toEqual(['x', 'x']);
  expect(await rows()).toEqual([]);
});

it('what fails waits longer each time, is shown to a supervisor once it is stuck, and can be tried again', async () => {
  expect([1, 2, 3, 10, 40].map(backOffS)).toEqual([1, 2, 4, 512, 900]);
  await ask('x');
  for (let tries = 1; tries <= STUCK_AFTER; tries += 1) {
    expect((await anna.get('/api/firm/tasks').expect(200)).body).toEqual({ tasks: [] });
    await work(() => Promise.reject(new Error('the printer is out')));
    await dueNow();
  }
  const shown = (await anna.get('/api/firm/tasks').expect(200)).body as {
    tasks: { id: string; attempts: number; trouble: string }[];
  };
  expect(shown.tasks).toMatchObject([{ attempts: STUCK_AFTER, trouble: expect.stringContaining('log') }]);
  expect(bench.logged()).toContain('the printer is out');
  const bea = await bench.as('bea@b.example');
  expect((await bea.get('/api/firm/tasks').expect(200)).body).toEqual({ tasks: [] });
  const id = shown.tasks[0]?.id ?? '';
  await bea.post(`/api/firm/tasks/${id}/again`).expect(404);
  await bench.owner.query("UPDATE tasks SET next_at = now() + interval '1 hour'");
  await anna.post(`/api/firm/tasks/${id}/again`).expect(201);
  expect(await work(() => Promise.resolve('done'))).toBe(true);
  expect((await anna.get('/api/firm/tasks')).body).toEqual({ tasks: [] });
});

it('taken up by an instance that dies, it is taken up by another once the claim has run out, and not before', async () => {
  await ask('x');
  const dead = (await takeTask(bench.app, TASK_KINDS)) as Task;
  expect(dead.about).toBe('x');
  expect(await work(() => Promise.resolve('done'))).toBe(false);
  await dueNow();
  let again: Task | undefined;
  await work((task) => {
    again = task;
    return Promise.resolve<Outcome>('done');
  });
  expect([again?.id, again?.attempts, again?.claim === dead.claim]).toEqual([dead.id, 2, false]);
  expect(await rows()).toEqual([]);
});

it('an instance that was thought dead and comes back takes nothing away from who has it now', async () => {
  await ask('x');
  let others: Task | undefined;
  await work(async () => {
    await dueNow();
    others = await takeTask(bench.app, TASK_KINDS);
    return 'done';
  });
  expect((await rows())[0]).toMatchObject({ claim: others?.claim });
});

it('two instances do each of many once, of whichever firm, and are woken rather than waiting', async () => {
  const done: string[] = [];
  const handler: Handler = ({ about }) => {
    done.push(about);
    return Promise.resolve('done');
  };
  const both = [1, 2].map(() => startWorkers(bench.app, bench.log, openMetrics(), handlersOf(handler)));
  await new Promise((resolve) => setTimeout(resolve, 1500));
  const wanted = Array.from({ length: 20 }, () => randomUUID());
  try {
    // One after the other: twenty connections at once are more than a busy machine gives in time.
    for (const [at, about] of wanted.entries()) await ask(about, at % 2);
    while (done.length < wanted.length) await new Promise((resolve) => setTimeout(resolve, 20));
  } finally {
    await Promise.all(both.map((each) => each.stop()));
  }
  expect([...done].sort()).toEqual([...wanted].sort());
  expect(await rows()).toEqual([]);
});

it('counts what waits, for whoever watches', async () => {
  await ask('x');
  const { rows: counts } = await bench.app.query<{ kind: string; waiting: string }>(
    'SELECT kind, waiting FROM task_counts()',
  );
  expect(counts).toEqual([{ kind: 'write-diary', waiting: '1' }]);
});
