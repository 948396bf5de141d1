import type { Change } from '@keen-gauge/core/record/changes';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { makeJob, testBench, type MadeJob, type TestBench } from '../testing/bench';

let bench: TestBench;
let anna: Agent;
let alan: Agent;
let job: MadeJob;

beforeAll(async () => {
  bench = await testBench();
  [anna, alan] = [await bench.as('anna@a.example'), await bench.as('alan@a.example')];
});
afterAll(() => bench.close());
beforeEach(async () => {
  job = await makeJob(anna);
});

const set = (path: string[], to?: string | number, from?: string | number): Change => ({
  kind: 'set',
  path,
  ...(from === undefined ? {} : { from }),
  ...(to === undefined ? {} : { to }),
});

function save(agent: Agent, changes: readonly unknown[], parentId = job.revisionId, id: string = randomUUID()) {
  return agent.post(`/api/jobs/${job.id}/survey/revisions`).send({ id, parentId, changes });
}

async function survey(): Promise<Survey> {
  return ((await anna.get(`/api/jobs/${job.id}/survey`)).body as { survey: Survey }).survey;
}

describe('saving a survey', () => {
  it('appends a revision, moves the head, and shows in the list and the history', async () => {
    await save(anna, [
      set(['place', 'addressLine1'], '2 New Lane', '1 Test Lane'),
      set(['place', 'town'], 'Netherby'),
    ]).expect(201);
    const listed = (await anna.get('/api/jobs?search=new%20netherby')).body as { jobs: object[] };
    expect(listed.jobs).toEqual([
      expect.objectContaining({ id: job.id, place: '2 New Lane, Netherby', state: 'surveying', route: 'ask-then-fit' }),
    ]);
    const history = (await anna.get(`/api/jobs/${job.id}/survey/revisions`)).body as { entries: object[] };
    expect(history.entries).toEqual([
      expect.objectContaining({ seq: 1, person: 'anna', changes: expect.any(Array) as unknown }),
    ]);
  });

  it('stores a revision sent twice once', async () => {
    const id = randomUUID();
    await save(anna, [set(['notes'], 'once')], job.revisionId, id).expect(201);
    const again = await save(anna, [set(['notes'], 'once')], job.revisionId, id).expect(201);
    expect(again.body).toMatchObject({ revisionId: id, seq: 1 });
    const stored = await bench.owner.query('SELECT count(*)::int AS n FROM revisions WHERE job_id = $1', [job.id]);
    expect(stored.rows).toEqual([{ n: 2 }]);
  });

  it('merges different fields saved from the same parent, and tells the second what the first did', async () => {
    await save(anna, [set(['place', 'town'], 'Netherby')]).expect(201);
    const second = await save(alan, [set(['notes'], 'gate code on the wall')]).expect(201);
    expect((second.body as { survey: Survey }).survey.place.town).toBe('Netherby');
    expect(await survey()).toMatchObject({ place: { town: 'Netherby' }, notes: 'gate code on the wall' });
  });

  it('asks about the same field, storing nothing', async () => {
    await save(anna, [set(['place', 'town'], 'Netherby')]).expect(201);
    const refused = await save(alan, [set(['place', 'town'], 'Overby'), set(['notes'], 'x')]).expect(409);
    expect(refused.body).toMatchObject({ conflicts: [{ theirs: 'Netherby', change: { to: 'Overby' } }], seq: 1 });
    expect(await survey()).toMatchObject({ place: { town: 'Netherby' } });
    expect((await survey()).notes).toBeUndefined();
  });

  it('takes new equipment with nothing said of its limiter, which the format allows, and reads it back whole', async () => {
    await save(anna, [{ kind: 'set', path: ['proposals', 'p'], to: { id: 'p', kind: 'vehicle-charger' } }]).expect(201);
    expect((await survey()).proposals).toEqual([{ id: 'p', kind: 'vehicle-charger', limiter: {} }]);
  });

  it('checks a member under the id it gets, whatever else changes with it', async () => {
    const path = ['supply', 'nodes', 'meter'];
    await save(anna, [
      { kind: 'set', path: [...path, 'id'], from: 'meter', to: 'm2' },
      { kind: 'set', path: ['supply', 'nodes', 'm2', 'ratingA'], to: -5 },
    ]).expect(422);
    expect(await survey()).toEqual(job.survey);
  });

  it('loses none of forty saves sent at once', async () => {
    const answers = await Promise.all(
      Array.from({ length: 40 }, (_, index) =>
        save(index % 2 ? anna : alan, [
          { kind: 'set', path: ['loads', `l${index}`], to: { id: `l${index}`, class: 'motor' }, index: 0 },
        ]),
      ),
    );
    expect(answers.map(({ status }) => status)).toEqual(Array(40).fill(201));
    expect(new Set((await survey()).loads.map(({ id }) => id)).size).toBe(40);
  });
});

