import type { Agent } from 'supertest';
import { makeJob, testBench, type MadeJob, type TestBench } from '../testing/bench';

/** A database that goes away and comes back, as this application sees it. */
let bench: TestBench;
let anna: Agent;
let job: MadeJob;
beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
  job = await makeJob(anna);
});
afterAll(() => bench.close());

const cutAll = (): Promise<unknown> =>
  bench.owner.query(
    "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE usename = 'keen_gauge_app' AND datname = current_database()",
  );
const save = () =>
  anna.post(`/api/jobs/${job.id}/survey/revisions`).send({
    id: crypto.randomUUID(),
    parentId: job.revisionId,
    changes: [{ kind: 'set', path: ['notes'], to: `once ${crypto.randomUUID()}` }],
  });

it('a connection cut in the middle of work fails that work alone, with when to come again; the next is served', async () => {
  // Held up by a lock of ours, so that it is in the middle when it is cut.
  const holder = await bench.owner.connect();
  await holder.query('BEGIN; LOCK TABLE jobs IN ACCESS EXCLUSIVE MODE');
  const hanging = save();
  const sent = hanging.then((answer) => answer);
  await new Promise((resolve) => setTimeout(resolve, 300));
  await cutAll();
  const { status, headers, body } = await sent;
  await holder.query('ROLLBACK');
  holder.release();
  expect([status, headers['retry-after']]).toEqual([503, '1']);
  expect(body).toMatchObject({ title: 'The database does not answer' });
  await anna.get(`/api/jobs/${job.id}/survey`).expect(200);
});

it('thirty connections cut at once, idle or busy, end nothing', async () => {
  for (let round = 0; round < 5; round += 1) {
    const asked = Promise.all(Array.from({ length: 30 }, () => anna.get('/api/jobs')));
    await cutAll();
    for (const { status } of await asked) expect([200, 503]).toContain(status);
  }
  await anna.get('/api/jobs').expect(200);
  expect(bench.logged()).toContain('database connection lost');
});

it('a database that refuses says so: not ready, alive, and 503 with when to come again', async () => {
  const { rows } = await bench.owner.query<{ name: string }>('SELECT current_database() AS name');
  const name = rows[0]?.name ?? '';
  await bench.owner.query(`ALTER DATABASE ${name} CONNECTION LIMIT 0`);
  await cutAll();
  try {
    const asked = await bench.anyone().get('/api/health');
    expect([asked.status, asked.headers['retry-after']]).toEqual([503, '1']);
    await bench.anyone().get('/api/health/live').expect(200);
  } finally {
    await bench.owner.query(`ALTER DATABASE ${name} CONNECTION LIMIT -1`);
  }
  await bench.anyone().get('/api/health').expect(200);
});

it('a statement that never ends is ended, and nobody waits for it longer than ten seconds', async () => {
  const holder = await bench.owner.connect();
  await holder.query('BEGIN; LOCK TABLE jobs IN ACCESS EXCLUSIVE MODE');
  const started = Date.now();
  const { status } = await anna.get('/api/jobs');
  await holder.query('ROLLBACK');
  holder.release();
  expect(status).toBe(503);
  expect(Date.now() - started).toBeLessThan(11_000);
});
