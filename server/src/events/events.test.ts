import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { makeJob, testBench, type MadeJob, type TestBench } from '../testing/bench';

let bench: TestBench;
let anna: Agent;
let job: MadeJob;

beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
  job = await makeJob(anna);
});
afterAll(() => bench.close());

const enter = (body: object, who = anna) => who.post(`/api/jobs/${job.id}/events`).send({ id: randomUUID(), ...body });

it('keeps what happened in order, with who; the same entry sent twice is one', async () => {
  const id = randomUUID();
  await enter({ id, kind: 'sent', day: '2026-11-25', reference: 'A-77' }).expect(201);
  await enter({ id, kind: 'sent', day: '2026-11-25', reference: 'A-77' }).expect(201);
  const found = await anna.get(`/api/jobs/${job.id}/events`).expect(200);
  expect(found.body).toMatchObject({
    events: [{ id, kind: 'sent', day: '2026-11-25', details: { reference: 'A-77' }, by: 'anna' }],
  });
});

it('an entry is withdrawn by another, and nothing is ever changed', async () => {
  const id = randomUUID();
  await enter({ id, kind: 'commissioned', day: '2026-11-24' }).expect(201);
  await enter({ kind: 'withdrawn', day: '2026-11-25', withdraws: id }).expect(201);
  await enter({ kind: 'withdrawn', day: '2026-11-25', withdraws: randomUUID() }).expect(422);
  await expect(bench.app.query("UPDATE job_events SET day = '2020-01-01'")).rejects.toThrow(/permission denied/);
  await expect(bench.app.query('DELETE FROM job_events')).rejects.toThrow(/permission denied/);
});

it.each([
  ['a day there is not', { kind: 'sent', day: '2026-02-29' }, '$.day'],
  ['an answer that is none', { kind: 'answered', day: '2026-11-25', answer: 'perhaps' }, '$.answer'],
  ['an answer without one', { kind: 'answered', day: '2026-11-25' }, '$.answer'],
  ['a kind there is not', { kind: 'exploded', day: '2026-11-25' }, '$.kind'],
])('refuses %s', async (_name, body, path) => {
  const refused = await enter(body).expect(422);
  expect((refused.body as { faults: { path: string }[] }).faults.map((fault) => fault.path)).toContain(path);
});

it('is another firm’s neither to read nor to write, and needs signing in', async () => {
  const bea = await bench.as('bea@b.example');
  await bea.get(`/api/jobs/${job.id}/events`).expect(404);
  await enter({ kind: 'sent', day: '2026-11-25' }, bea).expect(404);
  await bea.get(`/api/jobs/${job.id}/calendar.ics`).expect(404);
  await bench.anyone().get(`/api/jobs/${job.id}/events`).expect(401);
});

it('gives the running clocks to a calendar, and says so when none runs', async () => {
  const file = await anna.get(`/api/jobs/${job.id}/calendar.ics`).expect(200);
  expect(file.headers['content-type']).toContain('text/calendar');
  expect(file.text).toContain(`UID:reply-${job.id}@keen-gauge`);
  const other = await makeJob(anna);
  await anna.get(`/api/jobs/${other.id}/calendar.ics`).expect(404);
  await anna.get('/api/holidays/atlantis').expect(404);
  const holidays = await anna.get('/api/holidays/scotland').expect(200);
  expect((holidays.body as { holidays: string[] }).holidays.length).toBeGreaterThan(20);
});
