/** A place with little room for a database to fill: what a full disk does is only seen where one is full. */
import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Room for the tables of a short run, and little more. */
const SIZE_MB = 192;

/** Mounts a small file system; null where this user may not, as in most places that are not a container of one's own. */
export function smallPlace(ownedByPostgres) {
  const path = mkdtempSync(join(tmpdir(), 'keen-gauge-small-'));
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE_MB}m,mode=0700`, 'tmpfs', path], {
    stdio: 'ignore',
  });
  if (mounted.status !== 0) {
    rmSync(path, { recursive: true });
    return null;
  }
  chmodSync(path, 0o711);
  const tables = mkdtempSync(join(path, 'tables-'));
  ownedByPostgres(tables);
  const filler = join(path, 'filler');
  return {
    tables,
    /** Leaves no room at all. */
    fill: () => {
      const part = Buffer.alloc(256 * 1024);
      for (let size = SIZE_MB * 4; size > 0; size -= 1)
        try {
          writeFileSync(filler, part, { flag: 'a' });
        } catch {
          break;
        }
    },
    empty: () => rmSync(filler, { force: true }),
    close: () => {
      spawnSync('umount', ['-l', path], { stdio: 'ignore' });
      rmSync(path, { recursive: true, force: true });
    },
  };
}
