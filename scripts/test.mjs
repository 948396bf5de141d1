/**
 * `npm test`: formatting, lint, types, Jest and the browser journeys, against a throw-away database on a port of its
 * own. Goes on after a failure so that one run shows everything; ends with one line over all tests.
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './machine/build.mjs';
import { chromiumBinary, ensureDebian } from './machine/debian.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { startLimiterBench } from './machine/limiter-bench.mjs';
import { prepareDatabase, startServer } from './machine/instance.mjs';
import { startMailServer } from './machine/mail-server.mjs';
import { startOperatorDesk } from './machine/operator-desk.mjs';
import { startThrowaway } from './machine/postgres.mjs';
import { ROOT, RUN } from './machine/root.mjs';

function run(what, args, env = {}) {
  console.log(`\n— ${what}`);
  const started = Date.now();
  const made = spawnSync(process.execPath, args, {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  console.log(`— ${what}: ${made.status === 0 ? 'good' : 'FAILED'}, ${((Date.now() - started) / 1000).toFixed(0)} s`);
  return made.status === 0;
}

/** Starts something that runs while other checks do; what it says is printed when it is asked for. */
function alongside(what, args, env = {}) {
  const started = Date.now();
  const child = spawn(process.execPath, args, {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, ...env },
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (said += part));
  const ended = new Promise((resolve) => child.on('close', resolve));
  return async () => {
    const status = await ended;
    console.log(
      `\n— ${what}\n${said}— ${what}: ${status === 0 ? 'good' : 'FAILED'}, ${((Date.now() - started) / 1000).toFixed(0)} s`,
    );
    return status === 0;
  };
}

const tool = (path) => join(ROOT, 'node_modules', path);

/** Reads a suite's counts from the report it wrote; one that wrote none counts as one failure. */
function countsOf(good, report, read) {
  try {
    const counts = read(JSON.parse(readFileSync(report, 'utf8')));
    return { ...counts, failed: good ? counts.failed : Math.max(1, counts.failed) };
  } catch {
    return { passed: 0, failed: 1 };
  }
}

async function main() {
  ensureDebian({ postgres: true, chromium: true });
  ensureDependencies();
  mkdirSync(RUN, { recursive: true });
  ensureBuilt('server');
  ensureBuilt('web');
  const database = await startThrowaway();
  try {
    const jestReport = join(RUN, 'jest.json');
    rmSync(jestReport, { force: true });
    const suites = alongside(
      'Jest',
      [
        tool('jest/bin/jest.js'),
        '--json',
        `--outputFile=${jestReport}`,
        '--maxWorkers=2',
        '--silent',
        '--reporters=default',
      ],
      // The same random cases every time: two fifths of them here, all and others by `npm run laws`.
      { TEST_DATABASE_URL: database.url, LAW_SHARE: '0.4' },
    );
    let checks = run('lint', [tool('oxlint/bin/oxlint'), '--deny-warnings']);
    checks = run('formatting', [tool('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']) && checks;
    checks =
      run('arrows between rooms', [
        tool('dependency-cruiser/bin/dependency-cruise.mjs'),
        'core/src',
        'server/src',
        'web/src',
        'web/customer',
        'standins',
      ]) && checks;
    checks = run('types', ['scripts/types.mjs']) && checks;
    const jest = countsOf(await suites(), jestReport, ({ numPassedTests, numFailedTests, numFailedTestSuites }) => ({
      passed: numPassedTests,
      // A suite that could not even be loaded has no tests to count.
      failed: numFailedTests > 0 ? numFailedTests : numFailedTestSuites,
    }));
    // Alone, since both want to be the only trouble there is.
    const trouble = [
      run('faults, in short', ['scripts/faults.mjs', '--short']),
      run('random bodies, in short', ['scripts/fuzz.mjs', '--short']),
    ];
    const browser = await journeys(database.url);
    const count = (good) => trouble.filter((each) => each === good).length;
    const passed = jest.passed + browser.passed + count(true);
    const failed = jest.failed + browser.failed + count(false) + (checks ? 0 : 1);
    if (!checks) console.log('\nFormatting, lint, arrows or types failed: see above (counted as one).');
    console.log(`\n${passed} passed, ${failed} failed`);
    process.exitCode = failed === 0 ? 0 : 1;
  } finally {
    database.stop();
  }
}

async function journeys(ownerUrl) {
  const appUrl = prepareDatabase(ownerUrl, { demo: true });
  const desk = await startOperatorDesk(4820);
  const mail = await startMailServer(4840);
  const server = await startServer(appUrl, 4800, 'error', desk.addresses, mail.smtpUrl);
  // Looks at its clamp often, so that nobody waits long for a reading to come to rest.
  const bench = await startLimiterBench(server.port + 10, 300);
  const report = join(RUN, 'journeys.json');
  try {
    rmSync(report, { force: true });
    const good = run(
      'browser journeys',
      [tool('@playwright/test/cli.js'), 'test', '--config', 'e2e/playwright.config.ts', '--reporter=list,json'],
      {
        E2E_URL: server.url,
        E2E_BENCH_HOUSE: bench.house,
        E2E_DESK: desk.url,
        E2E_MAIL: mail.url,
        E2E_OWNER_DATABASE_URL: ownerUrl,
        E2E_APP_DATABASE_URL: appUrl,
        CHROMIUM: chromiumBinary() ?? '',
        PLAYWRIGHT_JSON_OUTPUT_NAME: report,
      },
    );
    return countsOf(good, report, ({ stats }) => {
      if (stats.flaky > 0)
        console.log(`${stats.flaky} of the journeys passed at the second go only: see “flaky” above.`);
      return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
    });
  } finally {
    bench.stop();
    await server.stop();
    await desk.stop();
    await mail.stop();
  }
}

main().catch((error) => {
  console.error(error.message);
  console.log('\n0 passed, 1 failed');
  process.exitCode = 1;
});
