import { fresh, step, type Running } from './controller';
import { OPERATES_AT, timeConstant, warmed } from '../management/fuse-warming';
import { seeded } from './random';
import { quantile, spread } from './statistics';

const terms = { leastA: 6, restartMin: 1 };

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
    // House 20, 30.4, 45, 45, 40, 40, 40 A, then the clamp is lost; restart after 2 minutes.
    for (const house of [20, 30.4, 45, 45, 40, 40, 40, null])
      own.push(step(state, managed, house === null ? null : house + state.ownA, 32, 1, { leastA: 6, restartMin: 2 }));
    // 50 − 20 = 30; 19.6 → 19; 5 → pause; pause; 10 is there: not yet; for 1 min: not yet; for 2 min: 10; lost: 6.
    expect(own).toEqual([30, 19, 0, 0, 0, 0, 10, 6]);
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
