import { fc } from '../testing/laws';
import { gbDefault as rules } from '../rules/gb-default';
import { billed, coveringPrice } from './billing';
import { carsAlong, carsTyped, carriedSpread, yearReached } from './growth';
import { poolGuarantees } from './guarantees';
import type { Outlet } from './pool-year';
import { LINE_ORDERS, turnedAlong } from './rotation';
import { alongTrunk, judgeTrunk, worstShares, type Tap } from './trunk';

const NONE_UNSEEN = { L1: 0, L2: 0, L3: 0 };

describe('guarantees of four outlets of 32 A on one line of 100 A, beside 40 A', () => {
  const outlets: Outlet[] = [1, 2, 3, 4].map((at) => ({ id: `o${at}`, lines: ['L1'], mostA: 32 }));
  const part = (otherA: number | null) => [
    { id: 'fuse', label: 'Cut-out fuse', ratingA: 100, otherA: { L1: otherA, L2: 0, L3: 0 }, unseenA: NONE_UNSEEN },
  ];

  it('held to 95 A with 6 A to fall back to: holds, each is sure of 13 A, and nine could have 6 A at once', () => {
    // Its clamps at their worst let (95 + 1) ÷ 0.98 = 97.96 A through; 100 × 0.98 − 1 = 97 A is the most. Lost: 40 + 4 × 6 = 64 A. Sure: (95 − 40) ÷ 4 = 13.75. At once: 55 ÷ 6 = 9.2. Fail-safe: (100 − 40) ÷ 4 = 15.
    const found = poolGuarantees(part(40), outlets, { setPointA: 95, failSafeA: 6 }, rules);
    expect(found).toMatchObject({ mostSetPointA: 97, mostFailSafeA: 15, sureA: 13, atOnce: 9, unknown: [] });
    expect(found.guards).toMatchObject([{ line: 'L1', holds: true, overA: 0, failSafeOverA: 0 }]);
  });
  it('held to 99 A it is 2 A over where the clamps err: (99 + 1) ÷ 0.98 = 102.04', () => {
    const [found] = poolGuarantees(part(40), outlets, { setPointA: 99, failSafeA: 0 }, rules).guards;
    expect(found?.holds).toBe(false);
    expect(found?.overA).toBeCloseTo(2.04, 2);
  });
  it('guarantees nothing on a part whose rating is not known', () => {
    const unrated = part(40).map((each) => ({ ...each, ratingA: null }));
    expect(poolGuarantees(unrated, outlets, { setPointA: 95, failSafeA: 0 }, rules)).toMatchObject({
      guards: [],
      unknown: [{ label: 'Cut-out fuse', line: 'L1' }],
      mostSetPointA: null,
    });
  });
  it('16 A to fall back to is 4 A too much: 40 + 4 × 16 = 104', () => {
    expect(poolGuarantees(part(40), outlets, { setPointA: 95, failSafeA: 16 }, rules).guards).toMatchObject([
      { holds: false, failSafeOverA: 4 },
    ]);
  });
  it('counts on top what passes the fuse and not the clamps: of 40 A 20 A unseen leave a set-point of (100 − 20) × 0.98 − 1 = 77 A', () => {
    const unseen = part(40).map((each) => ({ ...each, unseenA: { L1: 20, L2: 0, L3: 0 } }));
    const found = poolGuarantees(unseen, outlets, { setPointA: 77, failSafeA: 0 }, rules);
    expect(found.mostSetPointA).toBe(77);
    expect(found.guards).toMatchObject([{ holds: true }]);
    // (78 + 1) ÷ 0.98 + 20 = 100.6 A.
    const [over] = poolGuarantees(unseen, outlets, { setPointA: 78, failSafeA: 0 }, rules).guards;
    expect(over?.holds).toBe(false);
    expect(over?.overA).toBeCloseTo(0.61, 2);
    // The controller lets the row have what its clamps see free: 77 + 20 − 40 = 57 A, 14 A each.
    expect(found.sureA).toBe(14);
  });
  it('is not known where nobody knows what the clamps cannot see', () => {
    const blind = part(40).map((each) => ({ ...each, unseenA: { L1: null, L2: 0, L3: 0 } }));
    expect(poolGuarantees(blind, outlets, { setPointA: 50, failSafeA: 0 }, rules).mostSetPointA).toBeNull();
  });
  it('beside 80 A nobody is sure of 6 A, two at once can have it', () => {
    // (95 − 80) ÷ 4 = 3.75; 15 ÷ 6 = 2.5.
    expect(poolGuarantees(part(80), outlets, { setPointA: 95, failSafeA: 0 }, rules)).toMatchObject({
      sureA: 0,
      atOnce: 2,
    });
  });
  it('beside a demand that is not known nothing is guaranteed', () => {
    expect(poolGuarantees(part(null), outlets, { setPointA: 95, failSafeA: 0 }, rules)).toMatchObject({
      unknown: [{ label: 'Cut-out fuse', line: 'L1' }],
      mostSetPointA: null,
      mostFailSafeA: null,
      sureA: null,
      atOnce: null,
    });
  });
});

