/** What of a price book holds on a day. */
import type { OptionKind } from '../survey/words/option-words';
import type { PriceBook, PriceItem, TaxRate, WorkRate } from './price-book';
import { STARTER_TERMS } from './starter';
import type { Task } from './tasks';

/** A price book as it stands on one day, looked up by id. */
export interface Prices {
  readonly day: string;
  readonly item: (id: string) => PriceItem | undefined;
  readonly rate: (task: Task) => WorkRate | undefined;
  /** Null where no rate of that class holds that day. */
  readonly tax: (taxClass: string | undefined) => TaxRate | null;
  readonly charge: (option: OptionKind) => number | undefined;
  readonly terms: Required<Omit<PriceBook['terms'], 'conditions' | 'hiddenFrom' | 'starter'>> &
    Pick<PriceBook['terms'], 'conditions' | 'hiddenFrom' | 'starter'>;
}

/** Prices of a day, YYYY-MM-DD: of each item the newest that has begun; of each class of tax the rate whose days it lies in. */
export function pricesAt(book: PriceBook, day: string): Prices {
  const items = new Map<string, PriceItem>();
  for (const item of book.items) {
    const begun = item.validFrom ?? '';
    if (begun > day) continue;
    const known = items.get(item.id);
    if (!known || begun >= (known.validFrom ?? '')) items.set(item.id, item);
  }
  const rates = new Map(book.rates.map((rate) => [rate.task, rate]));
  const charges = new Map(book.charges.map(({ option, pence }) => [option, pence]));
  const terms = { ...STARTER_TERMS, ...book.terms };
  return {
    day,
    item: (id) => items.get(id),
    rate: (task) => rates.get(task),
    tax: (taxClass) =>
      book.taxes.find(
        (each) =>
          each.taxClass === (taxClass ?? terms.taxClass) &&
          (each.from ?? '') <= day &&
          day <= (each.to ?? '9999-12-31'),
      ) ?? null,
    charge: (option) => charges.get(option),
    terms,
  };
}

/** What tasks take each, of everybody who is on them added up, in hours; a task without a rate is left out. */
export function personHours(
  tasks: readonly Task[],
  rateOf: (task: Task) => WorkRate | undefined,
): Partial<Record<Task, number>> {
  return Object.fromEntries(
    tasks.flatMap((task) => {
      const rate = rateOf(task);
      return rate?.hours === undefined ? [] : [[task, rate.hours * (rate.people ?? 1)]];
    }),
  );
}
