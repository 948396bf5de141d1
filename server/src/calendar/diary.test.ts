import { randomUUID } from 'node:crypto';
import type { Agent, Response } from 'supertest';
import { makeJob, testBench, type MadeJob, type TestBench } from '../testing/bench';

let bench: TestBench;
let anna: Agent;
let bea: Agent;
let job: MadeJob;
beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
  bea = await bench.as('bea@b.example');
  job = await makeJob(anna);
  await anna.post(`/api/jobs/${job.id}/events`).send({ id: randomUUID(), kind: 'sent', day: '2026-11-25' }).expect(201);
});
afterAll(() => bench.close());

it('shows the running clocks of the firm’s jobs, soonest first, and no other firm’s', async () => {
  const found = (await anna.get('/api/diary').expect(200)).body as {
    jobs: { id: string }[];
    entries: unknown[];
  };
  expect(found.jobs).toMatchObject([{ id: job.id, place: '1 Test Lane' }]);
  expect(found.entries).toEqual([
    [0, 'reply', '2026-11-25', '2026-12-09'],
    [0, 'chase', '2026-11-25', '2026-12-10'],
  ]);
  expect((await bea.get('/api/diary').expect(200)).body).toMatchObject({ entries: [] });
  await bench.anyone().get('/api/diary').expect(401);
});

/** Asks as a calendar does: again a little later, for as long as it is told that the diary is being written. */
async function calendar(path: string): Promise<Response> {
  for (;;) {
    const answer = await bench.anyone().get(path);
    if (answer.status !== 503) return answer;
  }
}

it('is read by a calendar under its secret address, until that is revoked', async () => {
  const made = (await anna.post('/api/diary/feeds').expect(201)).body as { path: string };
  const feed = await calendar(made.path);
  expect(feed.status).toBe(200);
  expect(feed.headers['content-type']).toContain('text/calendar');
  expect(feed.text).toContain(`UID:reply-${job.id}@keen-gauge`);
  const { feeds } = (await anna.get('/api/diary/feeds').expect(200)).body as {
    feeds: { id: string; madeBy: string }[];
  };
  expect(feeds).toMatchObject([{ madeBy: 'anna' }]);
  const id = feeds[0]?.id ?? '';
  await bea.delete(`/api/diary/feeds/${id}`).expect(404);
  await anna.delete(`/api/diary/feeds/${id}`).expect(204);
  await bench.anyone().get(made.path).expect(404);
  await bench.anyone().get('/api/feed/guess/diary.ics').expect(404);
  expect(bench.logged()).not.toContain(made.path.split('/')[3]);
});

it('is written once for each state of the firm, and not sent again to a calendar that has it', async () => {
  const made = (await anna.post('/api/diary/feeds').expect(201)).body as { path: string };
  const first = await calendar(made.path);
  const tag = first.headers['etag'] ?? '';
  const same = await bench.anyone().get(made.path).set('If-None-Match', tag).expect(304);
  expect(same.text).toBe('');
  const written = async (): Promise<unknown> => (await bench.owner.query('SELECT made_at FROM diary_files')).rows;
  const before = await written();
  for (let times = 0; times < 5; times += 1) await calendar(made.path);
  expect(await written()).toEqual(before);
  const other = await makeJob(anna);
  await anna
    .post(`/api/jobs/${other.id}/events`)
    .send({ id: randomUUID(), kind: 'sent', day: '2026-11-25' })
    .expect(201);
  // A calendar that asks while the new one is being written is given the one before it, sooner or later the new one.
  let later = first;
  while (later.headers['etag'] === tag) later = await calendar(made.path);
  expect(later.status).toBe(200);
  expect(later.text).toContain(`UID:reply-${other.id}@keen-gauge`);
});

it('another firm’s address shows another firm’s diary', async () => {
  const made = (await bea.post('/api/diary/feeds').expect(201)).body as { path: string };
  const theirs = await calendar(made.path);
  expect(theirs.status).toBe(200);
  expect(theirs.text).not.toContain(job.id);
});