describe('rotation', () => {
  it('puts each outlet on the line that carries least, the present load counted', () => {
    const outlets = ['a', 'b', 'c', 'd'].map((id) => ({ id, phases: 3 as const, mostA: 32 }));
    const { lines, linesA } = turnedAlong(outlets, { L1: 40, L2: 10, L3: 0 });
    // L3 to 32, L2 to 42, L3 (32) to 64, L1 (40) to 72.
    expect([...lines.values()].map(([first]) => first)).toEqual(['L3', 'L2', 'L3', 'L1']);
    expect(linesA).toEqual({ L1: 72, L2: 42, L3: 64 });
    expect(lines.get('a')).toEqual(LINE_ORDERS[2]);
  });
  it('of alike outlets beside nothing, no line has more than one more than another', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 100 }), (count) => {
        const outlets = Array.from({ length: count }, (_each, at) => ({ id: `${at}`, phases: 1 as const, mostA: 32 }));
        const { linesA } = turnedAlong(outlets, { L1: 0, L2: 0, L3: 0 });
        const [least, most] = [Math.min(...Object.values(linesA)), Math.max(...Object.values(linesA))];
        expect(most - least).toBeLessThanOrEqual(32);
      }),
    );
  });
});

describe('a trunk', () => {
  const taps: Tap[] = [10, 20, 30].map((atM, at) => ({ id: `t${at}`, atM, mostA: 32 }));

  it('drops most with the set-point at the far end: 64 A are 32 at 30 m and 32 at 20 m', () => {
    const shares = worstShares(taps, 64);
    expect([...shares]).toEqual([
      ['t2', 32],
      ['t1', 32],
      ['t0', 0],
    ]);
    // 64 A over 20 m, then 32 A over 10 m, at 1.75 mV/A/m: 2.24 V and 0.56 V.
    const figures = alongTrunk(taps, shares, 1.75);
    expect(figures.map(({ trunkA }) => trunkA)).toEqual([64, 64, 32]);
    [1.12, 2.24, 2.8].forEach((volts, at) => {
      expect(figures[at]?.dropV).toBeCloseTo(volts, 9);
    });
  });
  it('is judged by what it carries, the drop and the loop at the last tap', () => {
    const conductor = { mVPerAM: 1.75, capacityA: 63, loopOhmPerM: 0.003 };
    const limits = {
      setPointA: 64,
      nominalV: 230,
      phases: 1 as const,
      mostDropPercent: 5,
      zeOhm: 0.2,
      mostLoopOhm: 0.27,
    };
    const verdict = judgeTrunk(taps, conductor, limits);
    // 2.8 ÷ 230 = 1.217 %; 0.2 + 0.003 × 30 = 0.29 Ω; 64 A on 63 A.
    expect(verdict).toMatchObject({ carriesEnough: false, dropHolds: true, loopHolds: false });
    expect(verdict.dropPercent.value).toBeCloseTo(1.2174, 4);
    expect(verdict.loop?.value).toBeCloseTo(0.29, 9);
    expect(judgeTrunk(taps, { mVPerAM: 1.75, capacityA: 80 }, limits)).toMatchObject({
      carriesEnough: true,
      loop: null,
      loopHolds: null,
    });
  });
  it('of three phases loses twice the tabulated figure ÷ √3 to neutral, where one line is alone: 2.8 V × 1.1547 = 3.233 V', () => {
    const limits = { setPointA: 64, nominalV: 230, phases: 3 as const, mostDropPercent: 1.4 };
    const verdict = judgeTrunk(taps, { mVPerAM: 1.75, capacityA: 80 }, limits);
    expect(verdict.taps.at(-1)?.dropV).toBeCloseTo(3.233, 3);
    // 3.233 ÷ 230 = 1.41 %.
    expect(verdict.dropPercent.value).toBeCloseTo(1.4057, 3);
    expect(verdict.dropHolds).toBe(false);
  });
  it('loses no more at the last tap however else the same amperes are shared', () => {
    const shares = fc.array(fc.integer({ min: 0, max: 32 }), { minLength: 3, maxLength: 3 });
    fc.assert(
      fc.property(shares, (draws) => {
        const total = draws.reduce((sum, each) => sum + each, 0);
        const drop = (of: ReadonlyMap<string, number>): number => alongTrunk(taps, of, 1.75).at(-1)?.dropV ?? 0;
        expect(drop(new Map(draws.map((each, at) => [`t${at}`, each])))).toBeLessThanOrEqual(
          drop(worstShares(taps, total)) + 1e-9,
        );
      }),
    );
  });
});

