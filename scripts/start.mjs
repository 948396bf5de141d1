/**
 * `npm start`: everything needed to try Keen Gauge on a fresh machine, then the application itself. Uses nothing but
 * Node's own modules, since nothing else may be there yet. With DATABASE_URL set, that database is used instead.
 */
import { startLimiterBench } from './machine/limiter-bench.mjs';
import { ensureBuilt } from './machine/build.mjs';
import { ensureDebian } from './machine/debian.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { prepareDatabase, startServer } from './machine/instance.mjs';
import { startMailServer } from './machine/mail-server.mjs';
import { startOperatorDesk } from './machine/operator-desk.mjs';
import { freePort } from './machine/ports.mjs';
import { startKept } from './machine/postgres.mjs';
import { RUN } from './machine/root.mjs';
import { join } from 'node:path';

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
  const appUrl = prepareDatabase(ownerUrl, { demo: true });
  const port = Number(process.env.PORT ?? 4600);
  const desk = await startOperatorDesk(port + 20, { file: join(RUN, 'operator.json'), secondsPerDay: 10 });
  process.env.METRICS_PORT ??= String(await freePort(port + 30));
  const mail = await startMailServer(port + 40);
  const server = await startServer(appUrl, port, 'warn', desk.addresses, mail.smtpUrl);
  const bench = await startLimiterBench(server.port + 10);
  announce(server.port, bench.url, desk.url, mail.url, process.env.METRICS_PORT);
  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => {
      if (!stopping) console.log('\nStopping …');
      stopping = true;
      void server.stop();
    });
  const code = await server.ended;
  bench.stop();
  await desk.stop();
  await mail.stop();
  if (code) process.exitCode = code;
}

function announce(port, bench, desk, mail, metricsPort) {
  console.log(`
Keen Gauge is at http://localhost:${port}

  Sign in as            e-mail                  password
  supervisor            maren@fennel.example    ${DEMO_PASSWORD}
  surveyor              tobin@fennel.example    ${DEMO_PASSWORD}
  surveyor (no sign-off) isla@fennel.example    ${DEMO_PASSWORD}
  office                piers@fennel.example    ${DEMO_PASSWORD}

  Bench to practise commissioning on (a made-up house, clamp and charge point): ${bench}
  A made-up operator’s desk that packs are handed in to; a day of it lasts ten seconds:       ${desk}
  What it mails, which reaches nobody:                                                        ${mail}
  Its figures, for whoever collects them:                                                     http://localhost:${metricsPort}/metrics

Everything in it is made up. Ctrl-C stops it; what was entered is kept for the next start.`);
}

main().catch((error) => {
  console.error(error.message);
  process.exitCode = 1;
});
