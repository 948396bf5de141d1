/**
 * `node scripts/try-restore.mjs`: the backup and restore of docs/operating.md tried out. The demo firm is put into one database, dumped,
 * restored into another server that has never seen it, and both are compared: every table row by row, and a pack's archive as an
 * instance on the restored database hands it out.
 */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { ensureBuilt } from './machine/build.mjs';
import { ensureDebian, postgresBinaries } from './machine/debian.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { prepareDatabase, startServer } from './machine/instance.mjs';
import { startThrowaway } from './machine/postgres.mjs';
import { ROOT } from './machine/root.mjs';

ensureDebian({ postgres: true, chromium: false });
ensureDependencies();
ensureBuilt('server');

/** Runs one of PostgreSQL's own programs; what goes wrong ends everything. */
function run(program, args) {
  const made = spawnSync(join(postgresBinaries() ?? '', program), args, { encoding: 'utf8' });
  if (made.status !== 0) throw new Error(`${program} failed:\n${made.stderr}`);
}

async function query(url, sql) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query(sql)).rows;
  } finally {
    await client.end();
  }
}

/** A sum over every row of every table, whatever order they lie in; sessions, places signed in from and background work come and go by themselves. */
async function sums(url) {
  const tables = await query(
    url,
    "SELECT tablename FROM pg_tables WHERE schemaname = 'public' AND tablename NOT IN ('session', 'sign_in_counts', 'known_places', 'tasks') ORDER BY 1",
  );
  const found = new Map();
  for (const { tablename } of tables) {
    const [{ rows, sum }] = await query(
      url,
      `SELECT count(*)::int AS rows, md5(coalesce(string_agg(md5(t::text), '' ORDER BY md5(t::text)), '')) AS sum FROM "${tablename}" t`,
    );
    found.set(tablename, `${rows} rows, ${sum}`);
  }
  return found;
}

/** The archive of the newest pack as an instance on this database gives it to a signed-in person. */
async function archive(appUrl) {
  const server = await startServer(appUrl, 4650);
  try {
    const signIn = await fetch(`${server.url}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: server.url },
      body: JSON.stringify({ email: 'maren@fennel.example', password: 'keen-gauge-demo' }),
    });
    if (!signIn.ok) throw new Error(`Signing in answered ${signIn.status}.`);
    const cookie = (signIn.headers.get('set-cookie') ?? '').split(';')[0];
    const get = (path) => fetch(`${server.url}${path}`, { headers: { cookie } });
    const { jobs } = await (await get('/api/jobs?search=signed-off')).json();
    const { packs } = await (await get(`/api/jobs/${jobs[0].id}/packs`)).json();
    return Buffer.from(await (await get(`/api/packs/${packs[0].id}/pack.zip`)).arrayBuffer());
  } finally {
    await server.stop();
  }
}

const folder = mkdtempSync(join(tmpdir(), 'keen-gauge-restore-'));
const [first, second] = [await startThrowaway(), await startThrowaway()];
try {
  const before = { archive: await archive(prepareDatabase(first.url, { demo: true })), sums: await sums(first.url) };
  const dump = join(folder, 'gauge.dump');
  run('pg_dump', ['-Fc', '-f', dump, first.url]);

  // As it is written: the role first, so that the rights in the dump find it; then the dump; then prepare, which gives it its password.
  await query(second.url, 'CREATE ROLE keen_gauge_app');
  run('pg_restore', ['--no-owner', '--exit-on-error', '-d', second.url, dump]);
  const appUrl = prepareDatabase(second.url, { demo: false });
  const after = { archive: await archive(appUrl), sums: await sums(second.url) };

  const differing = [...before.sums].filter(([table, sum]) => after.sums.get(table) !== sum);
  for (const [table, sum] of differing) console.error(`${table}: ${sum} before, ${after.sums.get(table)} after`);
  const same = before.archive.equals(after.archive);
  const file = join(folder, 'pack.zip');
  writeFileSync(file, after.archive);
  const verified = spawnSync(process.execPath, [join(ROOT, 'scripts/verify-pack.mjs'), file], {
    cwd: ROOT,
    encoding: 'utf8',
  });
  console.log(`${before.sums.size} tables, ${differing.length} differ.`);
  console.log(
    `A pack's archive: ${same ? 'the same bytes' : 'NOT the same'}, ${createHash('sha256').update(after.archive).digest('hex')}.`,
  );
  console.log(verified.stdout.trim() || verified.stderr.trim());
  if (differing.length > 0 || !same || verified.status !== 0) process.exitCode = 1;
} finally {
  first.stop();
  second.stop();
  rmSync(folder, { recursive: true, force: true });
}
