import { fc, lawRuns } from '../../testing/laws';
import { analyseLog, type LogAnalysis } from './analyse';
import { Clock, readClockCell, readNumberCell, readTimeCell, TimeReader, ukAheadMs } from './cells';
import { traceOf } from './downsample';
import { bootstrapInterval, fitGumbel, returnLevel, seeded } from './gumbel';
import { guessMapping } from './guess';
import type { LogMapping } from './mapping';

import { readRows } from '../../testing/log-rows';

/** A reading every so many seconds from the start of 2026, as a log would have it. */
function rows(values: readonly number[], everyS: number, fromIso = '2026-01-05T00:00:00Z'): string[][] {
  const from = Date.parse(fromIso);
  return values.map((value, at) => [new Date(from + at * everyS * 1000).toISOString(), String(value)]);
}

const analysed = (values: readonly number[], everyS: number): LogAnalysis => analyseLog(readRows(rows(values, everyS)));

describe('a number cell', () => {
  it.each<[string, '.' | ',', number]>([
    ['12.5', '.', 12.5],
    ['1,234.5', '.', 1234.5],
    ['12,5', ',', 12.5],
    ['1.234,5', ',', 1234.5],
    ['1 234,5', ',', 1234.5],
    ['-3.2', '.', -3.2],
    ['', '.', NaN],
    ['=1+1', '.', NaN],
    ['0x10', '.', NaN],
    ['Infinity', '.', NaN],
    ['n/a', '.', NaN],
  ])('%s read with %s', (text, decimal, value) => {
    expect(readNumberCell(text, decimal)).toBe(value);
  });
});

describe('a time cell', () => {
  it.each([
    ['2026-01-05T13:45:00Z', 'year-first', '2026-01-05T13:45:00.000Z', true],
    ['2026-01-05 13:45', 'year-first', '2026-01-05T13:45:00.000Z', false],
    ['2026-01-05T13:45:00+01:00', 'year-first', '2026-01-05T12:45:00.000Z', true],
    ['05/01/2026 13:45', 'day-first', '2026-01-05T13:45:00.000Z', false],
    ['01/05/2026 1:45 PM', 'month-first', '2026-01-05T13:45:00.000Z', false],
    ['5 Jan 2026 13:45:30', 'day-month-name', '2026-01-05T13:45:30.000Z', false],
    ['05-Jan-26 13:45', 'day-month-name', '2026-01-05T13:45:00.000Z', false],
    ['1767620700', 'epoch-s', '2026-01-05T13:45:00.000Z', true],
    ['46027.572916667', 'spreadsheet', '2026-01-05T13:45:00.000Z', false],
  ] as const)('%s as %s', (text, format, iso, absolute) => {
    const read = readTimeCell(text, format);
    expect(read && { iso: new Date(read.ms).toISOString(), absolute: read.absolute }).toEqual({ iso, absolute });
  });

  it.each(['', 'yesterday', '2026-02-30 10:00', '2026-13-01', '99/99/2026 10:00', '2026-01-05 25:00'])(
    '“%s” is none',
    (text) => {
      expect(readTimeCell(text, 'year-first')).toBeNull();
      expect(readTimeCell(text, 'day-first')).toBeNull();
    },
  );

  it('read after another of the same day is read the same', () => {
    const cells = [
      '2026-01-05 13:45',
      '2026-01-05 13:46:10',
      '2026-01-05T13:46:10Z',
      '2026-01-05 24:00',
      '2026-01-06 00:00',
      '2026-01-06 1:5',
      '',
    ];
    const reader = new TimeReader('year-first');
    expect(cells.map((cell) => reader.read(cell))).toEqual(cells.map((cell) => readTimeCell(cell, 'year-first')));
  });

  it('of day alone', () => {
    expect([
      readClockCell('13:45'),
      readClockCell('1:45 pm'),
      readClockCell('12:05 am'),
      readClockCell('12.30'),
    ]).toEqual([49_500_000, 49_500_000, 300_000, 45_000_000]);
    expect(readClockCell('25:00')).toBeNull();
  });
});

