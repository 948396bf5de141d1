import { readClockCell, readNumberCell } from './cells';

/** Where the values of a day stand in a row of a half-hourly table. */
export interface DayColumns {
  readonly first: number;
  /** So many columns from one value to the next: 2 where each has a flag beside it. */
  readonly every: number;
  readonly perDay: 24 | 48 | 96;
  /** Columns for autumn's hour more follow. */
  readonly longDay: boolean;
}

type Rows = readonly (readonly string[])[];

const PER_DAY = [96, 48, 24] as const;

/** Most days have so many values; the one in autumn has an hour's more, in columns that are empty for the rest of the year. */
function isDay(columns: number): 24 | 48 | 96 | null {
  return PER_DAY.find((each) => columns === each || columns === each + each / 24) ?? null;
}

/**
 * Finds the values of a day among meter numbers, totals and flags, before, after or between them: by a row of headings that counts the hours
 * or periods of a day, or else by a run of columns of numbers as long as a day once totals and meter numbers are taken off its ends. Null where
 * the rows are no days.
 */
export function dayColumns(
  header: readonly string[],
  data: Rows,
  numeric: readonly number[],
  decimal: '.' | ',',
): DayColumns | null {
  return byHeadings(header) ?? byNumbers(data, numeric, decimal);
}

function byHeadings(header: readonly string[]): DayColumns | null {
  for (const read of [readHour, readPeriod]) {
    const columns: number[] = [];
    let last = -Infinity;
    header.forEach((text, column) => {
      const value = read(text);
      // Headings of a day only rise; what begins anew is another table.
      if (value === null || value <= last) return;
      if (columns.length > 0 && columns.length >= 24 && column - (columns.at(-1) ?? 0) > 4) return;
      columns.push(column);
      last = value;
    });
    const found = evenly(columns);
    if (found) return found;
  }
  return null;
}

/** The hour a heading begins with: 00:30, 0:00-0:30, HH0030. */
function readHour(text: string): number | null {
  const clock = /^\D{0,6}?(\d{1,2}[:.]\d{2})(?:[:.]\d{2})?(?:\s*(?:-|–|to)\s*\d{1,2}[:.]\d{2}.*)?\D*$/i.exec(
    text.trim(),
  );
  return clock?.[1] === undefined ? null : readClockCell(clock[1]);
}

/** The number of a period: HH1, Period 48, P01, 1. */
function readPeriod(text: string): number | null {
  const period = /^(?:hh|hour|half.?hour|hr|period|per|sp|p|t|interval)?[\s_#.-]*0*(\d{1,2})\D{0,8}$/i.exec(
    text.trim(),
  );
  const value = period?.[1] === undefined ? NaN : Number(period[1]);
  return value >= 0 && value <= 100 ? value : null;
}

function evenly(columns: readonly number[]): DayColumns | null {
  const perDay = isDay(columns.length);
  const [first = 0, second = 0] = columns;
  const every = second - first;
  if (perDay === null || every < 1 || every > 4) return null;
  return columns.every((column, at) => column === first + at * every)
    ? { first, every, perDay, longDay: columns.length > perDay }
    : null;
}

function byNumbers(data: Rows, numeric: readonly number[], decimal: '.' | ','): DayColumns | null {
  const value = (row: readonly string[], column: number): number => readNumberCell(row[column] ?? '', decimal);
  for (const every of [1, 2]) {
    for (const run of runsOf(numeric, every)) {
      let columns = run;
      // What is the sum of all others is a total; what is long and whole is a meter's number.
      for (let tries = 0; tries < 4 && isDay(columns.length) === null; tries += 1) {
        const [head = 0] = columns;
        const tail = columns.at(-1) ?? 0;
        if (isTotal(data, tail, columns.slice(0, -1), value)) columns = columns.slice(0, -1);
        else if (isTotal(data, head, columns.slice(1), value) || isNumberOfSomething(data, head))
          columns = columns.slice(1);
        else if (isNumberOfSomething(data, tail)) columns = columns.slice(0, -1);
        else break;
      }
      const found = evenly(columns);
      if (found) return { ...found, longDay: found.longDay || emptyAfter(data, found) };
    }
  }
  return null;
}

/** Whether the columns of an hour more are there after the day's, and empty. */
function emptyAfter(data: Rows, { first, every, perDay }: DayColumns): boolean {
  const more = Array.from({ length: perDay / 24 }, (_each, at) => first + (perDay + at) * every);
  return data.every((row) => more.every((column) => column < row.length && (row[column] ?? '').trim() === ''));
}

/** Columns that follow each other at one distance, the longest first. */
function runsOf(numeric: readonly number[], every: number): number[][] {
  const runs: number[][] = [];
  const taken = new Set<number>();
  const there = new Set(numeric);
  for (const start of numeric) {
    if (taken.has(start)) continue;
    const run: number[] = [];
    for (let column = start; there.has(column); column += every) {
      run.push(column);
      taken.add(column);
    }
    runs.push(run);
  }
  return runs.sort((a, b) => b.length - a.length);
}

function isTotal(
  data: Rows,
  column: number,
  others: readonly number[],
  value: (row: readonly string[], column: number) => number,
): boolean {
  if (others.length < 24) return false;
  const sums = data.filter((row) => {
    const total = value(row, column);
    const sum = others.reduce((all, each) => all + (value(row, each) || 0), 0);
    return total > 0 && Math.abs(total - sum) <= 0.02 * total + 0.02;
  });
  return sums.length > 0.8 * data.length;
}

/** Meter point and serial numbers: long, whole, and the same or nearly so in every row. */
function isNumberOfSomething(data: Rows, column: number): boolean {
  const cells = data.map((row) => (row[column] ?? '').trim());
  return cells.every((cell) => /^\d{6,21}$/.test(cell)) && new Set(cells).size <= 3;
}
