import type { PriceRole } from '@keen-gauge/core/price/price-book';
import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';
import { Problem } from '../http/problem';
import { personById } from '../people/queries';
import { priceBookOf, type StoredBook } from './queries';

/** Whether a firm keeps its prices from somebody; a supervisor sees them always. */
export async function seesPrices(db: PoolClient, { personId }: Actor, { book }: StoredBook): Promise<boolean> {
  const who = await personById(db, personId);
  return who !== undefined && !(book.terms.hiddenFrom ?? []).includes(who.role as PriceRole);
}

/** The firm’s price book, for somebody who may see it; refused otherwise. */
export async function bookToSee(db: PoolClient, asker: Actor): Promise<StoredBook> {
  const stored = await priceBookOf(db);
  if (!(await seesPrices(db, asker, stored)))
    throw new Problem(
      403,
      'Prices are not shown to you',
      'The firm keeps its prices from your role. Ask a supervisor.',
    );
  return stored;
}
