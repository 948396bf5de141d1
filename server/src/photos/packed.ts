import type { Photo } from '@keen-gauge/core/survey/photo';
import type { PoolClient } from 'pg';
import type { PackedPicture } from '../packs/bundle';
import type { PackedFile } from '../packs/manifest';
import { fullKey } from './picture-store';
import { pictureFileName } from './zip';

/**
 * A survey's photographs as files of a pack, whole, with the sums the database makes of them. Those whose picture is not kept are named in a
 * file of its own, not left out in silence.
 */
export async function packPictures(
  db: PoolClient,
  photos: readonly Photo[],
): Promise<{ readonly pictures: readonly PackedPicture[]; readonly missing: readonly PackedFile[] }> {
  const named = photos.map((photo, at) => ({
    key: fullKey(photo.id),
    name: `photographs/${pictureFileName(at, photo.caption ?? photo.fileName ?? '')}`,
  }));
  const kept = await db.query<{ key: string; bytes: number; sha256: string }>(
    `SELECT key, octet_length(bytes) AS bytes, encode(sha256(bytes), 'hex') AS sha256 FROM pictures WHERE key = ANY ($1)`,
    [named.map(({ key }) => key)],
  );
  const sums = new Map(kept.rows.map((row) => [row.key, row]));
  const missing = named.filter(({ key }) => !sums.has(key)).map(({ name }) => name);
  return {
    pictures: named.flatMap(({ key, name }) => {
      const sum = sums.get(key);
      return sum ? [{ key, name, bytes: sum.bytes, sha256: sum.sha256 }] : [];
    }),
    missing:
      missing.length === 0
        ? []
        : [
            {
              name: 'photographs/not-there.txt',
              bytes: Buffer.from(`No picture was kept of:\n${missing.join('\n')}\n`),
            },
          ],
  };
}
