import { readRows } from '../../testing/log-rows';
import { analyseLog } from './analyse';
import { traceOf } from './downsample';
import { guessMapping } from './guess';
import type { LogMapping } from './mapping';
import type { LogSeries } from './series';
import { measurementOf } from './summary';

/** Hand-computed cases of docs/methods/measured-demand.md: what is left out, what stands still, what is kept. */
const FROM = Date.parse('2026-01-05T00:00:00Z') / 1000;

const read = (values: readonly (readonly (number | string)[])[], mapping: Partial<LogMapping> = {}): LogSeries =>
  readRows(
    values.map((cells, at) => [new Date((FROM + at * 60) * 1000).toISOString(), ...cells.map((cell) => String(cell))]),
    mapping,
  );
const one = (...values: readonly (number | string)[]): LogSeries => read(values.map((value) => [value]));

describe('what stands still in a log of minutes', () => {
  it('frozen: the same current four times stands for three minutes after the first, and nought is not frozen', () => {
    // 5 | 7 7 7 7 | 6: at the second 7 it began to stand; three steps of 60 s.
    expect(one(5, 7, 7, 7, 7, 6).faults.frozenS).toBe(180);
    expect(one(0, 0, 0, 0).faults.frozenS).toBe(0);
    expect(one(5, 6, 5, 6).faults.frozenS).toBe(0);
  });
  it('nought: three in a row are three minutes; what is between ends it', () => {
    expect(one(4, 0, 0, 0, 4, 0).faults.noughtS).toBe(180);
    expect(one(4, 0, 0.1, 0, 4).faults.noughtS).toBe(60);
    expect(one(1, 2, 3).faults.noughtS).toBe(0);
  });
  it('noise: under 0.3 A, and 0.3 A is none', () => {
    expect(one(4, 0.2, 0.1, 0.29, 4).faults.deadS).toBe(180);
    expect(one(4, 0.5, 0.4, 0.5).faults.deadS).toBe(0);
  });
  it('a line does not go on where the one before it ended', () => {
    const series = read(
      [
        [4, 0],
        [4, 5],
        [0, 5],
      ],
      {
        values: [
          { column: 1, phase: 'L1' },
          { column: 2, phase: 'L2' },
        ],
      },
    );
    expect(series.faults.noughtS).toBe(60);
    expect(series.phases).toEqual(['L1', 'L2']);
  });
});

describe('what is left out of a log', () => {
  it('below nought and past what any supply carries, by the row of the file', () => {
    const series = one(4, -2, 5000, 6);
    expect(series.faults.negative).toEqual({ count: 1, rows: [2] });
    expect(series.faults.impossible).toEqual({ count: 1, rows: [3] });
    expect([...(series.amperes.L1 ?? [])].map((value) => (Number.isNaN(value) ? null : value))).toEqual([
      4,
      null,
      null,
      6,
    ]);
    expect(series.faults.at).toEqual([FROM + 60, FROM + 120]);
  });
  it('a register that goes back is told once for each time', () => {
    const register = read([[10], [11], [3], [4], [2]], { unit: 'kWh', accumulating: true });
    expect(register.faults.reset).toBe(2);
    expect(one(10, 11, 3).faults.reset).toBe(0);
  });
});

describe('a log of two lines', () => {
  const values = Array.from({ length: 60 }, (_each, at): readonly (number | string)[] => [10, at < 30 ? 5 : 'n/a']);
  const lines = {
    values: [
      { column: 1, phase: 'L1' as const },
      { column: 2, phase: 'L2' as const },
    ],
  };
  it('covers as much as the line with least: half of the hour', () => {
    const done: number[] = [];
    const found = analyseLog(read(values, lines), (share) => done.push(share));
    expect(found.coverage).toBeCloseTo(0.5, 5);
    expect(done).toEqual([0.5, 1]);
    expect(found.phases.L1?.peakA).toBe(10);
    expect(found.phases.L2?.peakA).toBe(5);
  });
  it('is kept to two decimals, with what is doubted of it', () => {
    const kept = measurementOf(analyseLog(one(...Array.from({ length: 40 }, () => 10.126))), 'm1', ['frozen']);
    expect(kept.phases[0]?.peakA).toBe(10.13);
    expect(kept.doubts).toEqual(['frozen']);
    expect(measurementOf(analyseLog(one(1, 2)), 'm2')).not.toHaveProperty('doubts');
  });
  it('nothing logged covers nothing', () => {
    expect(analyseLog(one())).toMatchObject({ samples: 0, coverage: 0, days: 0 });
  });
});

describe('a stretch as it is drawn', () => {
  const times = Float64Array.from({ length: 100 }, (_each, at) => at * 10);
  const values = Float32Array.from({ length: 100 }, (_each, at) => at);
  it('begins at the first reading of the stretch and ends before its end: 500 to 600 s are the readings 50 to 59', () => {
    const { low, high, at } = traceOf(times, values, 500, 600, 2);
    expect([...at]).toEqual([500, 550]);
    expect([...low]).toEqual([50, 55]);
    expect([...high]).toEqual([54, 59]);
  });
  it('a step without a reading is a gap', () => {
    const { low } = traceOf(times, values, 900, 1100, 2);
    expect([...low].map((value) => Number.isNaN(value))).toEqual([false, true]);
  });
});

describe('a guess how a log is to be read', () => {
  const body = Array.from({ length: 12 }, (_each, at) => [`2026-01-05 00:${String(at).padStart(2, '0')}`, '4.5']);
  it('leaves out empty rows and words above, and takes the last row with two words for the heading', () => {
    const guess = guessMapping([[''], ['Made up logger', ''], ['Time', 'Current (A)'], ...body]);
    expect(guess?.mapping).toMatchObject({ skipRows: 3, timeColumns: [0], unit: 'A' });
    expect(guess?.mapping.values).toEqual([{ column: 1, phase: 'L1' }]);
  });
  it('a row of one cell among the others is no row of the log', () => {
    expect(guessMapping([['Time', 'Current (A)'], ...body, ['the end']])?.mapping.skipRows).toBe(1);
  });
  it('nothing, blanks, and words alone give none', () => {
    expect(guessMapping([])).toBeNull();
    expect(guessMapping([[''], [' ', '']])).toBeNull();
    expect(
      guessMapping([
        ['the cat', 'sat'],
        ['on the', 'mat'],
      ]),
    ).toBeNull();
  });
});
