import type { PriceBook } from './price-book';

type Stored = Readonly<Record<string, unknown>>;

/** Steps from every former form of a stored price book, oldest first; none yet. Each leaves what is newer than it as it is. */
const STEPS: readonly ((stored: Stored) => Stored)[] = [];

/** A price book as it was stored, in the form of today. It was checked when it was stored. */
export function openBook(stored: unknown): PriceBook {
  return STEPS.reduce<Stored>((made, step) => step(made), stored as Stored) as unknown as PriceBook;
}

/** The book as it is shown to somebody whom prices are kept from: items, hours and what is in the van, and no money. */
export function withoutMoney(book: PriceBook): PriceBook {
  const { hourPence: _hour, hourCostPence: _cost, ...terms } = book.terms;
  return {
    ...book,
    items: book.items.map(({ buyPence: _buy, markUpPercent: _markUp, ...item }) => item),
    charges: [],
    terms,
  };
}
