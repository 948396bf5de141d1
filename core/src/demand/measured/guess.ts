import type { Phase } from '../../survey/words/words';
import { readClockCell, readNumberCell, readTimeCell } from './cells';
import { dayColumns } from './day-columns';
import {
  DELIMITERS,
  TIME_FORMATS,
  type Delimiter,
  type LogMapping,
  type LogUnit,
  type TimeFormat,
  type ValueColumn,
} from './mapping';

/** What was guessed, and why, so that the person can see what to doubt. */
export interface Guess {
  readonly mapping: LogMapping;
  readonly doubts: readonly string[];
}

/** What stands between the cells of a text: the sign that cuts the most lines into the same number of more than one. */
export function guessDelimiter(text: string): Delimiter {
  const lines = text
    .split(/\r\n|\n|\r/, 60)
    .slice(0, 59)
    .filter((line) => line.trim() !== '');
  let best: { delimiter: Delimiter; score: number } = { delimiter: ',', score: 0 };
  for (const delimiter of DELIMITERS) {
    const counts = new Map<number, number>();
    for (const line of lines) {
      const cells = line.split(delimiter).length;
      if (cells > 1) counts.set(cells, (counts.get(cells) ?? 0) + 1);
    }
    for (const [cells, count] of counts) {
      // A comma inside numbers cuts as well, and unevenly: evenness counts before width.
      const score = count + Math.min(cells, 50) / 100;
      if (score > best.score) best = { delimiter, score };
    }
  }
  return best.delimiter;
}

type Rows = readonly (readonly string[])[];

const UNIT_WORDS: readonly (readonly [LogUnit, RegExp])[] = [
  ['kWh', /\bkwh\b|kilowatt.?hour/i],
  ['Wh', /\bwh\b|watt.?hour/i],
  ['kVA', /\bkva\b/i],
  ['VA', /\bva\b/i],
  ['kW', /\bkw\b|kilowatt/i],
  ['W', /\bw\b|\bwatts?\b/i],
  ['mA', /\bma\b|milliamp/i],
  ['A', /\ba\b|\bamps?\b|ampere|current|\bi[123]?\b|irms/i],
];

/** Words of columns that are not what is asked for: voltages, temperatures, power factors. */
const NOT_IT = /volt|\bv\b|temp|°|factor|\bpf\b|freq|\bhz\b|humid|export|batter|status|flag|quality/i;
const REGISTER = /register|cumul|total|reading|index|import/i;

/**
 * A guess how a log is to be read, from its first rows: to be shown to a person, never trusted. Null where no column of
 * times or no column of numbers can be found.
 */
export function guessMapping(rows: Rows): Guess | null {
  const filled = rows.filter((row) => row.some((cell) => cell.trim() !== ''));
  if (filled.length === 0) return null;
  const decimal = guessDecimal(filled);
  const skipRows = rows.findIndex((row) => looksLikeData(row, decimal));
  if (skipRows < 0) return null;
  const data = rows.slice(skipRows).filter((row) => row.length > 1);
  const header =
    [...rows.slice(0, skipRows)].reverse().find((row) => row.filter((cell) => cell.trim()).length > 1) ?? [];
  const times = guessTimes(data, decimal);
  if (!times) return null;
  const doubts: string[] = [...times.doubts];

  const numeric = columnsOf(data).filter(
    (column) => !times.timeColumns.includes(column) && share(data, (row) => isNumber(row[column], decimal)) > 0.6,
  );
  if (numeric.length === 0) return null;
  const zone = /utc|gmt|zulu/i.test(header.join(' ')) || times.absolute ? 'utc' : 'uk-local';
  const base = { skipRows, ...times.columns, zone, decimal } as const;

  const isDaily = data.every(
    (row) => (readTimeCell(row[times.timeColumns[0] ?? 0] ?? '', times.columns.timeFormat)?.ms ?? 0) % 86_400_000 === 0,
  );
  const day = isDaily && times.timeColumns.length === 1 ? dayColumns(header, data, numeric, decimal) : null;
  if (day) {
    const unit = unitOf(header.join(' ')) ?? unitOf(rows.slice(0, skipRows).flat().join(' ')) ?? 'kWh';
    return {
      mapping: {
        ...base,
        layout: 'wide',
        values: [{ column: day.first, phase: 'L1' }],
        perDay: day.perDay,
        ...(day.every === 1 ? {} : { every: day.every }),
        ...(day.longDay ? { longDay: true } : {}),
        unit,
        accumulating: false,
      },
      doubts,
    };
  }
  const values = guessValues(header, numeric);
  const first = values[0]?.column ?? 0;
  const named = unitOf(header[first] ?? '') ?? unitOf(header.join(' '));
  if (!named) doubts.push('No unit is named; amperes are taken.');
  const unit = named ?? 'A';
  const accumulating = (unit === 'kWh' || unit === 'Wh') && onlyRises(data, first, decimal);
  if (unit === 'kWh' || unit === 'Wh')
    doubts.push(
      accumulating || REGISTER.test(header[first] ?? '')
        ? 'Energy that only rises is taken for a register.'
        : 'Energy is taken as what passed in each interval.',
    );
  return { mapping: { ...base, layout: 'long', values, unit, accumulating }, doubts };
}

