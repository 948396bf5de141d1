/**
 * Random bodies at every address that takes one, most of them changes of real surveys: none may end in an error of the server's, none may leave a document stored that cannot be
 * read. Started by `scripts/fuzz.mjs` or a test against a server of its own; the same seed sends the same.
 */
import { readSurvey } from '@keen-gauge/core/survey/opening/read';
import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { Pool } from 'pg';
import { anyValue, changesOf, otherBodies } from './random-bodies';

const base = process.env['FUZZ_URL'] ?? '';
const bodies = Number(process.env['FUZZ_BODIES'] ?? 10_000);
const seed = Number(process.env['FUZZ_SEED'] ?? 1);
const AT_ONCE = 8;

interface Sent {
  readonly path: string;
  readonly body: string;
}

let cookie = '';

async function post(path: string, body: string): Promise<{ status: number; body: Record<string, unknown> }> {
  const response = await fetch(`${base}/api${path}`, {
    method: 'POST',
    headers: { cookie, 'content-type': 'application/json' },
    body,
  });
  const text = await response.text();
  const session = response.headers.getSetCookie().find((each) => each.startsWith('keen.sid='));
  if (path === '/session' && session !== undefined) cookie = session.split(';')[0] ?? '';
  return { status: response.status, body: (text.startsWith('{') ? JSON.parse(text) : {}) as Record<string, unknown> };
}

async function main(): Promise<void> {
  await post('/session', JSON.stringify({ email: 'maren@fennel.example', password: 'keen-gauge-demo' }));
  const mine = cookie;
  const listed = (await (await fetch(`${base}/api/jobs`, { headers: { cookie } })).json()) as {
    jobs: { id: string }[];
  };
  const jobs = listed.jobs.map(({ id }) => id);
  const counts = new Map<string, number>();
  const failures: (Sent & { status: number })[] = [];
  const tell = (sent: Sent, status: number): void => {
    const kind = `${Math.floor(status / 100)}xx`;
    counts.set(kind, (counts.get(kind) ?? 0) + 1);
    if (status >= 500) failures.push({ ...sent, status });
  };

  let made = 0;
  const one = async (at: number): Promise<void> => {
    cookie = mine;
    const jobId = jobs[at % jobs.length] ?? '';
    const pick = <T>(arbitrary: fc.Arbitrary<T>): T =>
      fc.sample(arbitrary, { numRuns: 1, seed: seed * 1_000_003 + at })[0] as T;
    if (at % 10 < 7) {
      const head = await fetch(`${base}/api/jobs/${jobId}/survey`, { headers: { cookie } });
      const { survey, revisionId } = (await head.json()) as { survey: object; revisionId: string };
      const body = JSON.stringify({ id: randomUUID(), parentId: revisionId, changes: pick(changesOf(survey)) });
      const path = `/jobs/${jobId}/survey/revisions`;
      tell({ path, body }, (await post(path, body)).status);
    } else {
      const { path, body } = pick(otherBodies(jobId, anyValue));
      tell({ path, body }, (await post(path, body)).status);
    }
  };
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      while (made < bodies) await one(made++);
    }),
  );

  const owner = new Pool({ connectionString: process.env['FUZZ_OWNER_URL'] ?? '' });
  const stored = await owner.query<{ survey: unknown }>('SELECT survey FROM jobs');
  const invalid = stored.rows.flatMap(({ survey }) => {
    const read = readSurvey(survey);
    return 'faults' in read ? [read.faults[0]] : [];
  });
  await owner.end();
  for (const { path, body, status } of failures.slice(0, 10)) console.log(`${status} ${path} ${body.slice(0, 300)}`);
  for (const fault of invalid.slice(0, 10)) console.log(`stored: ${JSON.stringify(fault)}`);
  const told = [...counts].sort().map(([kind, times]) => `${kind} ${times}`);
  console.log(
    `${made} bodies (${told.join(', ')}), ${failures.length} server errors, ${invalid.length} invalid documents stored`,
  );
  process.exitCode = failures.length > 0 || invalid.length > 0 ? 1 : 0;
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
