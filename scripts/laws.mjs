/**
 * `npm run laws`: every law held to many times the random cases of a test run, and to others than it. `npm run laws -- --share 20 --seed 7` says how many times as many,
 * and which. What a law fails on is printed with the smallest case found: it becomes a case of its own beside the law.
 */
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureDependencies } from './machine/dependencies.mjs';
import { startThrowaway } from './machine/postgres.mjs';
import { ROOT } from './machine/root.mjs';

const { values } = parseArgs({
  options: {
    share: { type: 'string', default: '10' },
    seed: { type: 'string', default: String(Date.now() % 2 ** 31) },
  },
});

/** The test files that hold a law. */
function lawFiles() {
  return ['core/src', 'server/src', 'web/src', 'web/customer'].flatMap((room) =>
    readdirSync(join(ROOT, room), { recursive: true })
      .filter((name) => /\.test\.tsx?$/.test(name))
      .map((name) => join(room, name))
      .filter((path) => readFileSync(join(ROOT, path), 'utf8').includes('testing/laws')),
  );
}

ensureDependencies();
const database = await startThrowaway();
try {
  console.log(`Seed ${values.seed}, ${values.share} times the cases of a test run.`);
  const made = spawnSync(
    process.execPath,
    [
      join(ROOT, 'node_modules/jest/bin/jest.js'),
      '--runTestsByPath',
      ...lawFiles(),
      '--silent',
      // A law that takes seconds takes minutes here.
      '--testTimeout=1800000',
    ],
    {
      cwd: ROOT,
      stdio: 'inherit',
      env: { ...process.env, TEST_DATABASE_URL: database.url, LAW_SHARE: values.share, LAW_SEED: values.seed },
    },
  );
  process.exitCode = made.status ?? 1;
} finally {
  database.stop();
}