describe('the clocks', () => {
  it('go forward on 29 March 2026 and back on 25 October, at one o’clock universal time', () => {
    const ahead = (iso: string): number => ukAheadMs(Date.parse(iso)) / 3_600_000;
    expect(['2026-03-29T00:59Z', '2026-03-29T01:00Z', '2026-10-25T00:59Z', '2026-10-25T01:00Z'].map(ahead)).toEqual([
      0, 1, 1, 0,
    ]);
  });

  it('tell the hour that comes twice apart by its step back', () => {
    const clock = new Clock('uk-local');
    const written = ['00:30', '01:00', '01:30', '01:00', '01:30', '02:00'].map((time) =>
      Date.parse(`2026-10-25T${time}Z`),
    );
    expect(written.map((ms) => new Date(clock.toUtc({ ms, absolute: false })).toISOString().slice(11, 16))).toEqual([
      '23:30',
      '00:00',
      '00:30',
      '01:00',
      '01:30',
      '02:00',
    ]);
  });

  it('leave a whole year of local half-hours evenly spaced', () => {
    const half = 1_800_000;
    const from = Date.parse('2026-01-01T00:00:00Z');
    const clock = new Clock('uk-local');
    let before = from - half;
    for (let at = 0; at < 17_520; at += 1) {
      const utc = from + at * half;
      const made = clock.toUtc({ ms: utc + ukAheadMs(utc), absolute: false });
      expect(made - before).toBe(half);
      before = made;
    }
  });
});

describe('reading a log', () => {
  it('turns every unit into amperes at 230 V', () => {
    const amperes = (unit: LogMapping['unit'], value: string): number | undefined =>
      readRows(
        [
          ['2026-01-05T00:00Z', value],
          ['2026-01-05T00:30Z', value],
        ],
        { unit },
      ).amperes.L1?.[0];
    // 0.5 kWh in half an hour is 1 kW: 4.35 A.
    expect([
      amperes('A', '10'),
      amperes('mA', '10000'),
      amperes('W', '2300'),
      amperes('kW', '2.3'),
      amperes('kVA', '2.3'),
    ]).toEqual([10, 10, 10, 10, 10]);
    expect(amperes('kWh', '0.5')).toBeCloseTo(1000 / 230, 4);
    expect(amperes('Wh', '500')).toBeCloseTo(1000 / 230, 4);
  });

  it('reads a register by its differences', () => {
    const series = readRows(
      [
        ['2026-01-05T00:00Z', '100.0'],
        ['2026-01-05T01:00Z', '102.3'],
        ['2026-01-05T02:00Z', '102.3'],
      ],
      { unit: 'kWh', accumulating: true },
    );
    expect(series.amperes.L1?.[0]).toBeCloseTo(10, 3);
    expect(series.amperes.L1?.[1]).toBe(0);
    expect(series.amperes.L1?.[2]).toBeNaN();
  });

  it('counts what is wrong and repairs none of it', () => {
    const series = readRows([
      ['2026-01-05T00:00Z', '1'],
      ['2026-01-05T00:01Z', '-4'],
      ['2026-01-05T00:01Z', '2'],
      ['never', '2'],
      ['2026-01-05T00:00Z', '2'],
      ['2026-01-05T00:02Z', '=cmd()'],
      ['2026-01-05T00:03Z', '99999'],
      ['2026-01-05T02:00Z', '3'],
      ['2026-01-05T02:01Z', '3'],
    ]);
    const { faults } = series;
    expect({
      negative: faults.negative.count,
      repeated: faults.repeated,
      noTime: faults.noTime,
      backward: faults.backward,
      noNumber: faults.noNumber.count,
      impossible: faults.impossible.count,
      gaps: faults.gaps,
      gapSeconds: faults.gapSeconds,
    }).toEqual({
      negative: 1,
      repeated: { count: 1, rows: [3] },
      noTime: { count: 1, rows: [4] },
      backward: { count: 1, rows: [5] },
      noNumber: 1,
      impossible: 1,
      gaps: 1,
      gapSeconds: 117 * 60 - 60,
    });
    expect([...(series.amperes.L1 ?? [])]).toEqual([1, NaN, NaN, NaN, 3, 3]);
    const minute = (at: number): number => Date.parse('2026-01-05T00:00Z') / 1000 + at * 60;
    // The repeat, the step back, the formula, then what was below nought and what was impossible.
    expect(faults.at).toEqual([minute(1), minute(0), minute(2), minute(1), minute(3)]);
  });

  it('sees a reading that never moves', () => {
    expect(readRows(rows(Array(10 * 60).fill(7) as number[], 60)).faults.stuck).toBe(1);
    expect(readRows(rows(Array(10 * 60).fill(0) as number[], 60)).faults.stuck).toBe(0);
  });

  it('reads a row a day', () => {
    const series = readRows(
      [
        ['05/01/2026', '1', '2'],
        ['06/01/2026', '3', '4'],
      ],
      {
        layout: 'wide',
        timeFormat: 'day-first',
        values: [{ column: 1, phase: 'L1' }],
        perDay: 2,
      },
    );
    expect([...(series.amperes.L1 ?? [])]).toEqual([1, 2, 3, 4]);
    expect(series.intervalS).toBe(43_200);
  });
});