function unitOf(text: string): LogUnit | undefined {
  return UNIT_WORDS.find(([, words]) => words.test(text.replace(/[_()[\]/]/g, ' ')))?.[0];
}

/** No table read here is wider. */
const MOST_COLUMNS = 2000;

function columnsOf(data: Rows): number[] {
  const widest = Math.min(MOST_COLUMNS, Math.max(0, ...data.map((row) => row.length)));
  return Array.from({ length: widest }, (_, column) => column);
}

function share(data: Rows, holds: (row: readonly string[]) => boolean): number {
  return data.length === 0 ? 0 : data.filter(holds).length / data.length;
}

function isNumber(cell: string | undefined, decimal: '.' | ','): boolean {
  return cell !== undefined && !Number.isNaN(readNumberCell(cell, decimal));
}

/** A comma is the decimal sign where numbers have one that cannot be a thousands separator, and no point. */
function guessDecimal(rows: Rows): '.' | ',' {
  const cells = rows.flat();
  const comma = cells.filter(
    (cell) => /^\s*[+-]?\d+,\d+\s*$/.test(cell) && !/^\s*[+-]?\d{1,3}(,\d{3})+\s*$/.test(cell),
  ).length;
  const point = cells.filter((cell) => /^\s*[+-]?\d+\.\d+\s*$/.test(cell)).length;
  return comma > point ? ',' : '.';
}

function looksLikeData(row: readonly string[], decimal: '.' | ','): boolean {
  // A day of a spreadsheet is a number like any other: it is one where another number stands beside it.
  const numbers = row.filter((cell) => isNumber(cell, decimal));
  const timed = row.some((cell) => formatsOf(cell).length > 0 || /^\d{10}(\d{3})?$/.test(cell.trim()));
  if (timed) return numbers.length > 0;
  return numbers.length > 1 && Number(numbers[0]) > 30_000 && Number(numbers[0]) < 90_000;
}

const WRITTEN: readonly TimeFormat[] = ['year-first', 'day-first', 'month-first', 'day-month-name'];

function formatsOf(cell: string): TimeFormat[] {
  return WRITTEN.filter((format) => readTimeCell(cell, format) !== null);
}

interface Times {
  readonly timeColumns: readonly number[];
  readonly columns: { readonly timeColumns: readonly number[]; readonly timeFormat: TimeFormat };
  readonly absolute: boolean;
  readonly doubts: readonly string[];
}

