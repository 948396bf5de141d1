/** What is wrong with a price book besides the form of its fields: things that stand twice, days that end before they begin, classes that are none. */
import { isDay } from '../calendar/days';
import type { Fault } from '../survey/opening/plain';
import type { PriceBook } from './price-book';

export function bookFaults({ items, rates, taxes, charges, van, terms }: PriceBook): Fault[] {
  const faults: Fault[] = [];
  const twice = (path: string, keys: readonly string[], what: string): void => {
    const seen = new Set<string>();
    keys.forEach((key, at) => {
      if (seen.has(key))
        faults.push({ path: `${path}[${at}]`, wrong: `is ${what} a second time`, expected: 'each once' });
      seen.add(key);
    });
  };
  twice(
    '$.items',
    items.map(({ id, validFrom }) => `${id} ${validFrom ?? ''}`),
    'an item from one day',
  );
  twice(
    '$.rates',
    rates.map(({ task }) => task),
    'a task',
  );
  twice(
    '$.charges',
    charges.map(({ option }) => option),
    'an option',
  );
  twice(
    '$.van',
    van.map(({ id }) => id),
    'an item',
  );
  items.forEach(({ validFrom, taxClass }, at) => {
    if (validFrom !== undefined && !isDay(validFrom))
      faults.push({ path: `$.items[${at}].validFrom`, wrong: `is ${validFrom}`, expected: 'a day of the calendar' });
    if (taxClass !== undefined && !taxes.some((each) => each.taxClass === taxClass))
      faults.push({
        path: `$.items[${at}].taxClass`,
        wrong: `is “${taxClass}”`,
        expected: 'a class of tax of this book',
      });
  });
  taxes.forEach((rate, at) => {
    const path = `$.taxes[${at}]`;
    if (typeof rate.percent !== 'number')
      faults.push({ path: `${path}.percent`, wrong: 'is missing', expected: 'a number' });
    const [from, to] = [rate.from ?? '', rate.to ?? '9999-12-31'];
    if (from > to) faults.push({ path: `${path}.to`, wrong: `is ${to}`, expected: `${from} or later` });
    const other = taxes.findIndex(
      (each, index) =>
        index < at && each.taxClass === rate.taxClass && (each.from ?? '') <= to && from <= (each.to ?? '9999-12-31'),
    );
    if (other >= 0)
      faults.push({
        path: `${path}.from`,
        wrong: 'holds on days on which another rate of its class holds',
        expected: 'one rate a day',
      });
  });
  if (terms.taxClass !== undefined && !taxes.some(({ taxClass }) => taxClass === terms.taxClass))
    faults.push({ path: '$.terms.taxClass', wrong: `is “${terms.taxClass}”`, expected: 'a class of tax of this book' });
  return faults;
}
