import { fc, lawRuns } from '../testing/laws';
import { ITEM_UNITS, type PriceItem } from './price-book';
import { PRICE_COLUMNS, priceRows, readPriceRows } from './price-rows';
import { starterBook } from './starter';

const HEADING = [...PRICE_COLUMNS];
const GOOD = ['cable-x', 'Cable X', 'm', 'Counter', 'CX-1', '1.25', '25', 'standard', '50', '2026-01-01'];
const row = (changes: Readonly<Record<number, string>>): string[] => GOOD.map((cell, at) => changes[at] ?? cell);

describe('a price list as rows', () => {
  it('reads every column', () => {
    expect(readPriceRows([HEADING, GOOD])).toEqual({
      items: [
        {
          id: 'cable-x',
          name: 'Cable X',
          unit: 'm',
          supplier: 'Counter',
          supplierCode: 'CX-1',
          buyPence: 125,
          markUpPercent: 25,
          taxClass: 'standard',
          soldIn: 50,
          validFrom: '2026-01-01',
        },
      ],
      faults: [],
    });
  });

  it('takes columns in any order and case, leaves out what is empty, and passes over empty rows', () => {
    const { items, faults } = readPriceRows([
      ['UNIT', 'name', ' Item '],
      ['each', 'A', 'a'],
      ['', '', ''],
      ['each', 'B', 'b'],
    ]);
    expect(faults).toEqual([]);
    expect(items).toEqual([
      { id: 'a', name: 'A', unit: 'each' },
      { id: 'b', name: 'B', unit: 'each' },
    ]);
  });

  it('tells twenty faults by row and column, and keeps the row that has none', () => {
    const faulty: readonly (readonly [number, string[]])[] = [
      [0, row({ 0: '' })],
      [0, row({ 0: 'a b' })],
      [0, row({ 0: 'x'.repeat(65) })],
      [1, row({ 1: '' })],
      [1, row({ 1: 'n'.repeat(121) })],
      [2, row({ 2: 'kg' })],
      [2, row({ 2: '' })],
      [3, row({ 3: 's'.repeat(61) })],
      [4, row({ 4: 's'.repeat(61) })],
      [5, row({ 5: 'twelve' })],
      [5, row({ 5: '1.234' })],
      [5, row({ 5: '-1' })],
      [5, row({ 5: '99999999999' })],
      [6, row({ 6: '-5' })],
      [6, row({ 6: '2000' })],
      [6, row({ 6: 'a lot' })],
      [7, row({ 7: 't'.repeat(41) })],
      [8, row({ 8: '0' })],
      [9, row({ 9: '31/01/2026' })],
      [9, row({ 9: '2026-02-30' })],
    ];
    const { items, faults } = readPriceRows([HEADING, ...faulty.map(([, cells]) => cells), GOOD]);
    expect(items).toHaveLength(1);
    expect(faults.map(({ row: at, column }) => [at, column])).toEqual(
      faulty.map(([column], at) => [at + 2, PRICE_COLUMNS[column]]),
    );
    expect(faults.every(({ wrong, expected }) => wrong !== '' && expected !== '')).toBe(true);
  });

  it('refuses the same item twice from one day, and takes it from two', () => {
    expect(readPriceRows([HEADING, GOOD, GOOD]).faults).toMatchObject([{ row: 3, column: 'Item' }]);
    expect(readPriceRows([HEADING, GOOD, row({ 9: '2026-06-01' })])).toMatchObject({ faults: [] });
  });

  it('says which headings are missing, and that there are too many rows', () => {
    expect(readPriceRows([['Item', 'Price']]).faults.map(({ column }) => column)).toEqual(['Name', 'Unit']);
    expect(readPriceRows([]).faults).toHaveLength(3);
    expect(readPriceRows([HEADING, ...Array.from({ length: 3001 }, () => GOOD)]).faults).toMatchObject([
      { column: 'Item', expected: 'at most 3000 rows' },
    ]);
  });

  it('the starter list is one that can be kept', () => {
    const { items } = starterBook();
    expect(readPriceRows(priceRows(items))).toEqual({ items, faults: [] });
  });

  it('law: a list is read back as it was written', () => {
    const words = (most: number): fc.Arbitrary<string> =>
      fc
        .string({ minLength: 1, maxLength: most })
        .map((text) => text.replaceAll('\u0000', '').trim())
        .filter((text) => text !== '');
    const optional = <T>(of: fc.Arbitrary<T>): fc.Arbitrary<T | undefined> => fc.option(of, { nil: undefined });
    const items: fc.Arbitrary<PriceItem> = fc
      .record({
        id: fc.stringMatching(/^[A-Za-z0-9_-]{1,64}$/),
        name: words(120),
        unit: fc.constantFrom(...ITEM_UNITS),
        supplier: optional(words(60)),
        supplierCode: optional(words(60)),
        buyPence: optional(fc.integer({ min: 0, max: 1_000_000_000 })),
        markUpPercent: optional(fc.integer({ min: 0, max: 1000 })),
        soldIn: optional(fc.integer({ min: 1, max: 1000 })),
        validFrom: optional(fc.constantFrom('2025-01-01', '2026-07-31')),
      })
      .map((item) => JSON.parse(JSON.stringify(item)) as PriceItem);
    fc.assert(
      fc.property(
        fc.uniqueArray(items, { selector: ({ id, validFrom }) => `${id} ${validFrom ?? ''}`, maxLength: 12 }),
        (list) => {
          expect(readPriceRows(priceRows(list))).toEqual({ items: list, faults: [] });
        },
      ),
      { numRuns: lawRuns(150) },
    );
  });
});
