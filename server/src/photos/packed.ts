import type { Photo } from '@keen-gauge/core/survey/photo';
import type { PoolClient } from 'pg';
import type { PackedFile } from '../packs/manifest';
import { databasePictures, fullKey } from './picture-store';
import { pictureFileName } from './zip';

/** A survey's photographs as files of a pack, whole. One whose picture is not kept is named in a file of its own, not left out in silence. */
export async function packPictures(db: PoolClient, firmId: string, photos: readonly Photo[]): Promise<PackedFile[]> {
  const store = databasePictures(db, firmId);
  const files: PackedFile[] = [];
  const missing: string[] = [];
  for (const [at, photo] of photos.entries()) {
    const name = pictureFileName(at, photo.caption ?? photo.fileName ?? '');
    const bytes = await store.get(fullKey(photo.id));
    if (bytes) files.push({ name: `photographs/${name}`, bytes });
    else missing.push(name);
  }
  if (missing.length > 0)
    files.push({
      name: 'photographs/not-there.txt',
      bytes: Buffer.from(`No picture was kept of:\n${missing.join('\n')}\n`),
    });
  return files;
}
