import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { makeJob, signAsItStands, testBench, type MadeJob, type TestBench } from '../testing/bench';

let bench: TestBench;
let anna: Agent;
let job: MadeJob;

beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
  job = await makeJob(anna);
});
afterAll(() => bench.close());

const since = async (): Promise<{ number: number; lines: { label: string; was?: string; is?: string }[] } | null> => {
  const { body } = await anna.get(`/api/jobs/${job.id}/packs/since`).expect(200);
  return (body as { since: Awaited<ReturnType<typeof since>> }).since;
};
const set = async (parentId: string, path: readonly string[], to: unknown): Promise<string> => {
  const id = randomUUID();
  await anna
    .post(`/api/jobs/${job.id}/survey/revisions`)
    .send({ id, parentId, changes: [{ kind: 'set', path, to }] })
    .expect(201);
  return id;
};
const sent = (more: object = {}) =>
  anna.post(`/api/jobs/${job.id}/events`).send({ id: randomUUID(), kind: 'sent', day: '2026-11-26', ...more });

describe('a pack older than the survey', () => {
  it('is none before anything is signed, and none while nothing was changed', async () => {
    expect(await since()).toBeNull();
    expect((await signAsItStands(anna, job.id, job.revisionId, 'Asked for early.')).status).toBe(201);
    expect(await since()).toMatchObject({ number: 1, lines: [] });
  });

  it('says what differs, and is not sent without a reason', async () => {
    const once = await set(job.revisionId, ['supply', 'nodes', 'cut-out', 'ratingA'], 80);
    await set(once, ['supply', 'nodes', 'cut-out', 'evidence'], 'label');
    const moved = await since();
    expect(moved?.lines.length).toBeGreaterThan(0);
    expect(moved?.lines.some(({ is }) => is?.includes('80 A'))).toBe(true);
    const refused = await sent().expect(409);
    expect(refused.body).toMatchObject({ title: 'Older than the survey' });
    await sent({ note: 'The operator asked for the first one again.' }).expect(201);
  });

  it('is no other firm’s to compare', async () => {
    const bea = await bench.as('bea@b.example');
    await bea.get(`/api/jobs/${job.id}/packs/since`).expect(404);
  });
});

describe('an answer of the operator', () => {
  const answer = async (): Promise<string | null> =>
    ((await anna.get(`/api/jobs/${job.id}`).expect(200)).body as { answer: string | null }).answer;

  it('stands with the job until it is withdrawn or something new is sent', async () => {
    expect(await answer()).toBeNull();
    const id = randomUUID();
    const enter = (body: object) => anna.post(`/api/jobs/${job.id}/events`).send({ day: '2026-11-26', ...body });
    await enter({ id, kind: 'answered', answer: 'refused' }).expect(201);
    expect(await answer()).toBe('refused');
    const diary = (await anna.get('/api/diary').expect(200)).body as { entries: [number, string][] };
    expect(diary.entries.map(([, clock]) => clock)).toContain('answer');
    await enter({ id: randomUUID(), kind: 'withdrawn', withdraws: id }).expect(201);
    expect(await answer()).toBeNull();
    await enter({ id: randomUUID(), kind: 'answered', answer: 'accepted' }).expect(201);
    await sent({ note: 'A new application.' }).expect(201);
    expect(await answer()).toBeNull();
  });
});
