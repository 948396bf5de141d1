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

const recorded = async (what: string): Promise<number> =>
  ((await anna.get('/api/firm/record')).body as { entries: { what: string }[] }).entries.filter(
    (each) => each.what === what,
  ).length;

const pack = { title: 'Ours', source: 'x', basedOn: 'gb-default', changes: [] };
const rulesId = randomUUID();

describe('a write sent again under its key', () => {
  it.each<[string, string, object, string]>([
    ['terms', '/api/firm/terms', { options: [], bands: [] }, 'terms-changed'],
    ['checklists', '/api/firm/checklists', { lists: [] }, 'checklists-changed'],
    ['equipment', `/api/firm/equipment/${randomUUID()}`, { name: 'x' }, 'equipment-changed'],
    ['house rules', '/api/firm/rules/house', { defaultRulesId: 'gb-default', areas: [] }, 'house-rules-changed'],
    ['a set of rules', `/api/firm/rules/own/${rulesId}`, pack, 'rules-changed'],
    ['an address of the diary', '/api/diary/feeds', {}, 'feed-made'],
  ])('%s: is answered the same and done once', async (_what, path, body, what) => {
    const key = randomUUID();
    const send = (sent: object) => anna.post(path).set('Idempotency-Key', key).send(sent);
    const [first, second] = await Promise.all([send(body), send(body)]);
    const third = await send(body);
    expect([first.status, second.status, third.status]).toEqual([201, 201, 201]);
    expect([second.body, third.body]).toEqual([first.body, first.body]);
    expect(await recorded(what)).toBe(1);
    const other = await send({ ...body, more: 1 });
    expect(other.status).toBeGreaterThanOrEqual(400);
    const olga = await bench.as('bea@b.example');
    expect((await olga.post(path).set('Idempotency-Key', key).send(body)).body).not.toEqual(
      path.includes('feeds') ? first.body : null,
    );
  });

  it('keeps no secret to do so', async () => {
    const { body } = await anna.post('/api/diary/feeds').set('Idempotency-Key', randomUUID()).expect(201);
    const [, , , secret = ''] = (body as { path: string }).path.split('/');
    expect(secret).toHaveLength(43);
    const kept = await bench.owner.query('SELECT answer FROM answered_requests');
    expect(JSON.stringify(kept.rows)).not.toContain(secret);
  });

  it('a letter is kept once', async () => {
    const job = await makeJob(anna);
    const entry = randomUUID();
    await anna.post(`/api/jobs/${job.id}/events`).send({ id: entry, kind: 'sent', day: '2026-11-25' }).expect(201);
    const key = randomUUID();
    const send = (text: string) =>
      anna
        .post(`/api/jobs/${job.id}/events/${entry}/attachments?name=letter.txt`)
        .set('Idempotency-Key', key)
        .type('text/plain')
        .send(Buffer.from(text));
    await send('a letter').expect(201);
    const { body } = await send('a letter').expect(201);
    expect((body as { events: { attachments: object[] }[] }).events[0]?.attachments).toHaveLength(1);
    await send('another').expect(409);
  });

  it('what was refused may be sent again, put right, under it', async () => {
    const key = randomUUID();
    await anna
      .post('/api/firm/terms')
      .set('Idempotency-Key', key)
      .send({ options: [[]], bands: [] })
      .expect(422);
    await anna.post('/api/firm/terms').set('Idempotency-Key', key).send({ options: [], bands: [] }).expect(201);
  });
});

describe('an id that the client makes', () => {
  it('of a job or an entry, taken by something else, is not answered as if it were stored', async () => {
    const [job, other] = [await makeJob(anna), await makeJob(anna)];
    await anna.post('/api/jobs').send({ id: job.id, place: 'x', wanted: 'Something else' }).expect(409);
    await anna.post('/api/jobs').send({ id: job.id, place: '1 Test Lane', wanted: 'A charger' }).expect(201);
    const id = randomUUID();
    const sent = { id, kind: 'sent', day: '2026-11-25' };
    await anna.post(`/api/jobs/${job.id}/events`).send(sent).expect(201);
    await anna.post(`/api/jobs/${job.id}/events`).send(sent).expect(201);
    await anna
      .post(`/api/jobs/${job.id}/events`)
      .send({ ...sent, day: '2026-11-24' })
      .expect(409);
    await anna.post(`/api/jobs/${other.id}/events`).send(sent).expect(409);
    const bea = await bench.as('bea@b.example');
    const theirs = await makeJob(bea);
    await bea.post(`/api/jobs/${theirs.id}/events`).send(sent).expect(409);
  });

  it('of a revision, with other changes, neither', async () => {
    const [job, id] = [await makeJob(anna), randomUUID()];
    const save = (to: string) =>
      anna.post(`/api/jobs/${job.id}/survey/revisions`).send({
        id,
        parentId: job.revisionId,
        changes: [{ kind: 'set', path: ['notes'], to }],
      });
    await save('one').expect(201);
    await save('one').expect(201);
    expect((await save('other')).status).toBe(409);
  });
});
