/** The npm packages of the lock file, installed once and again only when the lock file changes. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './root.mjs';

const STAMP = join(ROOT, 'node_modules', '.keen-gauge-lock');

export function ensureDependencies() {
  const lock = createHash('sha256').update(readFileSync(join(ROOT, 'package-lock.json'))).digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  console.error('Installing npm packages (once) …');
  const made = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (made.status !== 0) throw new Error('npm ci failed: see above. Is the package registry reachable?');
  writeFileSync(STAMP, lock);
}
