import { STARTING_SETS } from '../demand/starting-sets';
import { connectedLoad } from '../demand/connected';
import { gbDefault } from '../rules/gb-default';
import { fresh, step, type Running } from './controller';
import { OPERATES_AT, timeConstant, warmed } from '../management/fuse-warming';
import { householdYear, MINUTES_A_DAY, MINUTES_A_YEAR, type TrialLoad } from './household';
import { seeded } from './random';
import { quantile, spread } from './statistics';

const terms = { leastA: 6, restartMin: 1 };

function loadsOf(id: string): TrialLoad[] {
  const set = STARTING_SETS.find((each) => each.id === id);
  return (set?.loads ?? []).flatMap((load) => {
    const { currentA, count, class: kind } = connectedLoad(load, ['L1'], gbDefault);
    return currentA === null || kind === 'socket-circuit' ? [] : [{ class: kind, currentA, count }];
  });
}
/** Every minute the same: half a million of them are compared here in no time. */
function alike(year: Float32Array, other: Float32Array | undefined): boolean {
  return year.every((amperes, at) => amperes === other?.[at]);
}

const gas = loadsOf('gas-heated');

describe('random numbers', () => {
  it('are the same for the same seed, and these', () => {
    const random = seeded(7);
    const first = [random.next(), random.next(), random.next()].map((value) => value.toFixed(6));
    const again = seeded(7);
    expect([again.next(), again.next(), again.next()].map((value) => value.toFixed(6))).toEqual(first);
    expect(seeded(8).next().toFixed(6)).not.toBe(first[0]);
  });
  it('are spread evenly, and bell-shaped about a mean', () => {
    const random = seeded(1);
    const values = Array.from({ length: 20000 }, () => random.next());
    expect(values.reduce((a, b) => a + b, 0) / values.length).toBeCloseTo(0.5, 1);
    const bell = Array.from({ length: 20000 }, () => random.about(10, 2));
    const mean = bell.reduce((a, b) => a + b, 0) / bell.length;
    const deviation = Math.sqrt(bell.reduce((a, b) => a + (b - mean) ** 2, 0) / bell.length);
    expect(mean).toBeCloseTo(10, 0);
    expect(deviation).toBeGreaterThan(1.9);
    expect(deviation).toBeLessThan(2.1);
  });
});

describe('the household generator against plain expectations', () => {
  const years = Array.from({ length: 8 }, (_each, at) => householdYear(gas, at + 1).allA);
  const kwh = years.map((year) => (year.reduce((a, b) => a + b, 0) * 230) / 60000);

  it('a gas-heated home takes between 1 500 and 6 000 kWh a year, and homes differ', () => {
    for (const value of kwh) {
      expect(value).toBeGreaterThan(1500);
      expect(value).toBeLessThan(6000);
    }
    expect(Math.max(...kwh) / Math.min(...kwh)).toBeGreaterThan(1.15);
  });
  it('its mean day peaks in the evening, and is lowest at night', () => {
    const hours = Array.from({ length: 24 }, () => 0);
    for (const year of years)
      year.forEach((amperes, minute) => {
        const hour = Math.floor((minute % MINUTES_A_DAY) / 60);
        hours[hour] = (hours[hour] ?? 0) + amperes;
      });
    const peak = hours.indexOf(Math.max(...hours));
    expect(peak).toBeGreaterThanOrEqual(17);
    expect(peak).toBeLessThanOrEqual(21);
    expect(hours.indexOf(Math.min(...hours))).toBeLessThan(6);
  });
  it('demand a home falls with the number of homes together', () => {
    const peakOf = (count: number): number => {
      const together = new Float32Array(MINUTES_A_YEAR);
      for (const year of years.slice(0, count))
        year.forEach((amperes, at) => (together[at] = (together[at] ?? 0) + amperes));
      let most = 0;
      for (const amperes of together) if (amperes > most) most = amperes;
      return most / count;
    };
    const [one, four, eight] = [peakOf(1), peakOf(4), peakOf(8)];
    expect(four).toBeLessThan(one);
    expect(eight).toBeLessThan(four);
  });
  it('what the clamp cannot see is part of everything, and the rest of the year stays as it was', () => {
    const some = householdYear(
      gas.map((load, at) => ({ ...load, unseen: at % 2 === 0 })),
      3,
    );
    expect(alike(some.allA, years[2])).toBe(true);
    expect(some.unseenA?.some((amperes) => amperes > 0)).toBe(true);
    expect(some.unseenA?.every((amperes, at) => amperes <= (some.allA[at] ?? 0) + 1e-3)).toBe(true);
  });
  it('is the same year for the same seed', () => {
    expect(alike(householdYear(gas, 3).allA, years[2])).toBe(true);
    expect(alike(householdYear(gas, 4).allA, years[2])).toBe(false);
  });
});

describe('the fuse, by calibration', () => {
  it.each([
    ['60 A: 1.6 In from cold operates after 1 h', 60, 60],
    ['100 A: 1.6 In from cold operates after 2 h', 100, 120],
  ])('%s', (_name, ratingA, minutes) => {
    expect(warmed(0, 1.6 * ratingA, ratingA, minutes)).toBeCloseTo(OPERATES_AT, 2);
    expect(timeConstant(ratingA)).toBe(minutes === 60 ? 63.7 : 127.3);
  });
  it('at its rating it settles at 1 ÷ 1.25² = 64 % of operating, however it gets there', () => {
    let theta = 0;
    for (let minute = 0; minute < 1000; minute += 1) theta = warmed(theta, 80, 80, 1);
    expect(theta / OPERATES_AT).toBeCloseTo(0.64, 2);
    expect(warmed(0, 80, 80, 30)).toBeCloseTo(warmed(warmed(0, 80, 80, 10), 80, 80, 20), 12);
  });
});

describe('the controller, against sequences by hand', () => {
  const managed: Running = { kind: 'managed', limitA: 32, setPointA: 50, failSafeA: 6 };
  it('gives way in whole amperes, pauses under 6 A, goes on after the restart delay, falls back when the clamp is lost', () => {
    const state = fresh();
    const own: number[] = [];
    // House 20, 30.4, 45, 45, 40, 40 A, then the clamp is lost; restart after 2 minutes.
    for (const house of [20, 30.4, 45, 45, 40, 40, null])
      own.push(step(state, managed, house === null ? null : house + state.ownA, 32, 1, { leastA: 6, restartMin: 2 }));
    // 50 − 20 = 30; 19.6 → 19; 5 → pause; pause; 10 for 1 min: not yet; 10 for 2 min: 10; lost: 6.
    expect(own).toEqual([30, 19, 0, 0, 0, 10, 6]);
    expect(state.pauses).toBe(1);
  });
  it('never gives more than its limit, nor than the vehicle takes', () => {
    expect(step(fresh(), managed, 0, 16, 1, terms)).toBe(16);
    expect(step(fresh(), { kind: 'free', limitA: 20 }, 90, 32, 1, terms)).toBe(20);
    expect(step(fresh(), managed, 10, 0, 1, terms)).toBe(0);
  });
});

describe('statistics', () => {
  it('takes the nearest rank: of 1 … 20 the median is 10, nine in ten 18, nineteen in twenty 19', () => {
    const values = Array.from({ length: 20 }, (_each, at) => at + 1);
    expect(spread(values)).toEqual({ p5: 1, median: 10, p90: 18, p95: 19, most: 20 });
    expect(quantile([], 0.5)).toBe(0);
  });
});
