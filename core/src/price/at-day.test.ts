import { pricesAt } from './at-day';
import { PriceBook, PriceTerms } from './price-book';
import { starterBook } from './starter';
import { TASKS } from './tasks';
import { validated } from '../survey/opening/validated';
import { PLAIN_ITEMS } from '../materials/items';

const book = (changes: Partial<PriceBook>): PriceBook => ({ ...new PriceBook(), terms: new PriceTerms(), ...changes });
const item = (buyPence: number, validFrom?: string) => ({
  id: 'a',
  name: 'A',
  unit: 'each' as const,
  buyPence,
  ...(validFrom === undefined ? {} : { validFrom }),
});

describe('prices of a day', () => {
  it('are the newest that have begun, in whatever order they stand', () => {
    const items = [item(300, '2026-06-01'), item(100), item(200, '2026-01-01')];
    for (const list of [items, [...items].reverse()]) {
      const at = (day: string): number | undefined => pricesAt(book({ items: list }), day).item('a')?.buyPence;
      expect(['2025-12-31', '2026-01-01', '2026-05-31', '2026-06-01'].map(at)).toEqual([100, 200, 200, 300]);
    }
    expect(pricesAt(book({ items: [item(5, '2030-01-01')] }), '2026-01-01').item('a')).toBeUndefined();
  });

  it('tax is that of the class on the day, its last day counted, and none where no rate holds', () => {
    const taxes = [
      { taxClass: 'x', name: 'old', percent: 17.5, to: '2026-03-31' },
      { taxClass: 'x', name: 'new', percent: 20, from: '2026-04-01', to: '2026-12-31' },
    ];
    const at = (day: string): number | undefined => pricesAt(book({ taxes }), day).tax('x')?.percent;
    expect(['2026-03-31', '2026-04-01', '2026-12-31'].map(at)).toEqual([17.5, 20, 20]);
    expect(at('2027-01-01')).toBeUndefined();
    expect(pricesAt(book({ taxes }), '2026-04-01').tax('other')).toBeNull();
  });

  it('what the firm has not set is the starter’s', () => {
    const { terms } = pricesAt(book({ terms: { hourPence: 6000 } }), '2026-01-01');
    expect(terms).toMatchObject({ hourPence: 6000, wastePercent: 10, taxClass: 'standard' });
  });
});

describe('the starter list', () => {
  const starter = starterBook();
  it('is one that can be kept, each item once', () => {
    expect(validated(PriceBook, JSON.parse(JSON.stringify(starter)))).toHaveProperty('value');
    expect(new Set(starter.items.map(({ id }) => id)).size).toBe(starter.items.length);
  });
  it('has hours for every task and a price for every plain item', () => {
    const prices = pricesAt(starter, '2026-12-01');
    expect(TASKS.filter((task) => prices.rate(task)?.hours === undefined)).toEqual([]);
    expect(Object.keys(PLAIN_ITEMS).filter((id) => prices.item(id)?.buyPence === undefined)).toEqual([]);
  });
});
