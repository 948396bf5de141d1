import type { Pool, PoolClient } from 'pg';
import sharp from 'sharp';
import { inFirm, type Asker } from '../db/firm-scope';
import type { PrintedPicture } from '../packs/pdf/photos';
import { databasePictures, fullKey, printKey } from './picture-store';

/** More than this a printed page does not show. */
const PRINTED_SIDE = 1400;

/** A picture brought down to what paper shows, made once and kept; undefined where the picture itself is not kept. */
async function printedPicture(db: PoolClient, firmId: string, id: string): Promise<PrintedPicture | undefined> {
  const store = databasePictures(db, firmId);
  const kept = await store.get(printKey(id));
  if (kept) {
    const { width, height } = await sharp(kept).metadata();
    return { bytes: kept, width, height };
  }
  const full = await store.get(fullKey(id));
  if (!full) return undefined;
  const { data, info } = await sharp(full)
    .resize({ width: PRINTED_SIDE, height: PRINTED_SIDE, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 80 })
    .toBuffer({ resolveWithObject: true });
  await store.put(printKey(id), data);
  return { bytes: data, width: info.width, height: info.height };
}

/** Pictures of these photographs as they are printed; those not kept are left out. */
export async function printedPictures(
  db: PoolClient,
  firmId: string,
  photos: readonly { readonly id: string }[],
): Promise<Map<string, PrintedPicture>> {
  const printed = new Map<string, PrintedPicture>();
  for (const { id } of photos) {
    const picture = await printedPicture(db, firmId, id);
    if (picture) printed.set(id, picture);
  }
  return printed;
}

/** One after the other, so that those that still arrive are not held up. */
let making: Promise<unknown> = Promise.resolve();

/** Has the printed picture made beforehand, so that signing off need not; where that is cut short, signing off makes it. */
export function printBeforehand(pool: Pool, asker: Asker, id: string): void {
  making = making.then(() => inFirm(pool, asker, (db) => printedPicture(db, asker.firmId, id))).catch(() => undefined);
}
