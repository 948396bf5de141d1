import { fork, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { Agent, get } from 'node:http';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import { testBench, type TestBench } from './testing/bench';

/** The built server as a process, as whoever runs it has it. */
let bench: TestBench;
beforeAll(async () => {
  bench = await testBench(undefined, 'by hand');
});
afterAll(() => bench.close());

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address() as AddressInfo;
  probe.close();
  return port;
}

async function start(
  said: 'inherit' | 'pipe' = 'inherit',
): Promise<{ child: ChildProcess; url: string; metrics: string; ended: Promise<number | null> }> {
  const [port, metricsPort] = [await freePort(), await freePort()];
  const child = fork(join(process.cwd(), 'dist/server/main.js'), {
    stdio: ['ignore', said, 'inherit', 'ipc'],
    env: {
      ...process.env,
      APP_DATABASE_URL: String(bench.app.options.connectionString),
      PORT: String(port),
      METRICS_PORT: String(metricsPort),
      LOG_LEVEL: 'fatal',
    },
  });
  const ended = once(child, 'exit').then(([code]) => code as number | null);
  await once(child, 'message');
  return { child, url: `http://127.0.0.1:${port}`, metrics: `http://127.0.0.1:${metricsPort}/metrics`, ended };
}

/** Asks over a connection that stays open; what came, whether it was the last on that connection, or how it failed. */
function ask(agent: Agent, url: string): Promise<number | string> {
  return new Promise((resolve) => {
    get(url, { agent }, (response) => {
      response.resume();
      response.on('end', () => {
        resolve(
          response.headers.connection === 'close'
            ? `${response.statusCode ?? 0}, the last`
            : (response.statusCode ?? 0),
        );
      });
      response.on('aborted', () => {
        resolve('cut off');
      });
    }).on('error', (error: NodeJS.ErrnoException) => {
      resolve(error.code ?? 'error');
    });
  });
}

it('told to stop, it says that it is not ready, finishes what it has, cuts nobody off, and ends', async () => {
  const { child, url, ended } = await start();
  const seen: (number | string)[] = [];
  let over = false;
  const asking = Array.from({ length: 12 }, async () => {
    const agent = new Agent({ keepAlive: true, maxSockets: 1 });
    while (!over) {
      const answer = await ask(agent, `${url}/api/health/live`);
      seen.push(answer);
      // As whoever hands requests out does: told that the connection ends, it asks elsewhere.
      if (answer !== 200) break;
    }
    agent.destroy();
  });
  // In the middle of it, however slow the machine is.
  while (seen.length < 36) await new Promise((resolve) => setTimeout(resolve, 20));
  child.kill('SIGTERM');
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect((await fetch(`${url}/api/health`)).status).toBe(503);
  expect(await ended).toBe(0);
  over = true;
  await Promise.all(asking);
  expect(seen.filter((each) => each === 200).length).toBeGreaterThanOrEqual(12);
  expect(new Set(seen)).toEqual(new Set([200, '200, the last']));
  expect(seen.filter((each) => each !== 200)).toHaveLength(12);
});

it('ends when the command that started it has died', async () => {
  const { child, ended } = await start();
  child.disconnect();
  expect(await ended).toBe(0);
});

it('gives its figures on a port of their own: routes as declared, nobody’s name', async () => {
  const { child, url, metrics, ended } = await start();
  await fetch(`${url}/api/jobs/3f6c0b52-1d0e-4c4e-9d4e-0a5a5a0a9b11`);
  await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'anna@a.example', password: 'wrong' }),
  });
  const text = await (await fetch(metrics)).text();
  expect(text).toMatch(/keen_gauge_request_seconds_count\{method="GET",route="\/api\/jobs\/?:?\w*",status="401"\} 1/);
  expect(text).toContain('keen_gauge_sign_ins_total{outcome="wrong"} 1');
  expect(text).toContain('keen_gauge_database_connections');
  expect(text).toContain('process_cpu_seconds_total');
  expect(text).not.toMatch(/anna|3f6c0b52/);
  expect((await fetch(`${url}/metrics`)).headers.get('content-type')).not.toContain('version=0.0.4');
  child.kill('SIGTERM');
  await ended;
});

it('prints a code where nobody has set it up, with which that is done', async () => {
  await bench.owner.query('TRUNCATE firms CASCADE');
  const { child, url, ended } = await start('pipe');
  let said = '';
  child.stdout?.on('data', (part: Buffer) => {
    said += part.toString();
  });
  while (!/code: /.test(said)) await new Promise((resolve) => setTimeout(resolve, 20));
  const code = /code: (\S+)/.exec(said)?.[1];
  const made = await fetch(`${url}/api/access/set-up`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      code,
      firm: 'Saltmarsh Electrical',
      name: 'Wren',
      email: 'wren@s.example',
      password: 'a gate between two larches',
    }),
  });
  expect(made.status).toBe(201);
  child.kill('SIGTERM');
  await ended;
});
