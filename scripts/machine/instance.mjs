/** A prepared database and a running server on it, for the tests, the benches and the screenshots. */
import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { freePort } from './ports.mjs';
import { ROOT } from './root.mjs';

/** Migrates the database, loads the demo firm if asked, and returns the address the application connects with. */
export function prepareDatabase(ownerUrl, { demo }) {
  const made = spawnSync(process.execPath, [join(ROOT, 'dist/server/prepare.js'), ...(demo ? ['--demo'] : [])], {
    cwd: ROOT,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, DATABASE_URL: ownerUrl },
  });
  if (made.status !== 0) throw new Error('The database could not be prepared: see above.');
  return made.stdout.trim();
}

/**
 * Starts one server process; resolves once it listens. It gets the application's own lesser role and never the
 * owner's address, where packs are handed in, and how mail leaves. Its own process group: Ctrl-C reaches the caller alone, which stops things in order.
 */
export async function startServer(
  appUrl,
  preferredPort,
  logLevel = 'warn',
  operators = undefined,
  smtpUrl = undefined,
) {
  const port = await freePort(preferredPort);
  const env = { ...process.env, APP_DATABASE_URL: appUrl, PORT: String(port) };
  delete env.DATABASE_URL;
  delete env.TEST_DATABASE_URL;
  if (operators) env.OPERATOR_ADDRESSES ??= operators;
  if (smtpUrl && !env.SMTP_URL)
    Object.assign(env, {
      SMTP_URL: smtpUrl,
      MAIL_FROM: 'surveys@keen-gauge.example',
      PUBLIC_URL: `http://localhost:${port}`,
    });
  env.LOG_LEVEL ??= logLevel;
  const server = spawn(process.execPath, [join(ROOT, 'dist/server/main.js')], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
    env,
  });
  const ended = new Promise((resolve) => server.once('exit', resolve));
  await Promise.race([
    new Promise((resolve) => server.once('message', resolve)),
    ended.then(() => Promise.reject(new Error('The server did not start: see above.'))),
  ]);
  return {
    url: `http://localhost:${port}`,
    port,
    ended,
    stop: (signal = 'SIGTERM') => {
      server.kill(signal);
      return ended;
    },
  };
}
