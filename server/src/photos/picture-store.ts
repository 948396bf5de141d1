import type { PoolClient } from 'pg';
import { bytesOf } from '../db/bytes';

/** Where pictures are kept, by key. Kept ones never change, so that a pack always shows what was signed. */
export interface PictureStore {
  put(key: string, bytes: Buffer): Promise<void>;
  get(key: string): Promise<Buffer | undefined>;
}

export const fullKey = (photoId: string): string => `${photoId}/full.jpg`;
/** As it is printed in a pack. */
export const printKey = (photoId: string): string => `${photoId}/print.jpg`;
export const thumbKey = (photoId: string): string => `${photoId}/thumb.jpg`;

/** Pictures kept in the database, in the firm of the transaction. */
export function databasePictures(db: PoolClient, firmId: string): PictureStore {
  return {
    put: async (key, bytes) => {
      await db.query('INSERT INTO pictures (firm_id, key, bytes) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING', [
        firmId,
        key,
        bytes,
      ]);
    },
    get: (key) => bytesOf(db, 'bytes', 'pictures WHERE key = $1', key),
  };
}
