import { Pool } from 'pg';
import pino from 'pino';
import { listenForChargePoints } from './charge-points/link';
import { makeApp } from './http/app';
import { operatorAddresses } from './operator/addresses';
import { startOutbox } from './operator/outbox';

/** Starts one instance. Configured by the environment; see docs/operating.md. */
async function main(): Promise<void> {
  const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });
  const databaseUrl = process.env['APP_DATABASE_URL'];
  if (!databaseUrl) throw new Error('APP_DATABASE_URL is not set: run the start command, or prepare.js for its value.');
  const pool = new Pool({ connectionString: databaseUrl, max: 20 });
  // A lost database connection is reported by the query that needed it; the idle one must not end the process.
  pool.on('error', (error) => {
    log.warn({ message: error.message }, 'database connection lost');
  });
  const secret = await pool.query<{ value: string }>("SELECT value FROM server_secrets WHERE name = 'session'");
  const operators = operatorAddresses(process.env['OPERATOR_ADDRESSES']);
  const app = makeApp({
    pool,
    sessionSecret: secret.rows[0]?.value ?? '',
    log,
    webDirectory: process.env['WEB_DIRECTORY'] ?? 'dist/web',
    trustedProxies: Number(process.env['TRUSTED_PROXIES'] ?? 0),
    operators,
  });
  const host = process.env['HOST'] ?? '127.0.0.1';
  const port = Number(process.env['PORT'] ?? 4600);
  const server = app.listen(port, host, () => {
    log.info({ host, port }, 'listening');
    process.send?.({ listening: port });
  });
  const chargePoints = listenForChargePoints(server, pool, log);
  const outbox = startOutbox(pool, log, operators);
  const stop = (): void => {
    chargePoints.close();
    // Requests under way are finished, idle connections are not waited for.
    server.close(
      () =>
        void outbox
          .stop()
          .then(() => pool.end())
          .then(() => process.exit(0)),
    );
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), 5000).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
