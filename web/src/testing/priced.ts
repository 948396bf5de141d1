import { starterBook } from '@keen-gauge/core/price/starter';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import type { Change } from '@keen-gauge/core/testing/settled-survey';

/** For tests: the settled home with everything chosen that a price needs. */
export const priced: Change = (survey) => {
  survey.works = { travelMin: 20 };
  for (const each of survey.proposals) {
    Object.assign(each, { profileId: 'usual-dial', profile: 'Wall charger' });
    for (const segment of each.circuit?.segments ?? []) segment.fixedTo = 'brick';
  }
};

/** For tests: what the server says of prices, with what differs from the starter’s. */
export function pricesAnswer(
  terms: Partial<PriceBook['terms']> = {},
  hidden = false,
): Readonly<Record<string, { readonly book: PriceBook; readonly version: number; readonly hidden: boolean }>> {
  const book = starterBook();
  return {
    '/firm/prices': { book: { ...book, terms: { ...book.terms, starter: false, ...terms } }, version: 1, hidden },
  };
}
