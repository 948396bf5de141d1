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

describe('how far a job has come', () => {
  const state = async (id: string): Promise<unknown> =>
    ((await anna.get(`/api/jobs/${id}`).expect(200)).body as { state: string }).state;
  const of = (id: string, body: object) => anna.post(`/api/jobs/${id}/events`).send({ id: randomUUID(), ...body });

  it('follows what is entered, and goes back with what is withdrawn', async () => {
    const { id } = await makeJob(anna);
    const sent = randomUUID();
    await of(id, { id: sent, kind: 'sent', day: '2026-11-25' }).expect(201);
    expect(await state(id)).toBe('with-operator');
    await of(id, { kind: 'answered', day: '2026-11-26', answer: 'accepted-if', condition: 'limit', limitA: 16 }).expect(
      201,
    );
    expect(await state(id)).toBe('answered');
    const other = await makeJob(anna);
    await of(other.id, { id: randomUUID(), kind: 'vehicle-arrives', day: '2026-12-25' }).expect(201);
    expect(await state(other.id)).toBe('to-survey');
    const alone = await makeJob(anna);
    const entry = randomUUID();
    await of(alone.id, { id: entry, kind: 'sent', day: '2026-11-25' }).expect(201);
    await of(alone.id, { kind: 'withdrawn', day: '2026-11-25', withdraws: entry }).expect(201);
    expect(await state(alone.id)).toBe('surveying');
  });

  it('is closed with a reason while something is owed, leaves the diary, and can be opened again', async () => {
    const { id } = await makeJob(anna);
    await of(id, { kind: 'sent', day: '2026-11-25' }).expect(201);
    const refused = await of(id, { kind: 'closed', day: '2026-11-25' }).expect(422);
    const { owed } = refused.body as { owed: { id: string }[] };
    expect(owed.map((each) => each.id)).toEqual(
      expect.arrayContaining(['not-signed', 'not-answered', 'not-commissioned']),
    );
    await of(id, { kind: 'closed', day: '2026-11-25', note: 'The customer has moved.' }).expect(201);
    expect(await state(id)).toBe('closed');
    const diary = (await anna.get('/api/diary').expect(200)).body as { jobs: { id: string }[] };
    expect(diary.jobs.map((each) => each.id)).not.toContain(id);
    await of(id, { kind: 'reopened', day: '2026-11-26' }).expect(201);
    expect(await state(id)).toBe('with-operator');
  });
});

describe('what came with an entry', () => {
  it('is kept as it was, handed out to be saved, and is no other firm’s', async () => {
    const { id } = await makeJob(anna);
    const entry = randomUUID();
    await anna.post(`/api/jobs/${id}/events`).send({ id: entry, kind: 'sent', day: '2026-11-25' }).expect(201);
    const at = `/api/jobs/${id}/events/${entry}/attachments`;
    const made = await anna
      .post(`${at}?name=..%2Fletter.pdf`)
      .type('application/pdf')
      .send(Buffer.from('%PDF-1.4'))
      .expect(201);
    const [event] = (made.body as { events: { attachments: { id: string; name: string }[] }[] }).events;
    const [file] = event?.attachments ?? [];
    expect(file?.name).toBe('.. letter.pdf');
    const got = await anna.get(`${at}/${file?.id ?? ''}`).expect(200);
    expect(got.headers['content-disposition']).toContain('attachment');
    expect(got.headers['x-content-type-options']).toBe('nosniff');
    const bea = await bench.as('bea@b.example');
    await bea.get(`${at}/${file?.id ?? ''}`).expect(404);
    await bea.post(at).type('application/pdf').send(Buffer.from('x')).expect(404);
  });
  it('is refused where it is no kind that is kept, empty, or for no entry', async () => {
    const { id } = await makeJob(anna);
    const at = (entry: string): string => `/api/jobs/${id}/events/${entry}/attachments`;
    await anna.post(at(randomUUID())).type('application/pdf').send(Buffer.from('x')).expect(404);
    await anna.post(at(randomUUID())).type('text/html').send('<script>').expect(415);
  });
});