describe('guessing how a log is to be read', () => {
  it.each<[string, string[][], Partial<LogMapping>]>([
    [
      'amperes by the minute, universal time',
      [['time', 'current A'], ...rows([1.5, 2.5, 3.5], 60)],
      { skipRows: 1, timeFormat: 'year-first', zone: 'utc', unit: 'A', values: [{ column: 1, phase: 'L1' }] },
    ],
    [
      'three phases in watts among voltages',
      [
        ['Site', 'A made-up house'],
        ['Timestamp', 'V_L1 (V)', 'P_L1 (W)', 'P_L2 (W)', 'P_L3 (W)'],
        ['05/01/2026 00:00', '241', '100', '200', '300'],
        ['05/01/2026 00:01', '240', '110', '210', '310'],
        ['13/01/2026 00:02', '242', '120', '220', '320'],
      ],
      {
        skipRows: 2,
        timeFormat: 'day-first',
        unit: 'W',
        values: [
          { column: 2, phase: 'L1' },
          { column: 3, phase: 'L2' },
          { column: 4, phase: 'L3' },
        ],
      },
    ],
    [
      'decimal commas, date and time apart',
      [
        ['Datum', 'Zeit', 'Strom [A]'],
        ['05.01.2026', '00:00', '1,25'],
        ['05.01.2026', '00:05', '2,5'],
        ['05.01.2026', '00:10', '12,75'],
      ],
      { timeColumns: [0, 1], timeFormat: 'day-first', decimal: ',', unit: 'A', values: [{ column: 2, phase: 'L1' }] },
    ],
    [
      'month first where the days say so',
      [
        ['date', 'kWh'],
        ['01/12/2026 00:00', '0.2'],
        ['01/13/2026 00:30', '0.3'],
        ['01/14/2026 01:00', '0.1'],
      ],
      { timeFormat: 'month-first', unit: 'kWh', accumulating: false },
    ],
    [
      'a register',
      [
        ['when', 'import register kWh'],
        ...[100, 100.4, 101.2, 101.9, 102.6].map((kwh, at) => [`2026-01-05 0${at}:00`, String(kwh)]),
      ],
      { unit: 'kWh', accumulating: true },
    ],
    [
      'a row a day',
      [
        [
          'date',
          ...Array.from({ length: 48 }, (_, half) => `${String(half >> 1).padStart(2, '0')}:${half % 2 ? '30' : '00'}`),
        ],
        ...['05/01/2026', '06/01/2026', '14/01/2026'].map((day) => [day, ...(Array(48).fill('0.2') as string[])]),
      ],
      { layout: 'wide', perDay: 48, unit: 'kWh', values: [{ column: 1, phase: 'L1' }] },
    ],
  ])('%s', (_what, table, expected) => {
    expect(guessMapping(table)?.mapping).toMatchObject(expected);
  });

  it.each<[string, string[][]]>([
    ['nothing', []],
    [
      'words',
      [
        ['the', 'cat'],
        ['sat', 'down'],
      ],
    ],
    [
      'numbers without a time',
      [
        ['1', '2'],
        ['3', '4'],
      ],
    ],
    ['times without a number', rows([1, 2], 60).map(([time]) => [time ?? '', 'x'])],
  ])('finds no log in %s', (_what, table) => {
    expect(guessMapping(table)).toBeNull();
  });
});

