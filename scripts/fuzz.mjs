/** `npm run fuzz`: ten thousand random bodies at a server of its own; server errors and invalid documents stored are to be nought. `--short` sends fewer. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt } from './machine/build.mjs';
import { ensureDebian } from './machine/debian.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { prepareDatabase, startServer } from './machine/instance.mjs';
import { startThrowaway } from './machine/postgres.mjs';
import { ROOT } from './machine/root.mjs';

ensureDebian({ postgres: true, chromium: false });
ensureDependencies();
ensureBuilt('server');
const database = await startThrowaway();
try {
  const server = await startServer(prepareDatabase(database.url, { demo: true }), 4760, 'error');
  const bodies = process.argv.includes('--short') ? { FUZZ_BODIES: '1200' } : {};
  const made = spawnSync(process.execPath, [join(ROOT, 'dist/server/fuzz.js')], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...bodies, FUZZ_URL: server.url, FUZZ_OWNER_URL: database.url },
  });
  process.exitCode = made.status ?? 1;
  await server.stop();
} finally {
  database.stop();
}
