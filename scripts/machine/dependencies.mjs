/** The npm packages of the lock file, installed once and again only when the lock file asks for others. */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { oneAtATime } from './one-at-a-time.mjs';
import { ROOT } from './root.mjs';

export function ensureDependencies() {
  if (installed()) return;
  oneAtATime('install', () => {
    if (installed()) return;
    console.error('Installing npm packages (once) …');
    const made = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
      cwd: ROOT,
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    if (made.status !== 0) throw new Error('npm ci failed: see above. Is the package registry reachable?');
  });
}

/** Whether npm’s own note of what it installed has every package of the lock file, in the same version. */
function installed() {
  const note = join(ROOT, 'node_modules/.package-lock.json');
  if (!existsSync(note)) return false;
  const has = JSON.parse(readFileSync(note, 'utf8')).packages;
  const wanted = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8')).packages;
  return Object.entries(wanted)
    .filter(([path, { optional, link }]) => path.startsWith('node_modules/') && !optional && !link)
    .every(([path, { version }]) => has[path]?.version === version);
}
