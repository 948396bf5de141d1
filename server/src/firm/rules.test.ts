import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { makeJob, testBench, type TestBench } from '../testing/bench';

let bench: TestBench;
let sue: Agent;
beforeAll(async () => {
  bench = await testBench();
  await bench.owner.query("UPDATE people SET role = 'supervisor' WHERE email = 'anna@a.example'");
  sue = await bench.as('anna@a.example');
});
afterAll(() => bench.close());

const own = {
  title: 'The hill network',
  basedOn: 'gb-default',
  source: 'letter of 3 March',
  changes: [{ term: 'askAboveA', value: 80, source: 'letter of 3 March' }],
};
const house = { defaultRulesId: 'gb-default', alwaysAsk: false, areas: [] };

describe('a set of rules of the firm’s own', () => {
  it('is a new version each time it is saved, every one of which stays to be read', async () => {
    const id = randomUUID();
    await sue.post(`/api/firm/rules/own/${id}`).send(own).expect(201);
    await sue
      .post(`/api/firm/rules/own/${id}`)
      .send({ ...own, version: 1, changes: [] })
      .expect(201);
    const { versions } = (await sue.get(`/api/firm/rules/own/${id}/versions`).expect(200)).body as {
      versions: { rules: { version: number; changes: unknown[] } }[];
    };
    expect(versions.map((each) => [each.rules.version, each.rules.changes.length])).toEqual([
      [2, 0],
      [1, 1],
    ]);
    const stale = await sue
      .post(`/api/firm/rules/own/${id}`)
      .send({ ...own, version: 1 })
      .expect(409);
    expect(stale.body).toMatchObject({ title: 'Changed since you looked' });
  });
  it.each([
    [{ ...own, source: '' }, '$.source'],
    [{ ...own, basedOn: 'none' }, '$.basedOn'],
    [{ ...own, changes: [{ term: 'askAboveA', value: -4, source: 'x' }] }, '$.changes[0].value'],
    [{ ...own, changes: [{ term: 'replyWorkingDays', value: 2.5, source: 'x' }] }, '$.changes[0].value'],
    [{ ...own, changes: [{ term: 'declarations', value: 2, source: 'x' }] }, '$.changes[0].term'],
    [{ ...own, changes: [{ term: 'leastLogDays', value: 90, source: 'x' }] }, '$.changes'],
  ])('refuses %j at %s', async (wrong, path) => {
    const refused = await sue.post(`/api/firm/rules/own/${randomUUID()}`).send(wrong).expect(422);
    expect(refused.body).toMatchObject({ faults: [{ path }] });
  });
  it('is changed by supervisors only, seen by all of the firm and by no other', async () => {
    const id = randomUUID();
    const alan = await bench.as('alan@a.example');
    await alan.post(`/api/firm/rules/own/${id}`).send(own).expect(403);
    await alan.post('/api/firm/rules/house').send(house).expect(403);
    await sue.post(`/api/firm/rules/own/${id}`).send(own).expect(201);
    await alan.get(`/api/firm/rules/own/${id}/versions`).expect(200);
    const bea = await bench.as('bea@b.example');
    await bea.get(`/api/firm/rules/own/${id}/versions`).expect(404);
    expect((await bea.get('/api/firm/rules').expect(200)).body).toMatchObject({ rules: { own: [] } });
    // The same id in another firm is another set: neither is told of the other.
    await bea
      .post(`/api/firm/rules/own/${id}`)
      .send({ ...own, title: 'Theirs' })
      .expect(201);
    const still = await alan.get(`/api/firm/rules/own/${id}/versions`).expect(200);
    expect(
      (still.body as { versions: { rules: { title: string } }[] }).versions.map((each) => each.rules.title),
    ).toEqual([own.title]);
  });
});

describe('the house rules', () => {
  it('decide what surveys are judged by: the list of jobs follows, and both changes are in the record', async () => {
    const job = await makeJob(sue);
    const id = randomUUID();
    await sue
      .post(`/api/firm/rules/own/${id}`)
      .send({ ...own, title: 'Area 95' })
      .expect(201);
    await sue
      .post('/api/firm/rules/house')
      .send({ ...house, alwaysAsk: true, areas: [{ area: '95', rulesId: id }] })
      .expect(201);
    expect((await sue.get('/api/me').expect(200)).body).toMatchObject({ rules: { house: { alwaysAsk: true } } });
    const { entries } = (await sue.get('/api/firm/record').expect(200)).body as { entries: { what: string }[] };
    expect(entries.slice(0, 2).map(({ what }) => what)).toEqual(['house-rules-changed', 'rules-changed']);
    const table = await sue.get('/api/firm/record/record.csv').expect(200);
    expect(table.text).toContain('house-rules-changed');
    await sue.get(`/api/jobs/${job.id}`).expect(200);
  });
  it('refuse rules there are not, and an area twice', async () => {
    await sue
      .post('/api/firm/rules/house')
      .send({ ...house, defaultRulesId: 'none' })
      .expect(422);
    const twice = [
      { area: '95', rulesId: 'gb-default' },
      { area: '95', rulesId: 'gb-always-ask' },
    ];
    const refused = await sue
      .post('/api/firm/rules/house')
      .send({ ...house, areas: twice })
      .expect(422);
    expect(refused.body).toMatchObject({ faults: [{ path: '$.areas' }] });
  });
});
