import { callText, readFrame, type Frame } from '@keen-gauge/core/link/frames';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import type { Agent } from 'supertest';
import { WebSocket } from 'ws';
import { ChargePoint } from '../../../standins/bench/charge-point';
import { startClamp } from '../../../standins/bench/clamp';
import { startHouse } from '../../../standins/bench/house';
import { makeJob, testBench, type MadeJob, type TestBench } from '../testing/bench';
import { listenForChargePoints } from './link';

interface Told {
  readonly id: string;
  readonly connected: boolean;
  readonly status: { readonly info: string } | null;
  readonly samples: readonly { readonly inletA: { L1?: number }; readonly outletA: { L1?: number } }[];
}

let bench: TestBench;
let anna: Agent;
let job: MadeJob;
let server: Server;
let link: { close: () => void };

const portOf = (of: Server): number => (of.address() as AddressInfo).port;

beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
  job = await makeJob(anna);
  const changes = [
    {
      kind: 'set',
      path: ['proposals', 'car'],
      to: { id: 'car', kind: 'vehicle-charger', label: 'Car', ratedA: 32, limiter: {} },
    },
  ];
  await anna
    .post(`/api/jobs/${job.id}/survey/revisions`)
    .send({ id: crypto.randomUUID(), parentId: job.revisionId, changes })
    .expect(201);
  server = createServer();
  link = listenForChargePoints(server, bench.app, pino({ level: 'silent' }));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
});
afterAll(async () => {
  link.close();
  await new Promise((resolve) => server.close(resolve));
  await bench.close();
});

async function linkPoint(): Promise<{ id: string; name: string; key: string }> {
  const made = await anna.post(`/api/jobs/${job.id}/charge-points`).send({ proposalId: 'car' }).expect(201);
  return made.body as { id: string; name: string; key: string };
}

async function told(): Promise<Told | undefined> {
  const found = await anna.get(`/api/jobs/${job.id}/charge-points`).expect(200);
  return (found.body as { chargePoints: Told[] }).chargePoints[0];
}