/** The column every row has a time in, by the format that reads them all and runs forward best. */
function guessTimes(data: Rows, decimal: '.' | ','): Times | null {
  for (const column of columnsOf(data)) {
    const cells = data.map((row) => row[column] ?? '');
    const numbers = cells.every((cell) => isNumber(cell, decimal));
    const fits = TIME_FORMATS.filter(
      (format) =>
        (WRITTEN.includes(format) ? !numbers || format === 'year-first' : numbers) &&
        share(data, (row) => readTimeCell(row[column] ?? '', format) !== null) > 0.9,
    );
    if (fits.length === 0) continue;
    // Spreadsheet days only where the numbers can be nothing else: a plain current is a number too.
    if (fits[0] === 'spreadsheet' && !cells.every((cell) => Number(cell) > 30_000)) continue;
    const best = [...fits].sort((a, b) => backward(cells, a) - backward(cells, b))[0];
    if (best === undefined) continue;
    const doubts =
      fits.includes('day-first') && fits.includes('month-first')
        ? ['The dates can be read day first or month first; what runs forward best is taken.']
        : [];
    const dateOnly = cells.every((cell) => (readTimeCell(cell, best)?.ms ?? 1) % 86_400_000 === 0);
    const clock = dateOnly
      ? columnsOf(data).find(
          (other) =>
            other !== column &&
            isClock(
              data.map((row) => row[other] ?? ''),
              cells,
            ),
        )
      : undefined;
    const timeColumns = clock === undefined ? [column] : [column, clock];
    const absolute = cells.some((cell) => readTimeCell(cell, best)?.absolute === true);
    return { timeColumns, columns: { timeColumns, timeFormat: best }, absolute, doubts };
  }
  return null;
}

/** A column of times of day: nearly all of them are, and they go on from row to row, as a load that happens to be a fraction does not. */
function isClock(cells: readonly string[], dates: readonly string[]): boolean {
  const times = cells.map(readClockCell);
  const known = times.filter((each) => each !== null);
  if (known.length <= 0.9 * cells.length || new Set(known).size < 2) return false;
  const numbers = cells.filter((cell) => isNumber(cell, '.')).length;
  if (numbers < cells.length / 2) return true;
  // A number is a time of day only beside a date that stays while it goes on.
  if (new Set(dates).size > dates.length / 2) return false;
  const rises = known.filter((each, at) => at > 0 && each > (known[at - 1] ?? 0)).length;
  return rises > 0.8 * (known.length - 1);
}

/** How much a column goes back in time, or leaps, read one way. */
function backward(cells: readonly string[], format: TimeFormat): number {
  let [steps, before]: [number, number | null] = [0, null];
  for (const cell of cells) {
    const at = readTimeCell(cell, format)?.ms;
    if (at === undefined) steps += 1;
    else {
      if (before !== null && (at < before || at - before > 20 * 86_400_000)) steps += 1;
      before = at;
    }
  }
  return steps;
}

const PHASE_WORDS: readonly (readonly [Phase, RegExp])[] = [
  ['L1', /\bl1\b|phase.?1\b|\bi1\b|ch(annel)?.?1\b|\bp1\b/i],
  ['L2', /\bl2\b|phase.?2\b|\bi2\b|ch(annel)?.?2\b|\bp2\b/i],
  ['L3', /\bl3\b|phase.?3\b|\bi3\b|ch(annel)?.?3\b|\bp3\b/i],
];

/** Columns named for the phases, or else the first whose name does not say it is something different. */
function guessValues(header: readonly string[], numeric: readonly number[]): ValueColumn[] {
  const likely = numeric.filter((column) => !NOT_IT.test((header[column] ?? '').replace(/[_()]/g, ' ')));
  const phased = PHASE_WORDS.flatMap(([phase, words]) => {
    const column = likely.find((each) => words.test((header[each] ?? '').replace(/_/g, ' ')));
    return column === undefined ? [] : [{ column, phase }];
  });
  if (phased.length > 1) return phased;
  const named = likely.find((column) => unitOf(header[column] ?? '') !== undefined);
  return [{ column: named ?? likely[0] ?? numeric[0] ?? 0, phase: 'L1' }];
}

function onlyRises(data: Rows, column: number, decimal: '.' | ','): boolean {
  const values = data.map((row) => readNumberCell(row[column] ?? '', decimal)).filter((value) => !Number.isNaN(value));
  const first = values[0] ?? 0;
  const last = values.at(-1) ?? 0;
  return (
    values.length > 3 &&
    last > first &&
    first > 0 &&
    values.every((value, at) => at === 0 || value >= (values[at - 1] ?? 0))
  );
}
