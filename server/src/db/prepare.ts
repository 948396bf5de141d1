import { createHmac } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { Client, DatabaseError, escapeIdentifier, escapeLiteral } from 'pg';

/** The role the application works as: it owns nothing and cannot step around row-level security. */
const APP_ROLE = 'keen_gauge_app';

/** Where the migrations are, seen from the project's root, in which every program of it runs. */
export const MIGRATIONS_DIRECTORY = 'server/src/db/migrations';

/** Any number of instances may start together: one prepares, the others wait for it. */
const LOCK = 4_600_001;

/**
 * Brings a database up to date as its owner: the application's role, then every migration not yet run, each in a
 * transaction. Returns the address the application uses.
 */
export async function prepareDatabase(ownerUrl: string, directory = MIGRATIONS_DIRECTORY): Promise<string> {
  const client = new Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    await client.query('SELECT pg_advisory_lock($1)', [LOCK]);
    const appUrl = await ensureRole(client, ownerUrl);
    await client.query(
      'CREATE TABLE IF NOT EXISTS migrations (name text PRIMARY KEY, run_at timestamptz NOT NULL DEFAULT now())',
    );
    const done = await client.query<{ name: string }>('SELECT name FROM migrations');
    const names = new Set(done.rows.map(({ name }) => name));
    for (const name of (await readdir(directory)).sort()) {
      if (names.has(name)) continue;
      const sql = await readFile(join(directory, name), 'utf8');
      await client.query('BEGIN');
      try {
        await client.query(sql);
        await client.query('INSERT INTO migrations (name) VALUES ($1)', [name]);
        await client.query('COMMIT');
      } catch (error) {
        await client.query('ROLLBACK');
        throw new Error(`Migration ${name} failed and was rolled back.`, { cause: error });
      }
    }
    return appUrl;
  } finally {
    await client.end();
  }
}

/** The role's password follows from the owner's address, so that every instance given that address agrees on it. */
async function ensureRole(client: Client, ownerUrl: string): Promise<string> {
  const url = new URL(ownerUrl);
  const password = createHmac('sha256', `${url.username}:${url.password}`).update(APP_ROLE).digest('base64url');
  const role = escapeIdentifier(APP_ROLE);
  await sharedByCluster(async () => {
    const known = await client.query('SELECT 1 FROM pg_roles WHERE rolname = $1', [APP_ROLE]);
    const verb = known.rowCount === 0 ? 'CREATE' : 'ALTER';
    await client.query(
      `${verb} ROLE ${role} LOGIN NOSUPERUSER NOBYPASSRLS NOCREATEDB NOCREATEROLE PASSWORD ${escapeLiteral(password)}`,
    );
  });
  await client.query(`GRANT USAGE ON SCHEMA public TO ${role}`);
  url.username = APP_ROLE;
  url.password = password;
  return url.toString();
}

/** What PostgreSQL says where another session makes or changes the same role at that moment. */
const AT_THE_SAME_TIME = ['23505', '42710', 'XX000'];

/** A role is one for all databases of a cluster, which our lock is not: where two are prepared together one of them tries again. */
async function sharedByCluster(make: () => Promise<void>, tries = 20): Promise<void> {
  for (let left = tries; ; left -= 1)
    try {
      await make();
      return;
    } catch (error) {
      const code = error instanceof DatabaseError ? (error.code ?? '') : '';
      if (left <= 1 || !AT_THE_SAME_TIME.includes(code)) throw error;
      await setTimeout(20 + Math.random() * 80);
    }
}
