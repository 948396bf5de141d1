/** A price list as rows of a table, such as a CSV file has: read with every fault told by its row, and written so that it is read back the same. */
import { isDay } from '../calendar/days';
import { penceOf } from '../money/pence';
import { ITEM_UNITS, type ItemUnit, type PriceItem } from './price-book';

/** The columns, in the order they are written. Only the first three must be there. */
export const PRICE_COLUMNS = [
  'Item',
  'Name',
  'Unit',
  'Supplier',
  'Supplier code',
  'Buying price (£)',
  'Mark-up (%)',
  'Tax class',
  'Sold in',
  'Valid from',
] as const;
export type PriceColumn = (typeof PRICE_COLUMNS)[number];

/** A cell that cannot be taken: its row as a table numbers it, the heading being row 1. */
export interface RowFault {
  readonly row: number;
  readonly column: PriceColumn;
  readonly wrong: string;
  readonly expected: string;
}

export interface ReadPrices {
  readonly items: readonly PriceItem[];
  readonly faults: readonly RowFault[];
}

const MOST_ROWS = 3000;
const ID = /^[A-Za-z0-9_-]{1,64}$/;

/** Rows of a table, its heading first; empty rows are passed over. Items of rows without a fault are given, whatever others are. */
export function readPriceRows(rows: readonly (readonly string[])[]): ReadPrices {
  const [heading = [], ...body] = rows;
  const at = new Map<PriceColumn, number>();
  for (const column of PRICE_COLUMNS) {
    const found = heading.findIndex((each) => each.trim().toLowerCase() === column.toLowerCase());
    if (found >= 0) at.set(column, found);
  }
  const missing = PRICE_COLUMNS.slice(0, 3).filter((column) => !at.has(column));
  if (missing.length > 0)
    return {
      items: [],
      faults: missing.map((column) => ({
        row: 1,
        column,
        wrong: 'is not among the headings',
        expected: `a column “${column}”`,
      })),
    };
  if (body.length > MOST_ROWS)
    return {
      items: [],
      faults: [
        {
          row: MOST_ROWS + 2,
          column: 'Item',
          wrong: `is one row too many of ${body.length}`,
          expected: `at most ${MOST_ROWS} rows`,
        },
      ],
    };
  const items: PriceItem[] = [];
  const faults: RowFault[] = [];
  const seen = new Map<string, number>();
  body.forEach((cells, index) => {
    const row = index + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    const read = readRow((column) => (cells[at.get(column) ?? -1] ?? '').trim(), row);
    const key = `${read.item.id} ${read.item.validFrom ?? ''}`;
    const before = seen.get(key);
    if (read.faults.length === 0 && before !== undefined)
      read.faults.push({
        row,
        column: 'Item',
        wrong: `“${read.item.id}” stands in row ${before} already`,
        expected: 'another item, or another day from which it is valid',
      });
    if (read.faults.length === 0) {
      seen.set(key, row);
      items.push(read.item);
    } else faults.push(...read.faults);
  });
  return { items, faults };
}

function readRow(cell: (column: PriceColumn) => string, row: number): { item: PriceItem; faults: RowFault[] } {
  const faults: RowFault[] = [];
  const wrong = (column: PriceColumn, expected: string): void => {
    faults.push({
      row,
      column,
      wrong: cell(column) === '' ? 'is empty' : `is “${cell(column).slice(0, 40)}”`,
      expected,
    });
  };
  const text = (column: PriceColumn, most: number): string => {
    const value = cell(column);
    if (value.length > most) wrong(column, `at most ${most} characters`);
    return value;
  };
  const id = cell('Item');
  if (!ID.test(id)) wrong('Item', '1 to 64 letters, digits, - or _');
  const name = text('Name', 120);
  if (name === '') wrong('Name', 'a name');
  const unit = ITEM_UNITS.find((each) => each === cell('Unit').toLowerCase());
  if (unit === undefined) wrong('Unit', `one of ${ITEM_UNITS.join(', ')}`);
  const price = cell('Buying price (£)');
  const buyPence = price === '' ? undefined : penceOf(price);
  if (buyPence === null || (buyPence ?? 0) < 0 || (buyPence ?? 0) > 1_000_000_000)
    wrong('Buying price (£)', 'pounds and pence such as 12.34, not below 0');
  const markUpPercent = numberIn('Mark-up (%)', 0, 1000);
  const soldIn = numberIn('Sold in', 0.01, 100000);
  const validFrom = cell('Valid from');
  if (validFrom !== '' && !isDay(validFrom)) wrong('Valid from', 'a date, YYYY-MM-DD');
  const [supplier, supplierCode, taxClass] = [text('Supplier', 60), text('Supplier code', 60), text('Tax class', 40)];
  return {
    item: {
      id,
      name,
      unit: unit ?? ('each' satisfies ItemUnit),
      ...(supplier === '' ? {} : { supplier }),
      ...(supplierCode === '' ? {} : { supplierCode }),
      ...(buyPence === undefined || buyPence === null ? {} : { buyPence }),
      ...(markUpPercent === undefined ? {} : { markUpPercent }),
      ...(taxClass === '' ? {} : { taxClass }),
      ...(soldIn === undefined ? {} : { soldIn }),
      ...(validFrom === '' ? {} : { validFrom }),
    },
    faults,
  };

  function numberIn(column: PriceColumn, least: number, most: number): number | undefined {
    const typed = cell(column).replace(/\s*%$/, '');
    if (typed === '') return undefined;
    const value = /^\d+(\.\d+)?$/.test(typed) ? Number(typed) : NaN;
    if (Number.isFinite(value) && value >= least && value <= most) return value;
    wrong(column, `a number from ${least} to ${most}`);
    return undefined;
  }
}

/** A price list as rows, its heading first. */
export function priceRows(items: readonly PriceItem[]): string[][] {
  return [
    [...PRICE_COLUMNS],
    ...items.map(({ id, name, unit, supplier, supplierCode, buyPence, markUpPercent, taxClass, soldIn, validFrom }) => [
      id,
      name,
      unit,
      supplier ?? '',
      supplierCode ?? '',
      buyPence === undefined ? '' : (buyPence / 100).toFixed(2),
      markUpPercent === undefined ? '' : String(markUpPercent),
      taxClass ?? '',
      soldIn === undefined ? '' : String(soldIn),
      validFrom ?? '',
    ]),
  ];
}
