import { guessMapping } from './guess';
import { LogReader } from './read-log';
import type { LogMapping } from './mapping';
import type { LogSeries } from './series';
import { cellText, sheetsOf, sheetWithLog } from './workbook';

function read(rows: readonly (readonly string[])[], mapping: LogMapping): LogSeries {
  const reader = new LogReader(mapping, 230);
  reader.add(rows);
  return reader.finish();
}

function guessed(rows: string[][]): LogMapping {
  const guess = guessMapping(rows);
  if (!guess) throw new Error('no log found');
  return guess.mapping;
}

const iso = (series: LogSeries, at: number): string => new Date((series.times[at] ?? NaN) * 1000).toISOString();

describe('a workbook', () => {
  it('dates a hair before their second are of that second', () => {
    // 45 000.0208333 days: half past midnight less a microsecond.
    expect(cellText(new Date(Date.parse('2023-03-15T00:30:00Z') - 0.001))).toBe('2023-03-15T00:30:00');
    expect(cellText(new Date(Date.parse('2023-03-15T00:29:59.6Z')))).toBe('2023-03-15T00:30:00');
  });
  it.each([
    ['counted from 1900', '1899-12-31T13:45:00Z'],
    ['counted from 1904', '1904-01-01T13:45:00Z'],
  ])('a time of day %s is what a clock shows', (_name, moment) => {
    expect(cellText(new Date(moment))).toBe('13:45:00');
  });
  it('a date in one column and a time in another are one moment', () => {
    const rows = [
      ['Date', 'Time', 'Current A'],
      ...[0, 15, 30, 45].map((minute) => [
        cellText(new Date('2026-01-05T00:00:00Z')),
        cellText(new Date(Date.parse('1899-12-31T13:00:00Z') + minute * 60_000)),
        String(10 + minute),
      ]),
    ];
    const mapping = guessed(rows);
    expect(mapping).toMatchObject({ timeColumns: [0, 1], values: [{ column: 2 }] });
    const series = read(rows, mapping);
    expect(series.intervalS).toBe(900);
    expect(iso(series, 3)).toBe('2026-01-05T13:45:00.000Z');
  });
  it('a time kept as a fraction of a day as well: 0.5729166667 is 13:45', () => {
    const rows = [
      ['Date', 'Time', 'kW'],
      ...[54, 55, 56, 57].map((quarter) => ['2026-01-05T00:00:00', String(quarter / 96), '1.25']),
    ];
    const mapping = guessed(rows);
    expect(mapping.timeColumns).toEqual([0, 1]);
    expect(iso(read(rows, mapping), 1)).toBe('2026-01-05T13:45:00.000Z');
  });
  it('a current that happens to be a fraction of a day is no time', () => {
    const rows = [
      ['Date', 'Current A'],
      ...['0.25', '0.5', '0.25', '0.125'].map((amperes, at) => [`2026-01-0${at + 1}`, amperes]),
    ];
    expect(guessed(rows).timeColumns).toEqual([0]);
  });
  it('the hour that autumn has twice is two hours', () => {
    const times = ['00:30', '01:00', '01:30', '01:00', '01:30', '02:00'];
    const rows = [['Time', 'A'], ...times.map((time, at) => [`2026-10-25T${time}:00`, String(at)])];
    const series = read(rows, guessed(rows));
    expect([0, 1, 2, 3, 4, 5].map((at) => iso(series, at).slice(8, 16))).toEqual([
      '24T23:30',
      '25T00:00',
      '25T00:30',
      '25T01:00',
      '25T01:30',
      '25T02:00',
    ]);
    expect(series.faults.backward.count + series.faults.repeated.count).toBe(0);
  });
  it('takes the sheet that is asked for, or the first that holds a log', () => {
    const notes = { sheet: 'Notes', data: [['Nothing here']] };
    const log = (name: string) => ({
      sheet: name,
      data: [['time', 'A'], ...[1, 2, 3].map((minute) => [new Date(Date.UTC(2026, 0, 5, 0, minute)), minute])],
    });
    const sheets = sheetsOf([notes, log('March'), log('April')]);
    expect(sheetWithLog(sheets)?.name).toBe('March');
    expect(sheetWithLog(sheets, 'April')?.name).toBe('April');
    expect(sheetWithLog(sheets, 'gone')?.name).toBe('March');
    expect(sheetWithLog([])).toBeUndefined();
  });
});

