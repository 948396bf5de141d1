import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
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

const text = 'time,A\n2026-01-05T00:00:00Z,1.5\n';

async function send(agent: Agent, id: string, bytes: Buffer): Promise<number> {
  const sent = await agent
    .post(`/api/jobs/${job.id}/logs/${id}?name=house%20log.csv`)
    .set('Content-Type', 'application/gzip')
    .send(bytes);
  return sent.status;
}

describe('a log', () => {
  it('comes back as the file it was, sent twice or once', async () => {
    const id = randomUUID();
    expect([await send(anna, id, gzipSync(text)), await send(anna, id, gzipSync(text))]).toEqual([201, 201]);
    expect(await send(anna, id, gzipSync('other'))).toBe(409);
    const back = await anna.get(`/api/jobs/${job.id}/logs/${id}`).buffer(true).expect(200);
    expect(back.headers['content-disposition']).toBe('attachment; filename="house log.csv"');
    expect((back.body as Buffer).toString()).toBe(text);
  });

  it('is refused where it only begins like a packed file, breaks off, or unfolds into more than any log', async () => {
    const whole = gzipSync(text);
    expect(await send(anna, randomUUID(), Buffer.concat([whole.subarray(0, 10), Buffer.from(text)]))).toBe(422);
    expect(await send(anna, randomUUID(), whole.subarray(0, whole.length - 6))).toBe(422);
    expect(await send(anna, randomUUID(), gzipSync(Buffer.alloc(320_000_000), { level: 1 }))).toBe(413);
  });

  it('is nobody else’s, and nothing that is not packed is kept', async () => {
    const id = randomUUID();
    await send(anna, id, gzipSync(text));
    const bea = await bench.as('bea@b.example');
    await bea.get(`/api/jobs/${job.id}/logs/${id}`).expect(404);
    expect(await send(bea, randomUUID(), gzipSync(text))).toBe(404);
    expect(await send(anna, randomUUID(), Buffer.from(text))).toBe(422);
    expect(await send(anna, 'no-id', gzipSync(text))).toBe(404);
  });
});

describe('how a file was read', () => {
  const shape = 'a'.repeat(64);
  const mapping = {
    layout: 'long',
    skipRows: 1,
    timeColumns: [0],
    timeFormat: 'year-first',
    zone: 'utc',
    values: [{ column: 1, phase: 'L1' }],
    unit: 'A',
    accumulating: false,
    decimal: '.',
  };

  it('is remembered for the firm, and for no other', async () => {
    expect((await anna.get(`/api/log-mappings/${shape}`).expect(200)).body).toEqual({ mapping: null });
    await anna.post(`/api/log-mappings/${shape}`).send(mapping).expect(204);
    await anna
      .post(`/api/log-mappings/${shape}`)
      .send({ ...mapping, unit: 'W' })
      .expect(204);
    const alan = await bench.as('alan@a.example');
    expect((await alan.get(`/api/log-mappings/${shape}`).expect(200)).body).toEqual({
      mapping: { ...mapping, unit: 'W' },
    });
    const bea = await bench.as('bea@b.example');
    expect((await bea.get(`/api/log-mappings/${shape}`).expect(200)).body).toEqual({ mapping: null });
  });

  it('has to be whole and sane', async () => {
    await anna
      .post(`/api/log-mappings/${shape}`)
      .send({ ...mapping, unit: 'furlongs' })
      .expect(422);
    await anna
      .post(`/api/log-mappings/${shape}`)
      .send({ ...mapping, values: [] })
      .expect(422);
    await anna
      .post(`/api/log-mappings/${shape}`)
      .send({ ...mapping, more: 1 })
      .expect(422);
    // A table of half hours on a sheet of a workbook, a flag beside each value.
    const wide = { ...mapping, layout: 'wide', perDay: 48, every: 2, longDay: true, sheet: 'March' };
    await anna.post(`/api/log-mappings/${shape}`).send(wide).expect(204);
    expect((await anna.get(`/api/log-mappings/${shape}`).expect(200)).body).toEqual({ mapping: wide });
    await anna
      .post(`/api/log-mappings/${shape}`)
      .send({ ...wide, every: 9 })
      .expect(422);
    await anna.get('/api/log-mappings/zz').expect(404);
  });
});
