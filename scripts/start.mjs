/**
 * `npm start`: everything needed to try Keen Gauge on a fresh machine, then the application itself. Uses nothing but
 * Node's own modules, since nothing else may be there yet. With DATABASE_URL set, that database is used instead.
 */
import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt } from './machine/build.mjs';
import { ensureDebian } from './machine/debian.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { freePort } from './machine/ports.mjs';
import { startKept } from './machine/postgres.mjs';
import { ROOT } from './machine/root.mjs';

const DEMO_PASSWORD = 'keen-gauge-demo';

async function main() {
  const givenUrl = process.env.DATABASE_URL;
  if (!givenUrl) ensureDebian({ postgres: true, chromium: false });
  ensureDependencies();
  ensureBuilt('server');
  ensureBuilt('web');
  const database = givenUrl ? { url: givenUrl, stop: () => undefined } : await startKept();
  try {
    await serve(database.url);
  } finally {
    database.stop();
  }
}

async function serve(ownerUrl) {
  const appUrl = prepare(ownerUrl);
  const port = await freePort(Number(process.env.PORT ?? 4600));
  const server = spawn(process.execPath, [join(ROOT, 'dist/server/main.js')], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    // Its own group: Ctrl-C reaches this script alone, which stops the server first and the database after it.
    detached: true,
    env: { ...process.env, APP_DATABASE_URL: appUrl, DATABASE_URL: '', PORT: String(port), LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn' },
  });
  const ended = new Promise((resolve) => server.once('exit', resolve));
  server.once('message', () => announce(port));
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => {
      if (!server.killed) console.log('\nStopping …');
      server.kill('SIGTERM');
    });
  const code = await ended;
  if (code) process.exitCode = code;
}

/** Migrates and loads the demo data as the owner; the application itself only ever gets its own lesser role. */
function prepare(ownerUrl) {
  const made = spawnSync(process.execPath, [join(ROOT, 'dist/server/prepare.js'), '--demo'], {
    cwd: ROOT,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, DATABASE_URL: ownerUrl },
  });
  if (made.status !== 0) throw new Error('The database could not be prepared: see above.');
  return made.stdout.trim();
}

function announce(port) {
  console.log(`
Keen Gauge is at http://localhost:${port}

  Sign in as            e-mail                  password
  supervisor            maren@fennel.example    ${DEMO_PASSWORD}
  surveyor              tobin@fennel.example    ${DEMO_PASSWORD}
  surveyor (no sign-off) isla@fennel.example    ${DEMO_PASSWORD}
  office                piers@fennel.example    ${DEMO_PASSWORD}

Everything in it is made up. Ctrl-C stops it; what was entered is kept for the next start.`);
}

main().catch((error) => {
  console.error(error.message);
  process.exitCode = 1;
});
