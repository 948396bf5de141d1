import { once } from 'node:events';
import type { Server } from 'node:http';
import { Server as NetServer } from 'node:net';
import { setTimeout } from 'node:timers/promises';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { listenForChargePoints } from './charge-points/link';
import { openPool } from './db/pool';
import { closeThreads } from './heavy/threads';
import { makeApp } from './http/app';
import type { Standing } from './http/health';
import { mailerFrom } from './mail/mailer';
import { operatorAddresses } from './operator/addresses';
import { offerSetup } from './people/setup';
import { openLog } from './signals/log';
import { countTasks, openMetrics, serveMetrics } from './signals/metrics';
import { taskHandlers } from './tasks/handlers';
import { askHourly } from './tasks/hourly';
import { startWorkers } from './tasks/worker';

/** After being told to stop, new requests are still taken for so long, ms: whoever sends them has to find out first. */
const DRAIN_MS = 1000;

/** What is under way may take so long to finish, ms. */
const PATIENCE_MS = 20_000;

/** Starts one instance. Configured by the environment; see docs/operating.md. */
const HOUR_MS = 3_600_000;

/** Looks for what somebody is to be reminded of, and what has been kept long enough, when it starts and every hour after: each is written once, by whichever instance. */
function lookHourly(pool: Pool, log: Logger): NodeJS.Timeout {
  const look = (): void => {
    askHourly(pool).catch((error: unknown) => {
      log.warn({ err: error }, 'nothing asked for that is done every hour');
    });
  };
  look();
  return setInterval(look, HOUR_MS);
}

async function main(): Promise<void> {
  const log = openLog(process.env['LOG_LEVEL'] ?? 'info');
  const databaseUrl = process.env['APP_DATABASE_URL'];
  if (!databaseUrl) throw new Error('APP_DATABASE_URL is not set: run the start command, or prepare.js for its value.');
  const pool = openPool(databaseUrl, log);
  const secret = await pool.query<{ value: string }>("SELECT value FROM server_secrets WHERE name = 'session'");
  const operators = operatorAddresses(process.env['OPERATOR_ADDRESSES']);
  const mailer = mailerFrom(process.env);
  const metrics = openMetrics(pool);
  const standing: Standing = { stopping: false };
  const app = makeApp({
    pool,
    sessionSecret: secret.rows[0]?.value ?? '',
    log,
    metrics,
    standing,
    webDirectory: process.env['WEB_DIRECTORY'] ?? 'dist/web',
    trustedProxies: Number(process.env['TRUSTED_PROXIES'] ?? 0),
    operators,
    ...(mailer ? { mailer } : {}),
  });
  const host = process.env['HOST'] ?? '127.0.0.1';
  const port = Number(process.env['PORT'] ?? 4600);
  const server = app.listen(port, host, () => {
    log.info({ host, port }, 'listening');
    void offerSetup(pool).then((code) => {
      // Where nobody is there yet, whoever reads what the server prints may begin.
      if (code !== undefined) console.log(`Set it up at http://localhost:${port}/set-up with this code: ${code}`);
    });
    process.send?.({ listening: port });
  });
  const metricsPort = process.env['METRICS_PORT'];
  const counts =
    metricsPort === undefined
      ? undefined
      : serveMetrics(metrics, Number(metricsPort), process.env['METRICS_HOST'] ?? '127.0.0.1');
  countTasks(metrics, pool);
  const chargePoints = listenForChargePoints(server, pool, log);
  const looking = lookHourly(pool, log);
  const workers = startWorkers(pool, log, metrics, taskHandlers(pool, operators, mailer));

  const stop = async (): Promise<void> => {
    if (standing.stopping) return;
    standing.stopping = true;
    clearInterval(looking);
    log.info('stopping');
    // Whatever hangs, it ends; what it held is let go by the time passing.
    void setTimeout(PATIENCE_MS, undefined, { ref: false }).then(() => process.exit(0));
    chargePoints.close();
    await Promise.all([closed(server), workers.stop()]);
    counts?.close();
    await Promise.all([closeThreads(), pool.end()]);
    process.exit(0);
  };
  process.once('SIGTERM', () => void stop());
  process.once('SIGINT', () => void stop());
  // Started by a command that has died: nobody would ever stop it.
  process.once('disconnect', () => void stop());
}

/** Takes what still comes for a moment, telling each that the connection ends; then finishes what is under way. */
async function closed(server: Server): Promise<void> {
  await setTimeout(DRAIN_MS);
  const over = once(server, 'close');
  // Takes no new connections. An HTTP server's own way of closing would also end those whose request has not quite arrived.
  NetServer.prototype.close.call(server);
  await Promise.race([over, setTimeout(DRAIN_MS)]);
  server.closeIdleConnections();
  await over;
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
