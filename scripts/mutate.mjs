/**
 * `npm run mutate`: changes the figures' code in small ways and sees whether a test notices. All of it takes a night, so one piece of twelve lines
 * in five is tried, other pieces with another `--seed`; `-- --share 1` tries all, `-- route earthing` only these rooms.
 */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureDependencies } from './machine/dependencies.mjs';
import { ROOT } from './machine/root.mjs';

const ROOMS = ['demand', 'management', 'route', 'earthing', 'circuit', 'cable', 'feeder', 'protection'];
const PIECE = 12;

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { share: { type: 'string', default: '5' }, seed: { type: 'string', default: '1' } },
});

/** Pieces of a room's files, as `file:from-to`; which of them is settled by the seed alone. */
function pieces(room) {
  const folder = `core/src/${room}`;
  const files = readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' });
  return files
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .sort()
    .flatMap((name) => {
      const lines = readFileSync(join(ROOT, folder, name), 'utf8').split('\n').length;
      return Array.from({ length: Math.ceil(lines / PIECE) }, (_each, at) => ({ name: `${folder}/${name}`, at }));
    })
    .filter(({ name, at }) => {
      const drawn = createHash('sha256').update(`${values.seed} ${name} ${at}`).digest().readUInt32BE(0);
      return drawn % Number(values.share) === 0;
    })
    .map(({ name, at }) => `${name}:${at * PIECE + 1}-${(at + 1) * PIECE}`);
}

ensureDependencies();
const rooms = positionals.length > 0 ? positionals : ROOMS;
const ranges = rooms.flatMap(pieces);
console.log(`${ranges.length} pieces of ${rooms.join(', ')}: one in ${values.share}, seed ${values.seed}.`);
const made = spawnSync(
  process.execPath,
  [join(ROOT, 'node_modules/@stryker-mutator/core/bin/stryker.js'), 'run', '--mutate', ranges.join(',')],
  // A law is held to a twentieth of its cases: a mutant that lives is held to all of them.
  { cwd: ROOT, stdio: 'inherit', env: { ...process.env, LAW_SHARE: '0.05' } },
);
process.exitCode = made.status ?? 1;