describe('a table of half hours, a day a row', () => {
  const half = (day: number): string[] =>
    Array.from({ length: 48 }, (_each, at) => (0.1 + ((at + day) % 7) / 10).toFixed(2));
  const days = (make: (values: string[], date: string) => string[]): string[][] =>
    [1, 2, 3, 4, 5].map((day) => make(half(day), `0${day}/01/2026`));
  const total = (values: readonly string[]): string => values.reduce((sum, each) => sum + Number(each), 0).toFixed(2);
  const clocks = Array.from({ length: 48 }, (_each, at) => `${Math.floor(at / 2)}:${at % 2 === 0 ? '00' : '30'}`);

  it.each<[string, string[][], number, number]>([
    [
      'a meter number before and a total after',
      days((values, date) => ['9700000012340', date, ...values, total(values)]),
      2,
      1,
    ],
    ['a total before', days((values, date) => [date, total(values), ...values]), 2, 1],
    ['flags before', days((values, date) => [date, 'A', ...values]), 2, 1],
    ['flags after', days((values, date) => [date, ...values, 'E']), 1, 1],
    ['a flag beside each value', days((values, date) => [date, ...values.flatMap((value) => [value, 'A'])]), 1, 2],
    [
      'a total, a count of estimates and a serial number under headings of the clock',
      [
        ['Date', 'Meter', 'Total', 'Estimated', ...clocks],
        ...days((values, date) => [date, '21', total(values), '0', ...values]),
      ],
      4,
      1,
    ],
    [
      'headings HH1 to HH48',
      [
        ['Meter', 'Date', ...clocks.map((_c, at) => `HH${at + 1}`), 'kWh total'],
        ...days((values, date) => ['77', date, ...values, total(values)]),
      ],
      2,
      1,
    ],
    [
      'headings of spans',
      [
        ['Date', 'Sum', ...clocks.map((from, at) => `${from}-${clocks[(at + 1) % 48] ?? ''}`)],
        ...days((values, date) => [date, total(values), ...values]),
      ],
      2,
      1,
    ],
  ])('%s', (_name, table, first, every) => {
    const mapping = guessed(table);
    expect(mapping).toMatchObject({
      layout: 'wide',
      perDay: 48,
      values: [{ column: first }],
    });
    expect(mapping.every ?? 1).toBe(every);
    const series = read(table, mapping);
    expect(series.times).toHaveLength(5 * 48);
    // The first half hour of 1 January: 0.1 + 1 ÷ 10 = 0.2 kWh, 400 W, 1.74 A.
    expect(series.amperes.L1?.[0]).toBeCloseTo(400 / 230, 2);
    expect(series.faults.noNumber.count + series.faults.repeated.count).toBe(0);
  });

  it('columns beyond the four hundredth are found', () => {
    const before = Array.from({ length: 420 }, () => 'note');
    const table = days((values, date) => [date, ...before, ...values]);
    expect(guessed(table)).toMatchObject({ layout: 'wide', values: [{ column: 421 }] });
  });

  const ofYear = (date: string, values: readonly string[]): string[] => [date, ...values];
  const header = ['Date', ...Array.from({ length: 50 }, (_each, at) => `P${at + 1}`)];
  it('a day of fifty half hours in autumn, and of forty-six in spring, in columns for fifty', () => {
    const of = (count: number): string[] => Array.from({ length: 50 }, (_each, at) => (at < count ? '0.23' : ''));
    const autumn = [header, ofYear('24/10/2026', of(48)), ofYear('25/10/2026', of(50)), ofYear('26/10/2026', of(48))];
    const series = read(autumn, guessed(autumn));
    expect(series.times).toHaveLength(146);
    expect(series.faults).toMatchObject({
      gaps: 0,
      noNumber: { count: 0 },
      repeated: { count: 0 },
      backward: { count: 0 },
    });
    const spring = [header, ofYear('28/03/2026', of(48)), ofYear('29/03/2026', of(46)), ofYear('30/03/2026', of(48))];
    const short = read(spring, guessed(spring));
    expect(short.times).toHaveLength(142);
    expect(short.faults).toMatchObject({ gaps: 0, noNumber: { count: 0 }, repeated: { count: 0 } });
  });
  it('a day of forty-eight in autumn leaves the second hour out, and never moves the rest', () => {
    const values = Array.from({ length: 48 }, (_each, at) => (at / 100).toFixed(2));
    const table = ['24/10/2026', '25/10/2026', '26/10/2026'].map((date) => [date, ...values]);
    const series = read(table, guessed(table));
    const at = (moment: string): number | undefined =>
      series.amperes.L1?.[series.times.indexOf(Date.parse(moment) / 1000)];
    // 2 in the morning of the clock is universal time that day: column 5, 0.04 kWh in half an hour, 80 W.
    expect(at('2026-10-25T02:00:00Z')).toBeCloseTo(80 / 230, 3);
    expect(at('2026-10-26T00:00:00Z')).toBeCloseTo(0, 3);
    expect(series.faults.repeated.count + series.faults.backward.count).toBe(0);
  });
});
