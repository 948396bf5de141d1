import type { Value } from '@keen-gauge/core/record/changes';
import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { makeJob, testBench, type MadeJob, type TestBench } from '../testing/bench';

let bench: TestBench;
let job: MadeJob;
const agents: Record<string, Agent> = {};

beforeAll(async () => {
  bench = await testBench(undefined, 'by hand');
  for (const name of ['anna', 'alan', 'olga']) agents[name] = await bench.as(`${name}@a.example`);
  const anna = agents['anna'];
  if (!anna) throw new Error('nobody');
  job = await makeJob(anna);
});
afterAll(() => bench.close());

/** Sets one place of the survey, whatever it says now, as somebody; what came of it, and the places found fault with. */
async function set(who: string, path: readonly string[], to: Value | undefined): Promise<[number, string[]]> {
  const agent = agents[who];
  const head = (await agent?.get(`/api/jobs/${job.id}/survey`))?.body as { revisionId: string; survey: Value };
  const from = path.reduce<Value | undefined>((at, key) => {
    if (Array.isArray(at)) return (at as readonly Value[]).find((each) => (each as { id?: string }).id === key);
    return (at as Record<string, Value> | undefined)?.[key];
  }, head.survey);
  const answer = await agent?.post(`/api/jobs/${job.id}/survey/revisions`).send({
    id: randomUUID(),
    parentId: head.revisionId,
    changes: [{ kind: 'set', path, ...(from === undefined ? {} : { from }), ...(to === undefined ? {} : { to }) }],
  });
  const { faults = [] } = (answer?.body ?? {}) as { faults?: { path: string; wrong: string }[] };
  return [answer?.status ?? 0, faults.map((fault) => `${fault.path} ${fault.wrong}`)];
}

const fault = { id: 'f', fault: 'heat-damage' };
const lifted = (overriddenBy: string): Value => ({ ...fault, overriddenBy, overrideReason: 'made safe' });
const charger = { id: 'p', kind: 'vehicle-charger' };

describe('who answers for something is the person signed in, and needs the right', () => {
  it('a hold is lifted in one’s own name by who may sign', async () => {
    await set('anna', ['intake', 'faults'], [fault]);
    expect(await set('anna', ['intake', 'faults', 'f'], lifted('alan'))).toEqual([
      422,
      ['$.intake.faults[0].overriddenBy is somebody else’s name'],
    ]);
    expect(await set('alan', ['intake', 'faults', 'f'], lifted('alan'))).toEqual([
      422,
      ['$.intake.faults[0].overriddenBy is not yours to set'],
    ]);
    expect((await set('anna', ['intake', 'faults', 'f'], lifted('anna')))[0]).toBe(201);
    // Nor by putting other words under the name that stands there, nor under another id of the fault.
    expect((await set('alan', ['intake', 'faults', 'f', 'overrideReason'], 'not so'))[0]).toBe(422);
    expect((await set('alan', ['intake', 'faults', 'f', 'id'], 'g'))[0]).toBe(422);
    // The rest of the fault is everybody's, and a hold is put back by anybody.
    expect((await set('olga', ['intake', 'faults', 'f', 'note'], 'seen'))[0]).toBe(201);
    expect((await set('olga', ['intake', 'faults', 'f'], fault))[0]).toBe(201);
  });

  it.each<[string, readonly string[], Value, Value]>([
    ['a basis declared', ['declaration'], { basis: 'appliances', declaredBy: 'NAME' }, {}],
    ['an option chosen', ['choice'], { option: 'managed', chosenBy: 'NAME' }, {}],
    [
      'a commissioning done',
      ['proposals', 'p', 'limiter'],
      { test: { doneBy: 'NAME', doneAt: '2026-11-26T10:00:00Z' } },
      {},
    ],
  ])('%s: in one’s own name, not by the office', async (_what, path, value, bare) => {
    if (path[0] === 'proposals') await set('anna', ['proposals'], [{ ...charger, limiter: {} }]);
    const named = (name: string): Value => JSON.parse(JSON.stringify(value).replace('NAME', name)) as Value;
    expect((await set('alan', path, named('anna')))[0]).toBe(422);
    expect((await set('olga', path, named('olga')))[0]).toBe(422);
    expect((await set('alan', path, named('alan')))[0]).toBe(201);
    expect((await set('anna', ['notes'], randomUUID()))[0]).toBe(201);
    expect((await set('olga', path, bare))[0]).toBe(201);
  });

  it('a survey is handed back, and what was asked is settled, in one’s own name; never by the office', async () => {
    const asked = (by: string): Value => ({ id: 'c', station: 'loop', says: 'Which way does it go?', by });
    expect(await set('anna', ['comments'], [asked('alan')])).toEqual([
      422,
      ['$.comments[0].by is somebody else’s name'],
    ]);
    expect((await set('anna', ['comments'], [asked('anna')]))[0]).toBe(201);
    const settled = (settledBy: string): Value => ({
      ...(asked('anna') as Record<string, Value>),
      reply: 'Left.',
      settledBy,
      settledAt: '2026-11-27T09:00:00Z',
    });
    expect((await set('olga', ['comments', 'c'], settled('olga')))[0]).toBe(422);
    expect(await set('alan', ['comments', 'c'], settled('anna'))).toEqual([
      422,
      ['$.comments[0].settledBy is somebody else’s name'],
    ]);
    expect((await set('alan', ['comments', 'c'], settled('alan')))[0]).toBe(201);
  });
});
