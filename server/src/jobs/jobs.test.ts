import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { makeJob, testBench, type TestBench } from '../testing/bench';

let bench: TestBench;
let anna: Agent;
beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
});
afterAll(() => bench.close());

const create = (body: object) => anna.post('/api/jobs').send(body);
async function found(search: string, page = 0): Promise<{ jobs: { place: string; number: number }[]; total: number }> {
  return (await anna.get('/api/jobs').query({ search, page }).expect(200)).body as never;
}

describe('jobs', () => {
  it('are numbered within the firm, from one, whoever makes them', async () => {
    const alan = await bench.as('alan@a.example');
    const bea = await bench.as('bea@b.example');
    await Promise.all([makeJob(anna), makeJob(alan), makeJob(anna), makeJob(bea)]);
    expect((await found('')).jobs.map(({ number }) => number).sort()).toEqual([1, 2, 3]);
    expect((await bea.get('/api/jobs')).body).toMatchObject({ jobs: [{ number: 1 }], total: 1 });
  });

  it('takes the address apart that a job is made with, so that it is not asked for again', async () => {
    const id = randomUUID();
    await anna
      .post('/api/jobs')
      .send({ id, place: '7 Hollow Row, Netherby, zz1 1tl', wanted: 'A charger' })
      .expect(201);
    const { survey } = (await anna.get(`/api/jobs/${id}/survey`)).body as { survey: { place: object } };
    expect(survey.place).toMatchObject({ addressLine1: '7 Hollow Row', town: 'Netherby', postcode: 'ZZ1 1TL' });
  });

  it.each([
    ['surname', 'quillfeather'],
    ['telephone, as it is spoken', '01632 960 123'],
    ['postcode without its space', 'zz9 4ty'],
    ['postcode in one', 'ZZ94TY'],
    ['meter point number', '9700000012340'],
  ])('are found by the customer’s %s', async (_what, search) => {
    const job = await makeJob(anna);
    const set = (key: string, to: string) => ({ kind: 'set', path: ['place', key], to });
    await anna
      .post(`/api/jobs/${job.id}/survey/revisions`)
      .send({
        id: randomUUID(),
        parentId: job.revisionId,
        changes: [
          set('customerName', 'A. Quillfeather'),
          set('customerPhone', '(01632) 960-123'),
          set('postcode', 'ZZ9 4TY'),
          set('meterPointNumber', '97 0000 0012 340'),
        ],
      })
      .expect(201);
    const { jobs } = (await anna.get('/api/jobs').query({ search }).expect(200)).body as { jobs: { id: string }[] };
    expect(jobs.map(({ id }) => id)).toContain(job.id);
    const bea = await bench.as('bea@b.example');
    expect((await bea.get('/api/jobs').query({ search })).body).toMatchObject({ jobs: [] });
  });

  it('sent twice are one job', async () => {
    const job = { id: randomUUID(), place: 'Twice Lane', wanted: 'A charger' };
    const [first, second] = [await create(job).expect(201), await create(job).expect(201)];
    expect(first.body).toEqual(second.body);
    expect((await found('twice')).total).toBe(1);
  });

  it('are found by every word, in place, wish, number or state, signs that mean something to SQL included', async () => {
    await create({ id: randomUUID(), place: '100% Yard_5, Netherby', wanted: 'Kiln & car' }).expect(201);
    for (const search of ['100%', 'yard_5', 'NETHERBY kiln', 'to-survey kiln', "'; DROP TABLE jobs; --"].slice(0, 4))
      expect((await found(search)).jobs.map(({ place }) => place)).toEqual(['100% Yard_5, Netherby']);
    expect((await found('yardx5')).total).toBe(0);
    expect((await found("'; DROP TABLE jobs; --")).total).toBe(0);
    expect((await found('KG-0001')).jobs).toHaveLength(1);
  });

  it('come a page at a time; a page that is not a number is the first', async () => {
    for (let at = 0; at < 52; at += 1) await makeJob(anna);
    const first = await found('Test Lane');
    const second = await found('Test Lane', 1);
    expect([first.jobs.length, second.jobs.length]).toEqual([50, first.total - 50]);
    const again = await anna.get('/api/jobs?search=Test%20Lane&page=-1').expect(200);
    expect((again.body as { jobs: object[] }).jobs).toEqual(first.jobs);
  });

  it.each<[string, object, string]>([
    ['no place', { id: randomUUID(), wanted: 'x' }, '$.place'],
    ['an empty wish', { id: randomUUID(), place: 'x', wanted: '' }, '$.wanted'],
    ['an id that is none', { id: '1', place: 'x', wanted: 'y' }, '$.id'],
    ['a field of another table', { id: randomUUID(), place: 'x', wanted: 'y', firmId: randomUUID() }, '$.firmId'],
    ['a place of 201 characters', { id: randomUUID(), place: 'x'.repeat(201), wanted: 'y' }, '$.place'],
  ])('%s is refused at its field', async (_name, body, path) => {
    const refused = await create(body).expect(422);
    expect((refused.body as { faults: { path: string }[] }).faults).toEqual([expect.objectContaining({ path })]);
  });

  it('say no more of an id taken elsewhere than that it is taken', async () => {
    const [one, other] = [await makeJob(anna), await makeJob(anna)];
    const id = randomUUID();
    const save = (jobId: string, parentId: string) =>
      anna
        .post(`/api/jobs/${jobId}/survey/revisions`)
        .send({ id, parentId, changes: [{ kind: 'set', path: ['notes'], to: 'x' }] });
    await save(one.id, one.revisionId).expect(201);
    const refused = await save(other.id, other.revisionId).expect(409);
    expect(refused.body).toMatchObject({ title: 'Not stored' });
  });
});
