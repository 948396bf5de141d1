/** The built application, made again only when a source file has changed. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { oneAtATime } from './one-at-a-time.mjs';
import { ROOT, RUN } from './root.mjs';

const SOURCES = {
  server: [
    'core/src',
    'server',
    'standins',
    'bench',
    'faults',
    'e2e/home-pass.ts',
    'e2e/journey.ts',
    'package-lock.json',
  ],
  web: ['core/src', 'web', 'package-lock.json'],
  'test-packages': ['web/test-packages.config.ts', 'package-lock.json'],
};

/** What each is built from; the customer’s page goes into the web application’s directory, which is emptied first. */
const CONFIGS = {
  server: ['server/vite.config.ts'],
  web: ['web/vite.config.ts', 'web/customer/vite.config.ts'],
  'test-packages': ['web/test-packages.config.ts'],
};

/** Builds `server`, `web` or `test-packages` if its sources changed since it was last built. */
export function ensureBuilt(room) {
  oneAtATime(`build-${room}`, () => build(room));
}

function build(room) {
  const stampFile = join(RUN, `${room}.built`);
  const stamp = fingerprint(SOURCES[room]);
  const built = existsSync(join(ROOT, 'dist', room));
  if (built && existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp) return;
  console.error(`Building ${room} …`);
  for (const config of CONFIGS[room]) {
    const made = spawnSync(
      process.execPath,
      [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn', '--config', config],
      { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'] },
    );
    if (made.status !== 0) throw new Error(`Building ${room} failed: see above.`);
  }
  mkdirSync(RUN, { recursive: true });
  writeFileSync(stampFile, stamp);
}

/** Names, sizes and times of every file, which is quicker than reading them and as good for this. */
function fingerprint(places) {
  const hash = createHash('sha256');
  for (const place of places) walk(join(ROOT, place), hash);
  return hash.digest('hex');
}

function walk(path, hash) {
  if (!existsSync(path)) return;
  const stat = statSync(path);
  if (!stat.isDirectory()) hash.update(`${path} ${stat.size} ${stat.mtimeMs}\n`);
  else for (const name of readdirSync(path).sort()) walk(join(path, name), hash);
}
