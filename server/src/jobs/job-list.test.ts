import { addDays, ukDay } from '@keen-gauge/core/calendar/days';
import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { makeJob, testBench, type TestBench } from '../testing/bench';

/** The list of jobs as an office works with it. */

interface Listed {
  readonly id: string;
  readonly state: string;
  readonly nextOn: string | null;
  readonly nextWhat: string | null;
  readonly late: boolean;
  readonly archived: boolean;
  readonly assignedTo: { readonly id: string; readonly name: string } | null;
}

let bench: TestBench;
let anna: Agent;
let people: { id: string; name: string; role: string }[];
beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
  ({ people } = (await anna.get('/api/people').expect(200)).body as { people: typeof people });
});
afterAll(() => bench.close());

const today = ukDay(new Date());
const list = async (query: object): Promise<{ jobs: Listed[]; total: number; stages: Record<string, number> }> =>
  (await anna.get('/api/jobs').query(query).expect(200)).body as never;
const one = async (id: string): Promise<Listed> => (await anna.get(`/api/jobs/${id}`).expect(200)).body as Listed;
const enter = (id: string, body: object) =>
  anna
    .post(`/api/jobs/${id}/events`)
    .send({ id: randomUUID(), ...body })
    .expect(201);
const change = (id: string, body: object) => anna.patch(`/api/jobs/${id}`).send(body);
const idOf = (name: string): string => people.find((person) => person.name === name)?.id ?? '';

describe('whose a job is', () => {
  it('is whoever made it, is given to another, or to nobody, and that is in its record', async () => {
    const { id } = await makeJob(anna);
    expect((await one(id)).assignedTo).toMatchObject({ name: 'anna' });
    await change(id, { assignedTo: idOf('alan') }).expect(200);
    expect((await list({ person: idOf('alan') })).jobs.map((job) => job.id)).toContain(id);
    await change(id, { assignedTo: 'nobody' }).expect(200);
    expect((await list({ person: 'nobody' })).jobs.map((job) => job.id)).toContain(id);
    const { entries } = (await anna.get(`/api/jobs/${id}/record`)).body as { entries: { what: string }[] };
    expect(entries.filter(({ what }) => what === 'job-assigned')).toHaveLength(2);
  });

  it('is nobody of another firm, and another firm gives nothing away', async () => {
    const { id } = await makeJob(anna);
    const bea = await bench.as('bea@b.example');
    const theirs = ((await bea.get('/api/people')).body as { people: { id: string; name: string }[] }).people;
    expect(theirs.map(({ name }) => name)).not.toContain('anna');
    const refused = await change(id, { assignedTo: theirs[0]?.id }).expect(422);
    expect(refused.body).toMatchObject({ faults: [{ path: '$.assignedTo' }] });
    await bea.patch(`/api/jobs/${id}`).send({ archived: true }).expect(404);
    await bench.anyone().patch(`/api/jobs/${id}`).send({ archived: true }).expect(401);
  });
});

describe('the next day of a job', () => {
  it('is the clock that runs out first, late once it is past, and gone when it is done', async () => {
    const { id } = await makeJob(anna);
    expect(await one(id)).toMatchObject({ nextOn: null, nextWhat: null, late: false });
    const sent = addDays(today, -60);
    await enter(id, { kind: 'sent', day: sent });
    const late = await one(id);
    expect(late).toMatchObject({ nextWhat: 'reply', late: true });
    expect(late.nextOn && late.nextOn < today).toBe(true);
    expect((await list({ late: 'yes' })).jobs.map((job) => job.id)).toContain(id);
    await enter(id, { kind: 'answered', day: today, answer: 'accepted' });
    expect(await one(id)).toMatchObject({ nextOn: null, late: false });
    expect((await list({ late: 'yes' })).jobs.map((job) => job.id)).not.toContain(id);
  });

  it('is a booked visit while that is to come, and nothing is late after it', async () => {
    const { id } = await makeJob(anna);
    await enter(id, { kind: 'survey-booked', day: addDays(today, 3) });
    expect(await one(id)).toMatchObject({ nextOn: addDays(today, 3), nextWhat: 'survey-visit', late: false });
    await enter(id, { kind: 'survey-booked', day: addDays(today, -3) });
    expect(await one(id)).toMatchObject({ nextOn: null, late: false });
  });

  it('follows the nation: a reply counted over holidays that nation does not have', async () => {
    // 27 November 2026 to ten working days later, over St Andrew’s Day on 30 November.
    const job = await makeJob(anna);
    await enter(job.id, { kind: 'sent', day: '2026-11-27' });
    expect((await one(job.id)).nextOn).toBe('2026-12-11');
    await anna
      .post(`/api/jobs/${job.id}/survey/revisions`)
      .send({
        id: randomUUID(),
        parentId: job.revisionId,
        changes: [{ kind: 'set', path: ['place', 'nation'], to: 'scotland' }],
      })
      .expect(201);
    expect((await one(job.id)).nextOn).toBe('2026-12-14');
  });
});

