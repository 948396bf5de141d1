import { blankSurvey } from '@keen-gauge/core/survey/blank';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { makeJob, signAsItStands, testBench, type MadeJob, type TestBench } from '../testing/bench';
import { decisionsIn } from './decisions';

let bench: TestBench;
let anna: Agent;
let job: MadeJob;
beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
  job = await makeJob(anna);
});
afterAll(() => bench.close());

const recordOf = async (): Promise<{ what: string; by: string; details: object }[]> =>
  (
    (await anna.get(`/api/jobs/${job.id}/record`).expect(200)).body as {
      entries: { what: string; by: string; details: object }[];
    }
  ).entries;

describe('the judgements a save makes', () => {
  const survey = (change: (survey: Survey) => void): Survey => {
    const made = blankSurvey();
    change(made);
    return made;
  };
  const fault = { id: 'f', fault: 'heat-damage', grade: 'make-safe-now' } as const;
  const plain = survey((s) => s.intake.faults.push({ ...fault }));
  const overridden = survey((s) =>
    s.intake.faults.push({ ...fault, overriddenBy: 'Isla', overrideReason: 'made safe today' }),
  );

  it('an override counts once both who and why are said, and when it is lifted', () => {
    const half = survey((s) => s.intake.faults.push({ ...fault, overriddenBy: 'Isla' }));
    expect(decisionsIn(plain, half)).toEqual([]);
    expect(decisionsIn(half, overridden)).toMatchObject([
      { what: 'hold-overridden', details: { by: 'Isla', reason: 'made safe today' } },
    ]);
    expect(decisionsIn(overridden, overridden)).toEqual([]);
    expect(decisionsIn(overridden, plain)).toMatchObject([{ what: 'override-lifted' }]);
  });
  it('a basis declared and an option chosen count when they change, not when their reason is typed', () => {
    const declared = survey((s) => (s.declaration = { basis: 'appliances' }));
    const reasoned = survey((s) => (s.declaration = { basis: 'appliances', reason: 'listed' }));
    expect(decisionsIn(blankSurvey(), declared)).toEqual([
      { what: 'basis-declared', details: { basis: 'appliances' } },
    ]);
    expect(decisionsIn(declared, reasoned)).toEqual([]);
    const chosen = survey((s) => (s.choice = { option: 'managed', chosenBy: 'Isla' }));
    expect(decisionsIn(blankSurvey(), chosen)).toEqual([
      { what: 'option-chosen', details: { option: 'managed', by: 'Isla' } },
    ]);
  });
});

describe('the record of a job', () => {
  it('has what was saved, entered and signed, with who, in order', async () => {
    const id = randomUUID();
    await anna
      .post(`/api/jobs/${job.id}/survey/revisions`)
      .send({
        id,
        parentId: job.revisionId,
        changes: [{ kind: 'set', path: ['declaration', 'basis'], to: 'appliances' }],
      })
      .expect(201);
    await anna
      .post(`/api/jobs/${job.id}/events`)
      .send({ id: randomUUID(), kind: 'sent', day: '2026-11-25' })
      .expect(201);
    expect((await signAsItStands(anna, job.id, id, 'Asked for early.')).status).toBe(201);
    expect((await recordOf()).map(({ what, by }) => `${what} ${by}`)).toEqual([
      'basis-declared anna',
      'event-entered anna',
      'signed-off anna',
    ]);
  });
  it('what was refused is not in it, and nobody can change what is', async () => {
    const before = await recordOf();
    await anna
      .post(`/api/jobs/${job.id}/events`)
      .send({ id: randomUUID(), kind: 'sent', day: '2026-02-30' })
      .expect(422);
    expect(await recordOf()).toEqual(before);
    await expect(bench.app.query("UPDATE audit_entries SET what = 'nothing'")).rejects.toThrow(/permission denied/);
    await expect(bench.app.query('DELETE FROM audit_entries')).rejects.toThrow(/permission denied/);
  });
  it('can be taken away as a table, and is no other firm’s to read', async () => {
    const table = await anna.get(`/api/jobs/${job.id}/record/record.csv`).expect(200);
    expect(table.text.split('\r\n')[0]).toBe('at (UTC),by,what,details');
    expect(table.text).toContain('signed-off');
    const bea = await bench.as('bea@b.example');
    await bea.get(`/api/jobs/${job.id}/record`).expect(404);
    await bea.get(`/api/jobs/${job.id}/record/record.csv`).expect(404);
  });
});

it('what the firm sets for itself is in the firm’s record', async () => {
  await anna
    .post('/api/firm/terms')
    .send({ options: [], bands: [{ band: 'low', words: 'up to 300' }] })
    .expect(201);
  const found = await anna.get('/api/firm/record').expect(200);
  expect(found.body).toMatchObject({
    entries: [
      { what: 'terms-changed', by: 'anna' },
      { what: 'signed-in', by: 'anna' },
    ],
  });
});
