/** `npm run bench`: prints the measured figures, on a database and a server of its own. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt } from './machine/build.mjs';
import { chromiumBinary, ensureDebian } from './machine/debian.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { prepareDatabase, startServer } from './machine/instance.mjs';
import { startBench } from './machine/postgres.mjs';
import { ROOT } from './machine/root.mjs';

ensureDebian({ postgres: true, chromium: true });
ensureDependencies();
ensureBuilt('server');
ensureBuilt('web');
const database = await startBench();
try {
  const server = await startServer(prepareDatabase(database.url, { demo: true }), 4700);
  const made = spawnSync(process.execPath, [join(ROOT, 'dist/server/bench.js'), ...process.argv.slice(2)], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, BENCH_URL: server.url, BENCH_OWNER_URL: database.url, CHROMIUM: chromiumBinary() ?? '' },
  });
  process.exitCode = made.status ?? 1;
  await server.stop();
} finally {
  database.stop();
}
