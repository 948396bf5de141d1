/** Prints what the application measures here against what it is meant to. Run with `npm run bench`; never a test. */
import { assess } from '@keen-gauge/core/assess';
import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { readSurvey } from '@keen-gauge/core/survey/read';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { gzipSync } from 'node:zlib';

function quantile(samples: readonly number[], share: number): number {
  const sorted = [...samples].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

function report(what: string, measured: number, unit: string, limit: number): void {
  const verdict = measured <= limit ? 'meets' : 'MISSES';
  console.log(`${what}: ${measured.toFixed(2)} ${unit} (${verdict} ${limit} ${unit})`);
}

/** 60 loads on 25 nodes, three phases, a clamp-managed charger at the end of it. */
function largeSurvey(): Survey {
  const survey = blankSurvey();
  survey.supply.phases = 3;
  const chain = survey.supply.nodes.length;
  for (let index = chain; index < 25; index += 1) {
    const parent = index < chain + 4 ? 'board' : `node-${chain + (index % 4)}`;
    survey.supply.nodes.push({ id: `node-${index}`, kind: 'device', ratingA: 32, fedFrom: parent });
  }
  const loads = STARTING_SETS[1]?.loads ?? [];
  for (let index = 0; index < 60; index += 1) {
    const load = loads[index % loads.length];
    const phase = (['L1', 'L2', 'L3'] as const)[index % 3] ?? 'L1';
    if (load) survey.loads.push({ ...load, id: `load-${index}`, nodeId: `node-${chain + (index % 20)}`, phase });
  }
  const limiter = { kind: 'clamp', setPointA: 60, failSafeA: 6, clampNodeId: 'meter' } as const;
  survey.proposals = [{ id: 'car', kind: 'vehicle-charger', ratedA: 32, phases: 3, nodeId: 'node-24', limiter }];
  return survey;
}

function benchAssess(): void {
  const reading = readSurvey(largeSurvey());
  if ('faults' in reading) throw new Error(JSON.stringify(reading.faults));
  const timed = (work: () => unknown): { wall: number[]; cpu: number[] } => {
    const [wall, cpu]: [number[], number[]] = [[], []];
    for (let at = 0; at < 2000; at += 1) {
      const [start, used] = [performance.now(), process.cpuUsage()];
      work();
      const { user, system } = process.cpuUsage(used);
      // The first rounds are spent compiling.
      if (at >= 500)
        [wall, cpu].forEach((list, which) =>
          list.push(which === 0 ? performance.now() - start : (user + system) / 1000),
        );
    }
    return { wall, cpu };
  };
  let sink = 0;
  const { wall: idle } = timed(() => {
    for (let at = 0; at < 200_000; at += 1) sink += at % 7;
  });
  const calm = `median ${quantile(idle, 0.5).toFixed(2)} ms, 99th percentile ${quantile(idle, 0.99).toFixed(2)} ms`;
  console.log(`this machine, on a loop that always does the same (${sink > 0 ? 'done' : ''}): ${calm}`);
  const { wall, cpu } = timed(() => assess(reading.survey, gbDefault));
  report('assess(), 60 loads in 25 nodes, 99th percentile by the clock', quantile(wall, 0.99), 'ms', 2);
  report('  the same by processor time, which a busy machine does not stretch', quantile(cpu, 0.99), 'ms', 2);
  const medianOf = (work: () => unknown): string => `${quantile(timed(work).wall, 0.5).toFixed(2)} ms`;
  console.log(
    `  median ${quantile(wall, 0.5).toFixed(2)} ms; with all working written out ${medianOf(() => JSON.stringify(assess(reading.survey, gbDefault)))}`,
  );
  console.log(`  reading and checking such a survey whole, median ${medianOf(() => readSurvey(largeSurvey()))}`);
}

/** What the browser fetches before the list of jobs can be drawn: the page’s own script and all it imports at once. */
function benchFirstLoad(): void {
  const directory = 'dist/web/assets';
  const page = readFileSync('dist/web/index.html', 'utf8');
  const wanted = new Set([...page.matchAll(/assets\/([\w-]+\.js)/g)].map(([, name]) => name ?? ''));
  for (const name of wanted) {
    const text = readFileSync(`${directory}/${name}`, 'utf8');
    for (const [, imported] of text.matchAll(/(?:from|import)\s*["']\.\/([\w-]+\.js)["']/g))
      if (imported) wanted.add(imported);
  }
  const bytes = [...wanted].reduce((total, name) => total + gzipSync(readFileSync(`${directory}/${name}`)).length, 0);
  report(`JavaScript for the list of jobs, gzipped (${wanted.size} files)`, bytes / 1000, 'kB', 180);
  const all = readdirSync(directory).filter((name) => name.endsWith('.js'));
  const later = all
    .filter((name) => !wanted.has(name))
    .reduce((total, name) => total + gzipSync(readFileSync(`${directory}/${name}`)).length, 0);
  console.log(`  loaded later, when a survey is opened: ${(later / 1000).toFixed(1)} kB`);
}

const agent = new Agent({ keepAlive: true, maxSockets: 64 });

function call(
  base: string,
  method: string,
  path: string,
  cookie: string,
  body?: object,
): Promise<{ status: number; cookie: string; body: unknown }> {
  return new Promise((resolve, reject) => {
    const sent = request(
      `${base}/api${path}`,
      { method, agent, headers: { cookie, 'content-type': 'application/json' } },
      (response) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => {
          const text = Buffer.concat(parts).toString('utf8');
          resolve({
            status: response.statusCode ?? 0,
            cookie: response.headers['set-cookie']?.[0]?.split(';')[0] ?? cookie,
            body: text === '' ? null : JSON.parse(text),
          });
        });
      },
    );
    sent.on('error', reject);
    sent.end(body === undefined ? undefined : JSON.stringify(body));
  });
}

interface Saver {
  readonly jobId: string;
  revisionId: string;
  count: number;
}

const PEOPLE = 50;

/** Fifty people, each typing in a survey of their own that saves itself about once a second; then all at one instant. */
async function benchAutosave(base: string): Promise<void> {
  const { cookie } = await call(base, 'POST', '/session', '', {
    email: 'maren@fennel.example',
    password: 'keen-gauge-demo',
  });
  const savers: Saver[] = [];
  for (let index = 0; index < PEOPLE; index += 1) {
    const jobId = randomUUID();
    await call(base, 'POST', '/jobs', cookie, { id: jobId, place: `Bench ${index}`, wanted: 'bench' });
    const head = await call(base, 'GET', `/jobs/${jobId}/survey`, cookie);
    const saver: Saver = { jobId, revisionId: (head.body as { revisionId: string }).revisionId, count: 0 };
    const loads = (STARTING_SETS[1]?.loads ?? []).map((load, at) => ({
      kind: 'set',
      path: ['loads', load.id],
      to: load,
      index: at,
    }));
    await save(base, cookie, saver, loads);
    savers.push(saver);
  }
  const once = (saver: Saver): Promise<number> =>
    save(base, cookie, saver, [
      {
        kind: 'set',
        path: ['notes'],
        ...(saver.count > 0 ? { from: `note ${saver.count - 1}` } : {}),
        to: `note ${saver.count}`,
      },
    ]).then((time) => {
      saver.count += 1;
      return time;
    });
  const typing = await Promise.all(
    savers.map(async (saver) => {
      const times: number[] = [];
      await new Promise((resolve) => setTimeout(resolve, Math.random() * 1000));
      for (let at = 0; at < 10; at += 1) {
        times.push(await once(saver));
        await new Promise((resolve) => setTimeout(resolve, 700 + Math.random() * 600));
      }
      return times;
    }),
  );
  report(
    `autosave round trip, ${PEOPLE} people each saving about once a second, 95th percentile`,
    quantile(typing.flat(), 0.95),
    'ms',
    50,
  );
  const bursts: number[] = [];
  for (let at = 0; at < 10; at += 1) bursts.push(...(await Promise.all(savers.map(once))));
  report(
    `autosave round trip, ${PEOPLE} people saving at one instant, 95th percentile`,
    quantile(bursts, 0.95),
    'ms',
    50,
  );
}

async function save(base: string, cookie: string, saver: Saver, changes: readonly object[]): Promise<number> {
  const id = randomUUID();
  const start = performance.now();
  const made = await call(base, 'POST', `/jobs/${saver.jobId}/survey/revisions`, cookie, {
    id,
    parentId: saver.revisionId,
    changes,
  });
  if (made.status !== 201) throw new Error(`save answered ${made.status}: ${JSON.stringify(made.body)}`);
  saver.revisionId = id;
  return performance.now() - start;
}

benchAssess();
benchFirstLoad();
const base = process.env['BENCH_URL'];
if (base) await benchAutosave(base);
agent.destroy();