async function until<T>(look: () => Promise<T | undefined | false>, ms = 15000): Promise<T> {
  const end = Date.now() + ms;
  for (;;) {
    const found = await look();
    if (found !== undefined && found !== false) return found;
    if (Date.now() > end) throw new Error('It did not come to that in time.');
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

/** A connection made by hand, which keeps what it hears. */
function dial(name: string, key: string, protocol = 'ocpp1.6') {
  const heard: Frame[] = [];
  const socket = new WebSocket(`ws://127.0.0.1:${portOf(server)}/ocpp/${name}`, protocol, {
    headers: { authorization: `Basic ${Buffer.from(`${name}:${key}`).toString('base64')}` },
  });
  socket.on('message', (data: Buffer) => {
    const frame = readFrame(data.toString());
    // What it is asked of its own accord at once, a reading every 2 s, is not an answer.
    if (frame && frame.kind !== 'call') heard.push(frame);
  });
  const opened = new Promise<boolean>((resolve) => {
    socket.on('open', () => {
      resolve(true);
    });
    socket.on('error', () => {
      resolve(false);
    });
  });
  return { socket, heard, opened };
}

it('admits nobody without the right name and key, nor after the link was ended', async () => {
  const { id, name, key } = await linkPoint();
  expect(await dial(name, 'wrong').opened).toBe(false);
  expect(await dial('KG-000000000000', key).opened).toBe(false);
  const good = dial(name, key);
  expect(await good.opened).toBe(true);
  const closed = new Promise((resolve) => good.socket.once('close', resolve));
  await anna.delete(`/api/jobs/${job.id}/charge-points/${id}`).expect(204);
  await closed;
  expect(await dial(name, key).opened).toBe(false);
  expect(bench.logged()).not.toContain(key);
});

it('is cut off when it floods, and kept waiting rather than heaped up before', async () => {
  const { name, key } = await linkPoint();
  const loud = dial(name, key);
  await loud.opened;
  const closed = new Promise<number>((resolve) => loud.socket.once('close', resolve));
  const frame = callText('1', 'MeterValues', { meterValue: 'x'.repeat(30_000) });
  const before = process.memoryUsage().rss;
  for (let sent = 0; sent < 3000 && loud.socket.readyState === loud.socket.OPEN; sent += 1) {
    loud.socket.send(frame);
    // Sent as fast as the line takes it, not as fast as it can be written down.
    while (loud.socket.bufferedAmount > 1_000_000) await new Promise((resolve) => setTimeout(resolve, 5));
  }
  expect([1008, 1006]).toContain(await closed);
  expect(process.memoryUsage().rss - before).toBeLessThan(150_000_000);
  // Another one is served meanwhile, and the flooder may come back.
  expect(await dial(name, key).opened).toBe(true);
});

it('answers what it is told, refuses what it does not know, survives rubbish, and lets a newer connection take over', async () => {
  const { name, key } = await linkPoint();
  const first = dial(name, key);
  await first.opened;
  first.socket.send('rubbish');
  first.socket.send(callText('1', 'BootNotification', {}));
  first.socket.send(callText('2', 'StartTransaction', {}));
  first.socket.send(callText('3', 'MeterValues', { meterValue: 'none' }));
  await until(() => Promise.resolve(first.heard.length === 3));
  expect(first.heard).toMatchObject([
    { kind: 'result', id: '1', payload: { status: 'Accepted' } },
    { kind: 'error', id: '2', code: 'NotImplemented' },
    { kind: 'result', id: '3' },
  ]);
  const closed = new Promise((resolve) => first.socket.once('close', resolve));
  const second = dial(name, key);
  await second.opened;
  await closed;
  await until(async () => (await told())?.connected);
  second.socket.close();
  await until(async () => (await told())?.connected === false);
});

it('another firm sees no charge point, makes none on the job, and asks nothing of one', async () => {
  const { id } = await linkPoint();
  const bea = await bench.as('bea@b.example');
  expect((await bea.get(`/api/jobs/${job.id}/charge-points`)).body).toEqual({ chargePoints: [] });
  await bea.post(`/api/jobs/${job.id}/charge-points`).send({ proposalId: 'car' }).expect(404);
  await bea.post(`/api/jobs/${job.id}/charge-points/${id}/ask`).send({ ask: 'read-settings' }).expect(404);
  await bea.delete(`/api/jobs/${job.id}/charge-points/${id}`).expect(404);
  await bench.anyone().get(`/api/jobs/${job.id}/charge-points`).expect(401);
  await anna.post(`/api/jobs/${job.id}/charge-points`).send({ proposalId: 'no-such' }).expect(404);
  await anna.post(`/api/jobs/${job.id}/charge-points/${id}/ask`).send({ ask: 'limit', limitA: 16 }).expect(409);
  await anna.post(`/api/jobs/${job.id}/charge-points/${id}/ask`).send({ ask: 'explode' }).expect(422);
});

it('the bench: a known load is read, the charger gives way, falls back with the lead pulled, and takes settings and a limit', async () => {
  const { id, name, key } = await linkPoint();
  const house = await startHouse(0);
  const houseUrl = `http://127.0.0.1:${portOf(house)}`;
  const clamp = await startClamp(0, houseUrl);
  const clampUrl = `http://127.0.0.1:${portOf(clamp)}`;
  const point = new ChargePoint({
    houseUrl,
    clampUrl,
    ratedA: 32,
    everyMs: 150,
  });
  const world = (change: object): Promise<Response> =>
    fetch(`${houseUrl}/world`, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(change),
    });
  const latest = async () => (await told())?.samples.at(-1);
  const ask = (body: object) => anna.post(`/api/jobs/${job.id}/charge-points/${id}/ask`).send(body);
  try {
    expect((await world({ clampLead: 'chewed' })).status).toBe(422);
    await world({ vehicleLagS: 0.3, manager: { url: `ws://127.0.0.1:${portOf(server)}/ocpp`, name, key } });
    point.start();
    await until(async () => (await told())?.connected);
    expect((await ask({ ask: 'write-settings', setPointA: 50, failSafeA: 6 }).expect(200)).body).toEqual({
      accepted: true,
    });
    expect((await ask({ ask: 'read-settings' }).expect(200)).body).toMatchObject({
      settings: { setPointA: 50, failSafeA: 6 },
    });
    // A current it has no step for as a fail-safe is refused and said so.
    expect((await ask({ ask: 'write-settings', setPointA: 50, failSafeA: 7 }).expect(200)).body).toEqual({
      accepted: false,
    });
    // 2.4 A of house and 32 A of charger: 34.4 less 1 % is 34.1.
    await until(async () => (await latest())?.inletA.L1 === 34.1 && (await latest())?.outletA.L1 === 32);
    // A shower of 37 A: 39.4 A are there, 10 are left of 50.
    await world({ shower: true });
    await until(async () => {
      const { inletA, outletA } = (await latest()) ?? { inletA: {}, outletA: {} };
      return (inletA.L1 ?? 99) <= 50 && (outletA.L1 ?? 0) >= 10 && (outletA.L1 ?? 99) <= 11;
    });
    await world({ clampLead: 'pulled' });
    await until(async () => (await latest())?.inletA.L1 === undefined && (await latest())?.outletA.L1 === 6);
    expect((await told())?.status?.info).toBe('no clamp');
    await world({ clampLead: 'in', clampArrow: 'against', shower: false });
    await until(async () => ((await latest())?.inletA.L1 ?? 0) < 0);
    await world({ clampArrow: 'along' });
    expect((await ask({ ask: 'limit', limitA: 17 }).expect(200)).body).toEqual({ accepted: true });
    // Its steps: 17 A asked for, 16 A taken.
    await until(async () => (await latest())?.outletA.L1 === 16);
    await world({ link: 'down' });
    await until(async () => (await told())?.connected === false);
    await world({ link: 'up' });
    await until(async () => (await told())?.connected);
  } finally {
    point.stop();
    clamp.close();
    house.close();
  }
}, 60000);
