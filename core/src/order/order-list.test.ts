import { standingLines } from '../materials/edited';
import type { Line } from '../materials/line';
import { pricesAt } from '../price/at-day';
import { PriceBook, PriceTerms } from '../price/price-book';
import { orderList } from './order-list';

const line = (item: string | null, quantity: number | null, unit: 'each' | 'm' = 'each'): Line => ({
  id: `l-${item ?? 'x'}`,
  kind: 'material',
  item,
  text: item ?? 'Something',
  unit,
  quantity,
  from: { station: 'circuit', says: 'by hand' },
});
const job = (name: string, lines: Line[], loaded: string[] = [], struck: string[] = []) => ({
  jobId: name,
  name,
  lines: standingLines(
    lines,
    struck.map((id) => ({ id, struck: true })),
  ),
  loaded: new Set(loaded),
});
const prices = pricesAt(
  {
    ...new PriceBook(),
    terms: new PriceTerms(),
    items: [
      { id: 'cable', name: 'Cable', unit: 'm', buyPence: 125, soldIn: 50, supplier: 'Counter', supplierCode: 'C1' },
      { id: 'gland', name: 'Gland', unit: 'each', buyPence: 320, supplier: 'Counter' },
      { id: 'clip', name: 'Clip', unit: 'each', buyPence: 5, soldIn: 100, supplier: 'Another' },
    ],
  },
  '2026-12-01',
);

describe('what to buy over several jobs', () => {
  const found = orderList(
    [
      job('One', [line('cable', 31.2, 'm'), line('gland', 2), line('clip', 34)]),
      job('Two', [line('cable', 27, 'm'), line('gland', 2), line(null, 1), line('board', null)], [], []),
      job('Three', [line('gland', 4), line('cable', 10, 'm')], ['gland'], ['l-cable']),
    ],
    [
      { id: 'clip', quantity: 200 },
      { id: 'cable', quantity: 5 },
    ],
    prices,
  );
  it('by hand: 58.2 m of cable less 5 m in the van is 53.2 m, two drums of 50 m; glands of the third are loaded already', () => {
    expect(found.suppliers).toEqual([
      {
        supplier: 'Counter',
        pence: 100 * 125 + 4 * 320,
        rows: [
          {
            item: 'cable',
            name: 'Cable',
            unit: 'm',
            supplierCode: 'C1',
            need: 58.2,
            inVan: 5,
            buy: 100,
            soldIn: 50,
            pence: 12500,
            jobs: ['One', 'Two'],
          },
          {
            item: 'gland',
            name: 'Gland',
            unit: 'each',
            supplierCode: '',
            need: 4,
            inVan: 0,
            buy: 4,
            soldIn: null,
            pence: 1280,
            jobs: ['One', 'Two'],
          },
        ],
      },
    ]);
  });
  it('what names no item or no quantity is left to somebody, and told', () => {
    expect(found.open).toEqual([
      { job: 'Two', text: 'Something' },
      { job: 'Two', text: 'board' },
    ]);
  });
});
