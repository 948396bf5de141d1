/** `npm run types`: every part of the project, types checked. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './machine/root.mjs';

const PARTS = [
  'core',
  'core/tsconfig.pure.json',
  'server',
  'web',
  'web/sw',
  'web/customer',
  'bench',
  'e2e',
  'faults',
  'standins',
];

const wrong = PARTS.filter((part) => {
  const made = spawnSync(process.execPath, [join(ROOT, 'node_modules/typescript/bin/tsc'), '-p', part], {
    cwd: ROOT,
    stdio: 'inherit',
  });
  return made.status !== 0;
});
if (wrong.length > 0) console.log(`Types are wrong in ${wrong.join(', ')}.`);
process.exitCode = wrong.length > 0 ? 1 : 0;