describe('growth', () => {
  it('along a curve begins at the start, is half-way in the middle year, never falls, and stays under the ceiling', () => {
    const years = carsAlong({ firstYear: 2026, startCars: 4, ceiling: 40, middleYear: 2031 }, 15);
    expect(years[0]).toEqual({ year: 2026, cars: 4 });
    expect(years.find(({ year }) => year === 2031)?.cars).toBe(22);
    years.forEach(({ cars }, at) => {
      expect(cars).toBeGreaterThanOrEqual(years[at - 1]?.cars ?? 0);
      expect(cars).toBeLessThanOrEqual(40);
    });
    expect(yearReached(years, 22)).toBe(2032);
    expect(yearReached(years, 40)).toBeNull();
  });
  it('over seeds says the middle and what one in twenty stays under and over', () => {
    expect(carriedSpread([12, 10, 11, 14, 11])).toEqual({ least: 10, median: 11, most: 14 });
  });
});

describe('billing back', () => {
  // 12 000 kWh: 365 × 60 p + 40 000 p + 1 200 000 p ÷ 10 = 181 900 p, 15.158 p/kWh on top of 24 p.
  const costs = {
    energyPencePerKwh: 24,
    standingPencePerDay: 60,
    upkeepPencePerYear: 40_000,
    installationPence: 1_200_000,
    overYears: 10,
  };

  it('covers energy, standing charge, upkeep and the installation', () => {
    expect(coveringPrice(costs, 12_000)).toBeCloseTo(39.1583, 4);
    expect((coveringPrice(costs, 12_000) ?? 0) * 12_000).toBeCloseTo(24 * 12_000 + 181_900, 6);
    expect(coveringPrice(costs, 0)).toBeNull();
  });
  it('says what an outlet costs a month, beside an own supply', () => {
    // 6 000 miles at 0.3: 150 kWh a month; own: 150 × 25 p + 96 000 p ÷ 8 ÷ 12 = 4 750 p.
    expect(billed(40, [6000], 0.3, { energyPencePerKwh: 25, installationPence: 96_000, overYears: 8 })).toEqual([
      { milesPerYear: 6000, kwh: 150, pence: 6000, ownPence: 4750 },
    ]);
    expect(billed(40, [6000], 0.3, null)[0]?.ownPence).toBeNull();
  });
});

it('cars typed year by year: a year between two has those of the one before, and what is half typed is left out', () => {
  const typed = [{ year: 2030, cars: 6 }, { year: 2027, cars: 2 }, { year: 2029 }, { cars: 9 }];
  expect(carsTyped(typed)).toEqual([
    { year: 2027, cars: 2 },
    { year: 2028, cars: 2 },
    { year: 2029, cars: 2 },
    { year: 2030, cars: 6 },
  ]);
  expect(yearReached(carsTyped(typed), 4)).toBe(2030);
  expect(carsTyped([])).toEqual([]);
});