describe('a list', () => {
  it('is ordered by the next day, those with none last, and by stage where that is asked for', async () => {
    const { jobs } = await list({ order: 'next' });
    const days = jobs.map(({ nextOn }) => nextOn ?? '9999');
    expect(days).toEqual([...days].sort());
    const grouped = (await list({ group: 'stage' })).jobs.map(({ state }) => state);
    expect(grouped.filter((state, at) => state !== grouped[at - 1])).toEqual([...new Set(grouped)]);
  });

  it('counts every stage, whichever is shown, and what is asked for that means nothing is left out', async () => {
    const all = await list({});
    const some = await list({ stage: 'with-operator' });
    expect(some.stages).toEqual(all.stages);
    expect(some.total).toBe(all.stages['with-operator']);
    expect(some.jobs.every(({ state }) => state === 'with-operator')).toBe(true);
    expect((await list({ stage: "x' OR 1=1", order: 'j.id; --', person: '%', route: '*' })).total).toBe(all.total);
  });

  it('has no archived job unless those are asked for; restored, it is as it was', async () => {
    const { id } = await makeJob(anna);
    await enter(id, { kind: 'sent', day: addDays(today, -90) });
    await change(id, { archived: true }).expect(200);
    expect((await list({})).jobs.map((job) => job.id)).not.toContain(id);
    const diary = (await anna.get('/api/diary')).body as { jobs: { id: string }[] };
    expect(diary.jobs.map((job) => job.id)).not.toContain(id);
    expect((await list({ archived: 'yes' })).jobs).toMatchObject([{ id, archived: true }]);
    await change(id, { archived: false }).expect(200);
    expect((await list({})).jobs.map((job) => job.id)).toContain(id);
  });
});

it('a job for a house like another starts from its survey; of another firm there is none to start from', async () => {
  const like = await makeJob(anna);
  await anna
    .post(`/api/jobs/${like.id}/survey/revisions`)
    .send({
      id: randomUUID(),
      parentId: like.revisionId,
      changes: [
        { kind: 'set', path: ['supply', 'nodes', 'board', 'label'], to: 'Board in the hall' },
        { kind: 'set', path: ['place', 'customerName'], to: 'A. Quillfeather' },
      ],
    })
    .expect(201);
  const id = randomUUID();
  const body = { id, place: '9 Hollow Row, Netherby', wanted: 'A charger', like: like.id };
  await anna.post('/api/jobs').send(body).expect(201);
  const { survey } = (await anna.get(`/api/jobs/${id}/survey`)).body as {
    survey: { supply: { nodes: object[] }; place: object };
  };
  expect(survey.supply.nodes).toContainEqual(expect.objectContaining({ id: 'board', label: 'Board in the hall' }));
  expect(survey.place).toEqual({ addressLine1: '9 Hollow Row', town: 'Netherby' });
  const bea = await bench.as('bea@b.example');
  await bea
    .post('/api/jobs')
    .send({ ...body, id: randomUUID() })
    .expect(404);
});
