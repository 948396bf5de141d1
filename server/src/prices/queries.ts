import { openBook } from '@keen-gauge/core/price/stored-book';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import { Schemes } from '@keen-gauge/core/schemes/scheme';
import { starterBook } from '@keen-gauge/core/price/starter';
import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';

/** A firm’s price book and which version of it; version 0 is the starter’s, which the firm has not touched. */
export interface StoredBook {
  readonly book: PriceBook;
  readonly version: number;
}

export async function priceBookOf(db: PoolClient): Promise<StoredBook> {
  const found = await db.query<{ book: unknown; version: number }>('SELECT book, version FROM firm_prices');
  const [row] = found.rows;
  return row ? { book: openBook(row.book), version: row.version } : { book: starterBook(), version: 0 };
}

/** Stores a book in place of the version it was made from; false where another has been stored meanwhile. */
export async function putPriceBook(db: PoolClient, asker: Actor, book: PriceBook, from: number): Promise<boolean> {
  const stored = await db.query(
    from === 0
      ? `INSERT INTO firm_prices (firm_id, book, version, changed_by) VALUES ($1, $2, 1, $3) ON CONFLICT DO NOTHING`
      : `UPDATE firm_prices SET book = $2, version = version + 1, changed_by = $3, changed_at = now() WHERE firm_id = $1 AND version = $4`,
    [asker.firmId, JSON.stringify(book), asker.personId, ...(from === 0 ? [] : [from])],
  );
  return stored.rowCount === 1;
}

export async function schemesOf(db: PoolClient): Promise<Schemes> {
  const found = await db.query<{ schemes: Schemes }>('SELECT schemes FROM firm_schemes');
  return found.rows[0]?.schemes ?? new Schemes();
}

export async function putSchemes(db: PoolClient, asker: Actor, schemes: Schemes): Promise<void> {
  await db.query(
    `INSERT INTO firm_schemes (firm_id, schemes, changed_by) VALUES ($1, $2, $3)
     ON CONFLICT (firm_id) DO UPDATE SET schemes = $2, changed_by = $3, changed_at = now()`,
    [asker.firmId, JSON.stringify(schemes), asker.personId],
  );
}