describe('the figures of a log', () => {
  // Two hours at a minute: 10 A, with 30 A for ten minutes from minute 60, and 60 A in minute 65 alone.
  const values = Array.from({ length: 120 }, (_, at) => (at === 65 ? 60 : at >= 60 && at < 70 ? 30 : 10));
  const phase = analysed(values, 60).phases.L1;

  it('are the peak, and the highest means over 1, 10 and 30 minutes: 60; 33; (9 × 30 + 60 + 20 × 10) / 30 = 17.67', () => {
    expect(phase?.peakA).toBe(60);
    expect(phase?.mean1A).toBe(60);
    expect(phase?.mean10A).toBeCloseTo(33, 4);
    expect(phase?.mean30A).toBeCloseTo(530 / 30, 4);
  });

  it('say nothing shorter than the readings are apart', () => {
    const half = analysed(Array(96).fill(5) as number[], 1800).phases.L1;
    expect([half?.mean1A, half?.mean10A, half?.mean30A]).toEqual([null, null, 5]);
  });

  it('count what is missing as missing, never as nought', () => {
    const gap = rows(values, 60).filter((_row, at) => at < 40 || at >= 100);
    const made = analyseLog(readRows(gap));
    expect(made.coverage).toBeCloseTo(0.5, 2);
    expect(made.phases.L1?.mean30A).toBeCloseTo(10, 4);
    expect(made.phases.L1?.medianA).toBe(10);
  });

  it('never put a rolling mean above the peak, nor a longer one’s highest above a shorter one’s', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 40, maxLength: 200 }), (list) => {
        const made = analysed(list, 60).phases.L1;
        const [peak, one, ten, thirty] = [
          made?.peakA ?? NaN,
          made?.mean1A ?? NaN,
          made?.mean10A ?? NaN,
          made?.mean30A ?? NaN,
        ];
        expect(one).toBeLessThanOrEqual(peak + 1e-4);
        expect(ten).toBeLessThanOrEqual(one + 1e-4);
        expect(thirty).toBeLessThanOrEqual(ten + 1e-4);
      }),
      { numRuns: lawRuns(60) },
    );
  });

  it('give each hour of each day its mean, and nothing for an hour nobody logged', () => {
    const hours = analysed(values, 60).phases.L1?.hours ?? [];
    expect(hours).toHaveLength(1);
    // 5 January 2026 is day 20 458; its first hour is 10 A, its second (9 × 30 + 60 + 50 × 10) / 60 = 13.83 A.
    expect(hours[0]?.day).toBe(20_458);
    expect(hours[0]?.meanA[0]).toBeCloseTo(10, 4);
    expect(hours[0]?.meanA[1]).toBeCloseTo(830 / 60, 4);
    expect(hours[0]?.meanA[2]).toBeNull();
  });

  it('fall along the load-duration curve, from the peak', () => {
    const curve = phase?.durationA ?? [];
    expect(curve[0]).toBe(60);
    curve.forEach((value, at) => {
      if (at > 0) expect(value).toBeLessThanOrEqual(curve[at - 1] ?? 0);
    });
  });

  it('tell days, heated days and a worse day once there are seven days', () => {
    const day = (at: number): number => 20 + (Math.floor(at / 48) % 3) * 5;
    const week = (days: number): LogAnalysis =>
      analysed(
        Array.from({ length: days * 48 }, (_, at) => day(at)),
        1800,
      );
    expect(week(6).phases.L1?.worseDay).toBeNull();
    const made = week(9);
    expect([made.days, made.winterDays, made.coverage]).toEqual([9, 9, 1]);
    // Daily highs 20, 25, 30, three times each: b0 = 25;
    // b1 = (0·20 + 1·20 + 2·20 + 3·25 + 4·25 + 5·25 + 6·30 + 7·30 + 8·30)/(8·9) = 990/72 = 13.75;
    // β = (27.5 − 25)/ln 2 = 3.6067; μ = 25 − 0.5772 × 3.6067 = 22.9182; ln(−ln(1 − 1/365)) = −5.8985;
    // level = 22.9182 + 3.6067 × 5.8985 = 44.19 A.
    expect(made.phases.L1?.worseDay?.fit.scale).toBeCloseTo(3.6067, 3);
    expect(made.phases.L1?.worseDay?.fit.location).toBeCloseTo(22.9182, 3);
    expect(made.phases.L1?.worseDay?.onceAYearA).toBeCloseTo(44.19, 2);
  });
});

describe('the Gumbel fit', () => {
  it('finds again what values were drawn from: location 30, scale 6', () => {
    const random = seeded(7);
    const drawn = Array.from({ length: 20_000 }, () => 30 - 6 * Math.log(-Math.log(random())));
    const { location, scale } = fitGumbel(drawn);
    expect(location).toBeCloseTo(30, 0);
    expect(scale).toBeCloseTo(6, 0);
  });

  it('of days all alike has no scale, and its level is what they are', () => {
    const fit = fitGumbel([12, 12, 12, 12, 12, 12, 12]);
    expect(returnLevel(fit, 365)).toBeCloseTo(12, 9);
  });

  it('gives the same interval for the same seed, round the level', () => {
    const days = [20, 22, 25, 21, 30, 28, 24, 26, 23, 27];
    const [first, again] = [bootstrapInterval(days, 365), bootstrapInterval(days, 365)];
    expect(again).toEqual(first);
    const level = returnLevel(fitGumbel(days), 365);
    expect(first.low).toBeLessThan(level);
    expect(first.high).toBeGreaterThan(level);
  });
});

describe('a trace brought down to fewer steps', () => {
  it('loses no peak and no trough, whatever the steps', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 500 }), { minLength: 1, maxLength: 300 }),
        fc.integer({ min: 1, max: 40 }),
        (list, steps) => {
          const times = Float64Array.from(list, (_, at) => at);
          const made = traceOf(times, Float32Array.from(list), 0, list.length, steps);
          const kept = (values: Float32Array): number[] => [...values].filter((value) => !Number.isNaN(value));
          expect(Math.max(...kept(made.high))).toBe(Math.max(...list));
          expect(Math.min(...kept(made.low))).toBe(Math.min(...list));
        },
      ),
    );
  });
});
