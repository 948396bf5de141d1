/** Tells whether a pack is as it was signed: builds what it needs first, quietly, then hands over. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt } from './machine/build.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { ROOT } from './machine/root.mjs';

ensureDependencies();
ensureBuilt('server');
// The file is named from where the person stands, which npm tells us.
const cwd = process.env.INIT_CWD ?? process.cwd();
const made = spawnSync(process.execPath, [join(ROOT, 'dist/server/verify-pack.js'), ...process.argv.slice(2)], {
  cwd,
  stdio: 'inherit',
});
process.exitCode = made.status ?? 1;
