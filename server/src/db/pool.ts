import { Pool } from 'pg';
import type { Logger } from 'pino';

/** How long a connection is waited for, ms: a database that is there gives one at once. */
const CONNECT_MS = 3000;

/** How long one statement may take, ms. The database stops it first; where the database hangs, it is given up here. */
const STATEMENT_MS = 8000;
const GIVE_UP_MS = 10_000;

/** A transaction that nothing happens in holds what it locked: the database ends it. */
const IDLE_MS = 15_000;

/** Connections of one instance, at most. */
const MOST = 20;

/**
 * The application's connections. A connection that is cut makes the work that had it fail, and nothing else: without somebody who listens, its
 * error would end the process, whether it was idle or in use.
 */
export function openPool(connectionString: string, log: Logger): Pool {
  const pool = new Pool({
    connectionString,
    max: MOST,
    connectionTimeoutMillis: CONNECT_MS,
    statement_timeout: STATEMENT_MS,
    query_timeout: GIVE_UP_MS,
    idle_in_transaction_session_timeout: IDLE_MS,
    keepAlive: true,
  });
  const lost = (error: Error): void => {
    log.warn({ err: error }, 'database connection lost');
  };
  pool.on('error', lost);
  pool.on('connect', (client) => {
    client.on('error', lost);
  });
  return pool;
}
