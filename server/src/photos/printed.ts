import type { PoolClient } from 'pg';
import sharp from 'sharp';
import type { PrintedPicture } from '../packs/pdf/photos';
import { databasePictures, fullKey } from './picture-store';

/** More than this a printed page does not show. */
const PRINTED_SIDE = 1400;

/** Pictures of these photographs brought down to what paper shows; those not kept are left out. */
export async function printedPictures(
  db: PoolClient,
  firmId: string,
  photos: readonly { readonly id: string }[],
): Promise<Map<string, PrintedPicture>> {
  const store = databasePictures(db, firmId);
  const printed = new Map<string, PrintedPicture>();
  for (const { id } of photos) {
    const full = await store.get(fullKey(id));
    if (!full) continue;
    const { data, info } = await sharp(full)
      .resize({ width: PRINTED_SIDE, height: PRINTED_SIDE, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 80 })
      .toBuffer({ resolveWithObject: true });
    printed.set(id, { bytes: data, width: info.width, height: info.height });
  }
  return printed;
}
