/** `npm run schema`: writes docs/formats/survey.schema.json from the survey models. */
import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './machine/build.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { ROOT } from './machine/root.mjs';

ensureDependencies();
ensureBuilt('server');
const made = spawnSync(process.execPath, [join(ROOT, 'dist/server/schema.js')], { cwd: ROOT, encoding: 'utf8' });
if (made.status !== 0) throw new Error(made.stderr);
writeFileSync(join(ROOT, 'docs/formats/survey.schema.json'), made.stdout);
