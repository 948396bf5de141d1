import { readdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';

/**
 * Every test of the core in one file, for mutants alone: the core is then loaded once for a mutant and not once for each of a hundred files. Left
 * out is what takes minutes on its own, the trial and the laws over whole random surveys, and what reads the words of the whole project.
 */
const LEFT_OUT = [
  /^trial\//,
  /^link\//,
  /laws\.test/,
  /memory\.test/,
  /every-class\.test/,
  /read-edited\.test/,
  /wording\.test/,
];

const SOURCES = join(__dirname, '../src');

// A test file tells its tests as it is loaded, which an import that is waited for would be too late for.
const load = createRequire(__filename);
for (const name of readdirSync(SOURCES, { recursive: true, encoding: 'utf8' }).sort())
  if (name.endsWith('.test.ts') && !LEFT_OUT.some((each) => each.test(name))) load(join(SOURCES, name));
