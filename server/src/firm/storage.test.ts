import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import type { Agent } from 'supertest';
import { makeJob, testBench, type TestBench } from '../testing/bench';

let bench: TestBench;
let anna: Agent;
beforeAll(async () => {
  bench = await testBench(undefined, 'by hand');
  anna = await bench.as('anna@a.example');
});
afterAll(() => bench.close());

const kept = async (): Promise<number> => {
  const found = await bench.owner.query<{ bytes: string }>('SELECT bytes FROM firm_storage WHERE firm_id = $1', [
    bench.firms[0]?.firmId,
  ]);
  return Number(found.rows[0]?.bytes ?? 0);
};

it('counts what a firm keeps as it comes in, and takes no more than there is room for; nothing else stops', async () => {
  const job = await makeJob(anna);
  const log = gzipSync('time,A\n'.repeat(500));
  const send = (agent: Agent, id: string) =>
    agent.post(`/api/jobs/${id}/logs/${randomUUID()}`).set('Content-Type', 'application/gzip').send(log);
  await send(anna, job.id).expect(201);
  expect(await kept()).toBe(log.length);
  await bench.owner.query('UPDATE firm_storage SET bytes = 50000000000');
  expect((await send(anna, job.id).expect(413)).body).toMatchObject({ title: 'No room' });
  const begun = await anna.post(`/api/jobs/${job.id}/uploads`).set({
    'Tus-Resumable': '1.0.0',
    'Upload-Length': '100',
    'Upload-Metadata': `id ${Buffer.from(randomUUID()).toString('base64')}`,
  });
  expect(begun.status).toBe(413);
  await anna
    .post(`/api/jobs/${job.id}/survey/revisions`)
    .send({ id: randomUUID(), parentId: job.revisionId, changes: [{ kind: 'set', path: ['notes'], to: 'x' }] })
    .expect(201);
  const bea = await bench.as('bea@b.example');
  await send(bea, (await makeJob(bea)).id).expect(201);
});
