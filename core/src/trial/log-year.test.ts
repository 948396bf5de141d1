import type { LogSeries } from '../demand/measured/series';
import { logDays, type LogDay } from '../demand/measured/log-days';
import { MINUTES_A_DAY } from './household';
import { logYear } from './log-year';

const faults = { count: 0, rows: [] };
const log = (from: string, amperes: readonly number[], intervalS: number): LogSeries => ({
  times: Float64Array.from(amperes, (_each, at) => Date.parse(from) / 1000 + at * intervalS),
  phases: ['L1'],
  amperes: { L1: Float32Array.from(amperes) },
  intervalS,
  faults: {
    noTime: faults,
    noNumber: faults,
    repeated: faults,
    backward: faults,
    negative: faults,
    impossible: faults,
    at: [],
    gaps: 0,
    gapSeconds: 0,
    frozenS: 0,
    noughtS: 0,
    deadS: 0,
    reset: 0,
    stuck: 0,
  },
});

describe('the days of a log', () => {
  it('are whole local days, minute by minute: a day and a half by the half hour is one', () => {
    const found = logDays(
      log(
        '2026-01-05T00:00:00Z',
        Array.from({ length: 72 }, (_each, at) => at),
        1800,
      ),
      'L1',
    );
    expect(found).toHaveLength(1);
    // Monday 5 January: its first half hour 0 A, the second 1 A.
    expect(found[0]?.weekend).toBe(false);
    expect([...(found[0]?.amperes.subarray(29, 31) ?? [])]).toEqual([0, 1]);
  });
  it('several readings a minute are its mean, and what is missing is bridged with the reading before', () => {
    const readings = Array.from({ length: 2880 }, (_each, at) => (at === 1 ? 30 : at >= 20 && at < 30 ? NaN : 10));
    const [day] = logDays(log('2026-01-10T00:00:00Z', readings, 30), 'L1');
    expect(day?.weekend).toBe(true);
    expect(day?.amperes[0]).toBe(20);
    expect(day?.amperes[12]).toBe(10);
  });
  it('begin at midnight by the clock: in summer an hour before that of universal time', () => {
    const [day] = logDays(
      log(
        '2026-07-06T23:00:00Z',
        Array.from({ length: 48 }, () => 5),
        1800,
      ),
      'L1',
    );
    expect(new Date((day?.day ?? 0) * 86_400_000).toISOString().slice(0, 10)).toBe('2026-07-07');
  });
});

describe('a year of a log', () => {
  const day = (date: string, weekend: boolean, amperes: number): LogDay => ({
    day: Date.parse(date) / 86_400_000,
    weekend,
    amperes: new Float32Array(MINUTES_A_DAY).fill(amperes),
  });
  const days = [day('2026-01-05', false, 1), day('2026-01-10', true, 2), day('2026-07-06', false, 3)];
  it('draws working days for working days and weekends for weekends, of the season where there are any', () => {
    const year = logYear({ L1: days }, 1).get('L1');
    const of = (at: number): number | undefined => year?.[at * MINUTES_A_DAY];
    // A year that begins on a Monday: Monday in January, Saturday in January, Monday in July, Saturday in July.
    expect([of(0), of(5), of(182), of(187)]).toEqual([1, 2, 3, 2]);
  });
  it('is the same for the same seed, and empty without a day', () => {
    const again = logYear({ L1: days }, 7).get('L1');
    expect(
      logYear({ L1: days }, 7)
        .get('L1')
        ?.every((amperes, at) => amperes === again?.[at]),
    ).toBe(true);
    expect(logYear({}, 7).size).toBe(0);
  });
  it('gives every line the same day, and only days on which all were logged', () => {
    const other = [day('2026-01-05', false, 11), day('2026-07-06', false, 13)];
    const years = logYear({ L1: days, L2: other }, 3);
    const pairs = new Set(
      Array.from({ length: 365 }, (_each, at) =>
        ['L1', 'L2'].map((phase) => years.get(phase as 'L1')?.[at * MINUTES_A_DAY]).join(' '),
      ),
    );
    expect([...pairs].sort()).toEqual(['1 11', '3 13']);
  });
});
