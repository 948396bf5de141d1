import { spawnSync } from 'node:child_process';
import { ensureBuilt } from './machine/build.mjs';
import { chromiumBinary, ensureDebian } from './machine/debian.mjs';
import { startLimiterBench } from './machine/limiter-bench.mjs';
import { prepareDatabase, startServer } from './machine/instance.mjs';
import { startOperatorDesk } from './machine/operator-desk.mjs';
import { startThrowaway } from './machine/postgres.mjs';
ensureDebian({ postgres: true, chromium: true });
ensureBuilt('server'); ensureBuilt('web');
const database = await startThrowaway();
try {
  const appUrl = prepareDatabase(database.url, { demo: true });
  const desk = await startOperatorDesk(4920);
  const server = await startServer(appUrl, 4900, 'error', desk.addresses);
  const bench = await startLimiterBench(server.port + 10, 300);
  const env = { ...process.env, E2E_URL: server.url, E2E_BENCH_HOUSE: bench.house, E2E_DESK: desk.url, E2E_APP_DATABASE_URL: appUrl, CHROMIUM: chromiumBinary() ?? '' };
  const args = process.argv.slice(2);
  const made = args[0] === 'node' ? spawnSync('node', args.slice(1), { stdio: 'inherit', env })
    : spawnSync('node', ['node_modules/@playwright/test/cli.js', 'test', '--config', 'e2e/playwright.config.ts', '--reporter=list', ...args], { stdio: 'inherit', env });
  process.exitCode = made.status ?? 1;
  bench.stop(); await server.stop(); await desk.stop();
} finally { database.stop(); }