describe('bad input', () => {
  it.each<[string, unknown, string]>([
    [
      'a 1e9 A fuse',
      { kind: 'set', path: ['supply', 'nodes', 'cut-out', 'ratingA'], to: 1e9 },
      '$.supply.nodes[1].ratingA',
    ],
    ['a negative reading', { kind: 'set', path: ['earthing', 'zeOhm'], to: -1 }, '$.earthing.zeOhm'],
    ['a field nobody knows', { kind: 'set', path: ['place', 'colour'], to: 'red' }, '$.place.colour'],
    ['another format', { kind: 'set', path: ['version'], from: 2, to: 3 }, '$.version'],
    ['null', { kind: 'set', path: ['notes'], to: null }, '$.changes[0].to'],
    ['text where a number belongs', { kind: 'set', path: ['supply', 'phases'], to: '3' }, '$.supply.phases'],
    ['a change of no kind', { kind: 'swap', path: [] }, '$.changes[0].kind'],
    ['an unknown field in the change', { kind: 'set', path: ['notes'], to: 'x', extra: 1 }, '$.changes[0].extra'],
    [
      'a load on no node',
      { kind: 'set', path: ['loads', 'l'], to: { id: 'l', class: 'motor', nodeId: 'gone' } },
      '$.loads[0].nodeId',
    ],
  ])('%s is refused at its field and nothing is stored', async (_name, change, path) => {
    const refused = await save(anna, [change]).expect(422);
    expect(refused.headers['content-type']).toContain('application/problem+json');
    expect((refused.body as { faults: { path: string }[] }).faults.map((fault) => fault.path)).toContain(path);
    expect(await survey()).toEqual(job.survey);
  });

  it('replacing the whole survey with something else is refused', async () => {
    const refused = await save(anna, [{ kind: 'set', path: [], from: job.survey, to: [] }]);
    expect(refused.status).toBe(422);
    expect(await survey()).toEqual(job.survey);
  });

  it('10 MB, bad UTF-8, half a JSON document, wrong ids: each says what is wrong', async () => {
    const post = () => anna.post(`/api/jobs/${job.id}/survey/revisions`).set('content-type', 'application/json');
    await post()
      .send(JSON.stringify({ big: 'x'.repeat(10_000_000) }))
      .expect(413);
    const notUtf8 = Buffer.concat([Buffer.from('{"id":"'), Buffer.from([0xc3, 0x28]), Buffer.from('"}')]);
    expect(
      (
        await post()
          .serialize((body: unknown) => body as string)
          .send(notUtf8)
          .expect(400)
      ).body,
    ).toMatchObject({ title: 'Not UTF-8' });
    expect((await post().send('{"id":').expect(400)).body).toMatchObject({ title: 'Not JSON' });
    await post().send('[]').expect(422);
    await anna.get('/api/jobs/not-an-id/survey').expect(404);
    await anna.get(`/api/jobs/${randomUUID()}/survey`).expect(404);
    await anna.get('/api/nowhere').expect(404);
    expect(await survey()).toEqual(job.survey);
  });

  it('logs nothing of what was sent', () => {
    expect(bench.logged()).not.toContain('xxxxxxxx');
  });
});
