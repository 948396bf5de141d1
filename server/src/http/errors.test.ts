import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { gzipSync } from 'node:zlib';
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

const isOurs = (status: number): boolean => status >= 500;

describe('a client’s mistake is told as one', () => {
  it.each(['/api/jobs/%ff', '/api/jobs?search=%00', '/api/jobs?search=a%00b', '/api/%00', '/api/feed/%ff/diary.ics'])(
    'an address that is no text: %s',
    async (path) => {
      const { status, headers } = await anna.get(path);
      expect(status).toBe(400);
      expect(headers['content-type']).toContain('application/problem+json');
    },
  );

  const nested = (levels: number): string => '['.repeat(levels) + ']'.repeat(levels);
  const bodies: [string, string][] = [
    ['null', 'null'],
    ['a number', '5'],
    ['a list', '[]'],
    ['two hundred thousand nulls', `[${Array(200_000).fill('null').join(',')}]`],
    ['fifty thousand lists within lists', nested(50_000)],
    ['as a field', `{"changes":${nested(50_000)}}`],
    ['a nul character', '{"email":"a\\u0000","password":"b\\u0000","place":"\\u0000","wanted":"x","name":"\\u0000"}'],
    [
      'half a character',
      '{"email":"\\ud83d","password":"\\ud83d","place":"\\ud83d","wanted":"x","name":"\\ud83d","id":"\\ud83d"}',
    ],
    [
      'an order of no list',
      `{"id":"${randomUUID()}","parentId":"${randomUUID()}","changes":[{"kind":"order","path":["loads"]}]}`,
    ],
    ['a prototype', '{"__proto__":{"x":1},"constructor":{}}'],
  ];
  const addresses = (): string[] => [
    '/api/session',
    '/api/reports',
    '/api/jobs',
    `/api/jobs/${job.id}/survey/revisions`,
    `/api/jobs/${job.id}/events`,
    `/api/jobs/${job.id}/packs`,
    `/api/jobs/${job.id}/submissions`,
    `/api/jobs/${job.id}/charge-points`,
    `/api/jobs/${job.id}/photos/${randomUUID()}`,
    '/api/firm/terms',
    '/api/firm/checklists',
    `/api/firm/equipment/${randomUUID()}`,
    `/api/firm/rules/own/${randomUUID()}`,
    '/api/firm/rules/house',
    `/api/instruments/${randomUUID()}`,
    `/api/log-mappings/${'a'.repeat(64)}`,
  ];
  it.each(bodies)('a body that is %s, wherever it is sent', async (_what, body) => {
    for (const address of addresses()) {
      const { status } = await anna.post(address).set('Content-Type', 'application/json').send(body);
      expect([address, status, isOurs(status)]).toEqual([address, status, false]);
    }
  });

  it('a content encoding it is not in, or nobody knows', async () => {
    const post = (encoding: string, body: Buffer | string) =>
      anna
        .post('/api/jobs')
        .set({ 'Content-Type': 'application/json', 'Content-Encoding': encoding })
        .serialize((each: unknown) => each as string)
        .send(body);
    expect((await post('gzip', '{"plain":1}')).status).toBe(400);
    expect((await post('shorthand', '{}')).status).toBe(415);
    expect((await post('gzip', gzipSync('{}').subarray(0, 12))).status).toBe(400);
  });

  it('a file of the web application that is not there any more is not found', async () => {
    expect((await anna.get('/assets/gone-1234.js')).status).toBe(404);
  });
});

describe('what goes wrong here', () => {
  it('is logged with its cause under the id that the person is shown, and nothing that was sent', async () => {
    await bench.owner.query('ALTER TABLE instruments RENAME TO instruments_gone');
    const typed = 'The Old Rectory';
    const { body, headers } = await anna
      .post(`/api/instruments/${randomUUID()}`)
      .send({ name: typed, serial: '', retired: false })
      .expect(500);
    await bench.owner.query('ALTER TABLE instruments_gone RENAME TO instruments');
    const { requestId, detail } = body as { requestId: string; detail: string };
    expect(headers['x-request-id']).toBe(requestId);
    expect(detail).toContain(requestId.slice(0, 8));
    const lines = bench
      .logged()
      .split('\n')
      .filter((line) => line.includes(requestId));
    const failed = lines.map((line) => JSON.parse(line) as { msg: string; err?: { code: string; stack: string } });
    expect(failed.find(({ msg }) => msg === 'request failed')?.err).toMatchObject({
      code: '42P01',
      stack: expect.stringContaining('at '),
    });
    expect(failed.find(({ msg }) => msg === 'request')).toMatchObject({
      status: 500,
      route: '/api/instruments/:instrumentId',
    });
    expect(bench.logged()).not.toContain(typed);
  });

  it('is told as that, whatever of it looks like an id that is taken', async () => {
    await bench.owner.query('REVOKE INSERT ON instruments FROM keen_gauge_app');
    await anna.post(`/api/instruments/${randomUUID()}`).send({ name: 'x', serial: '', retired: false }).expect(500);
    await bench.owner.query('GRANT INSERT ON instruments TO keen_gauge_app');
  });
});

describe('a request', () => {
  it('is one line: id, method, route as declared, status, time and firm; neither address nor what was searched for', async () => {
    await anna.get('/api/jobs?search=Rectory').expect(200);
    await anna.get(`/api/jobs/${job.id}/survey`).expect(200);
    await anna.get('/api/nowhere/rectory@x.example').expect(404);
    const lines = bench
      .logged()
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Record<string, unknown>)
      .filter(({ msg }) => msg === 'request');
    const ofRoute = (route: string): Record<string, unknown>[] => lines.filter((line) => line['route'] === route);
    expect(ofRoute('/api/jobs/:jobId/survey')[0]).toMatchObject({
      method: 'GET',
      status: 200,
      firm: bench.firms[0]?.firmId,
      id: expect.stringMatching(/^[0-9a-f-]{36}$/),
      ms: expect.any(Number),
    });
    expect(ofRoute('none').length).toBeGreaterThan(0);
    for (const secret of ['ectory', job.id, 'anna@']) expect(bench.logged()).not.toContain(secret);
  });
});

describe('a report of the browser’s', () => {
  const report = (body: object) => bench.anyone().post('/api/reports').send(body);
  it('is logged without what was typed, and so many at most', async () => {
    const told = {
      kind: 'error',
      message: 'Cannot read "The Old Rectory" of undefined',
      stack: 'Error: Rectory\n    at draw (https://x.example/assets/index-1.js:1:200)\nThe Old Rectory',
      page: '/jobs/:jobId/loads',
    };
    await report(told).expect(204);
    expect(bench.logged()).toContain('"report":"error"');
    expect(bench.logged()).toContain('index-1.js:1:200');
    expect(bench.logged()).not.toContain('Rectory');
    await report({ kind: 'gossip', message: 'x' }).expect(422);
    const more = await Promise.all(Array.from({ length: 30 }, () => report(told)));
    expect(more.filter(({ status }) => status === 204)).toHaveLength(19);
  });
});
