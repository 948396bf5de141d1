/** Programs from Debian's packages: found, or installed with apt when that is allowed, or asked for by name. */
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

const POSTGRES = '/usr/lib/postgresql';

/** The directory of the newest PostgreSQL server's programs, or null. */
export function postgresBinaries() {
  if (!existsSync(POSTGRES)) return null;
  const versions = readdirSync(POSTGRES).sort((a, b) => Number(b) - Number(a));
  return (
    versions.map((version) => join(POSTGRES, version, 'bin')).find((bin) => existsSync(join(bin, 'initdb'))) ?? null
  );
}

/** Chromium's program, or null. */
export function chromiumBinary() {
  return ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path)) ?? null;
}

/** Makes sure each needed program is there; throws with what to install when it cannot install it itself. */
export function ensureDebian({ postgres, chromium }) {
  const wanted = [
    ...(postgres && !postgresBinaries() ? ['postgresql'] : []),
    ...(chromium && !chromiumBinary() ? ['chromium'] : []),
  ];
  if (wanted.length === 0) return;
  const asRoot = process.getuid?.() === 0 ? [] : hasSudo() ? ['sudo', '-n'] : null;
  const command = `apt-get install -y --no-install-recommends ${wanted.join(' ')}`;
  if (!asRoot || !existsSync('/usr/bin/apt-get'))
    throw new Error(`Missing: ${wanted.join(', ')}. Install as an administrator, then run this again:\n  ${command}`);
  console.error(`Installing ${wanted.join(', ')} from Debian’s packages (once) …`);
  apt(asRoot, ['update', '-qq']);
  apt(asRoot, command.split(' ').slice(1));
}

function hasSudo() {
  return spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;
}

function apt(asRoot, args) {
  const [program, ...rest] = [...asRoot, 'apt-get', ...args];
  const made = spawnSync(program, rest, {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  if (made.status !== 0) throw new Error(`apt-get ${args.join(' ')} failed: see above.`);
}
