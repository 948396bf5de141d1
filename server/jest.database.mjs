/**
 * Before the server's tests: a throw-away database, prepared, and the built command-line programs. The test command
 * brings its own database; run alone, the tests start one and stop it at the end.
 */
import { ensureBuilt } from '../scripts/machine/build.mjs';
import { startThrowaway } from '../scripts/machine/postgres.mjs';

export default async function prepare() {
  ensureBuilt('test-packages');
  ensureBuilt('server');
  if (process.env.TEST_DATABASE_URL) return;
  const database = await startThrowaway();
  process.env.TEST_DATABASE_URL = database.url;
  globalThis.stopTestDatabase = database.stop;
}
