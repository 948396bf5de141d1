import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { heavy } from '../heavy/threads';
import type { PrintedPicture } from '../packs/pdf/photos';
import { databasePictures, fullKey, printKey } from './picture-store';

/**
 * A picture brought down to what paper shows, made once and kept; undefined where the picture itself is not kept. Made in a thread, with no transaction open.
 */
export async function printedPicture(pool: Pool, firmId: string, id: string): Promise<PrintedPicture | undefined> {
  const bytesOf = (key: string): Promise<Buffer | undefined> =>
    inFirm(pool, { firmId }, (db) => databasePictures(db, firmId).get(key));
  const kept = await bytesOf(printKey(id));
  const full = kept ?? (await bytesOf(fullKey(id)));
  if (!full) return undefined;
  const { bytes, width, height } = await heavy('printedOf', { bytes: full, asItIs: kept !== undefined });
  const printed = Buffer.from(bytes);
  if (!kept) await inFirm(pool, { firmId }, (db) => databasePictures(db, firmId).put(printKey(id), printed));
  return { bytes: printed, width, height };
}

/** Pictures of these photographs as they are printed; those not kept are left out. */
export async function printedPictures(
  pool: Pool,
  firmId: string,
  photos: readonly { readonly id: string }[],
): Promise<Map<string, PrintedPicture>> {
  const printed = new Map<string, PrintedPicture>();
  for (const { id } of photos) {
    const picture = await printedPicture(pool, firmId, id);
    if (picture) printed.set(id, picture);
  }
  return printed;
}
