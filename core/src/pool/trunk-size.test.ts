import { gbDefault as rules } from '../rules/gb-default';
import type { Tap } from './trunk';
import { searchTrunk } from './trunk-size';

const taps = (count: number, apartM: number): Tap[] =>
  Array.from({ length: count }, (_each, at) => ({ id: `t${at}`, atM: 10 + at * apartM, mostA: 32 }));
const limits = { setPointA: 60, nominalV: 230, phases: 3, mostDropPercent: 5 } as const;

describe('the smallest trunk for a row', () => {
  it('carries the set-point, and the size below it does not or loses too much', () => {
    const found = searchTrunk(taps(6, 2.5), 'buried', limits, rules);
    const { smallest, sizes, limitedBy } = found;
    expect(smallest?.conductor.capacityA).toBeGreaterThanOrEqual(60);
    expect(smallest?.verdict.dropPercent.value).toBeLessThanOrEqual(5);
    const below = sizes[sizes.findIndex((each) => each === smallest) - 1];
    expect(below?.failsBy).toEqual(limitedBy);
    expect(limitedBy.length).toBeGreaterThan(0);
  });
  it('by hand: 60 A, 32 at 22.5 m and 28 at 20 m, are 32 × 22.5 + 28 × 20 = 1280 A·m at the last tap, twice the tabulated drop ÷ √3 to neutral', () => {
    const { smallest } = searchTrunk(taps(6, 2.5), 'buried', limits, rules);
    const { mVPerAM = 0 } = smallest?.conductor ?? {};
    const volts = (1280 * 2 * mVPerAM) / Math.sqrt(3) / 1000;
    expect(smallest?.verdict.dropPercent.value).toBeCloseTo((volts / 230) * 100, 9);
  });
  it('grows with the length of the row, limited by volts, and with the loop that its device allows', () => {
    const short = searchTrunk(taps(6, 2.5), 'buried', limits, rules).smallest?.sizeMm2 ?? 0;
    const long = searchTrunk(taps(40, 5), 'buried', limits, rules);
    expect(long.smallest?.sizeMm2 ?? Infinity).toBeGreaterThan(short);
    expect(long.limitedBy).toContain('drop');
    const looped = searchTrunk(taps(6, 20), 'buried', { ...limits, zeOhm: 0.3, mostLoopOhm: 0.5 }, rules);
    expect(looped.sizes.some(({ failsBy }) => failsBy.includes('loop'))).toBe(true);
    expect(looped.smallest?.verdict.loop?.value ?? 0).toBeLessThanOrEqual(0.5);
  });
  it('is none where no size does', () => {
    expect(searchTrunk(taps(6, 2.5), 'buried', { ...limits, setPointA: 5000 }, rules).smallest).toBeNull();
  });
  it('says what is not in the table', () => {
    expect(searchTrunk(taps(2, 2), 'insulated-wall', limits, rules).gap).toMatch(/not in the table/);
  });
});
