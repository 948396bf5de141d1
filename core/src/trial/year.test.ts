import { fc, lawRuns } from '../testing/laws';
import {
  chargersYear,
  cheapMinutes,
  type ChargerRun,
  type TrialCharger,
  type VehicleNeeds,
  type YearTerms,
} from './chargers-year';
import type { Running } from './controller';
import { MINUTES_A_DAY, MINUTES_A_YEAR, type HouseYear } from './household';
import { seeded } from './random';
import { statistics } from './statistics';
import { playYear as played, type YearFigures } from './year';

const terms: YearTerms & { readonly ratingA?: number } = { leastA: 6, restartMin: 1, nominalV: 230, faultShare: 0 };
const needs: VehicleNeeds = { kwhPerDay: 11.2, arrivesH: 18, leavesH: 7.5, onboardA: 32, lines: 1 };
const free = (limitA: number): Running => ({ kind: 'free', limitA });
const managed: Running = { kind: 'managed', limitA: 32, setPointA: 50, failSafeA: 6 };
/** Two sums: what passes the fuse, and what the clamp sees of it; one and the same until a test makes them differ. */
const flat = (amperes: number): HouseYear & { readonly allA: Float32Array } => {
  const allA = new Float32Array(MINUTES_A_YEAR).fill(amperes);
  return { sums: [allA, allA], allA, running: new Map(), kwh: 0 };
};
const blindTo = (house: HouseYear, amperes: number): HouseYear => ({
  ...house,
  sums: [house.sums[0] ?? new Float32Array(), (house.sums[0] ?? new Float32Array()).map((all) => all - amperes)],
});

const run = (running: Running, pool = 0): ChargerRun => ({
  running,
  clamps: running.kind === 'managed' ? [{ setPointA: running.setPointA, sums: [1] }] : [],
  pool: running.kind === 'managed' ? pool : -1,
});
const charger = (of: VehicleNeeds, more: Partial<TrialCharger> = {}): TrialCharger => ({
  id: 'car',
  sums: [0, 1],
  phases: ['L1'],
  needs: of,
  ...more,
});

/** One charger behind one clamp on a 60 A fuse. */
function playYear(
  house: HouseYear,
  of: VehicleNeeds,
  running: Running,
  { ratingA = 60, ...and }: typeof terms,
  seed: number,
  more: Partial<TrialCharger> = {},
): YearFigures {
  const plan = {
    sums: [
      { nodeId: 'fuse', phase: 'L1' as const },
      { nodeId: 'clamp', phase: 'L1' as const },
    ],
    parts: [{ nodeId: 'fuse', label: 'Fuse', ratingA, sums: [0] }],
    appliances: [],
    chargers: [charger(of, more)],
    terms: and,
  };
  return played(house, plan, { id: 'way', name: 'Way', runs: [run(running)] }, seed);
}

describe('a year', () => {
  it('11.2 kWh a day at 7.36 kW are delivered by morning, at 1.38 kW (6 A) they are not: 13.5 h × 1.38 = 18.6 kWh', () => {
    const full = playYear(flat(2), needs, free(32), terms, 1);
    expect(full.morningsShort).toBe(0);
    expect(full.deliveredKwh).toBeCloseTo(full.neededKwh, 3);
    expect(full.highestA).toBe(34);
    const hungry = playYear(flat(2), { ...needs, kwhPerDay: 30 }, free(6), terms, 1);
    expect(hungry.morningsShort).toBeGreaterThan(200);
    expect(hungry.deliveredKwh).toBeLessThan(hungry.neededKwh);
    expect(statistics([hungry]).shortKwh.median).toBeCloseTo(hungry.neededKwh - hungry.deliveredKwh, 6);
  });
  it('counts minutes over the rating and the longest run of them', () => {
    const house = flat(1);
    for (const from of [1000, 5000]) house.allA.fill(61, from, from + (from === 1000 ? 7 : 3));
    const found = playYear(house, { ...needs, kwhPerDay: 0 }, free(32), terms, 1);
    expect(found).toMatchObject({ minutesOver: 10, longestOverMin: 7, highestA: 61, highestDay: 0 });
  });
  it('a vehicle that never leaves is never short: what is wanted carries over', () => {
    // 30 kWh a day at 6 A for 24 h give 33.1 kWh.
    const found = playYear(flat(0), { ...needs, kwhPerDay: 30, leavesH: 23.9 }, free(6), terms, 1);
    expect(found.morningsShort).toBe(0);
  });
  it('charges in its cheap hours only: from 0:30 to 4:30 at 32 A, 4 h × 7.36 = 29.4 kWh', () => {
    const house = flat(0);
    // The house is at its rating all day but in those hours.
    for (let minute = 0; minute < MINUTES_A_YEAR; minute += 1)
      if (minute % MINUTES_A_DAY >= 270) house.allA[minute] = 60;
    const cheap = { fromH: 0.5, toH: 4.5 };
    const found = playYear(house, { ...needs, kwhPerDay: 11, cheap }, free(32), terms, 1);
    expect(found.highestA).toBe(60);
    expect(found.morningsShort).toBe(0);
    const more = playYear(house, { ...needs, kwhPerDay: 40, cheap }, free(32), terms, 1);
    expect(more.deliveredKwh / 364).toBeLessThan(29.5);
    expect(more.morningsShort).toBeGreaterThan(200);
    expect(cheapMinutes({ fromH: 23, toH: 5 })?.reduce((sum, each) => sum + each, 0)).toBe(6 * 60);
    expect(cheapMinutes({ fromH: 5, toH: 5 })).toBeNull();
  });
  it('what the clamp cannot see comes on top of the set-point', () => {
    const house = flat(35);
    // It sees 20, leaves 30 of 50: 35 + 30 = 65 A flow.
    expect(playYear(blindTo(house, 15), needs, managed, terms, 1).highestA).toBe(65);
    expect(playYear(house, needs, managed, terms, 1).highestA).toBe(50);
  });
  it('a clamp that does not carry the charger lets it run away', () => {
    const found = playYear(flat(40), needs, managed, terms, 1, { sums: [0] });
    expect(found.highestA).toBe(72);
  });
  it.each([
    ['clamp off, or the link: 40 + fail-safe 6', 'clamp-off', 46],
    ['link lost: as by the minute it has fallen back', 'link-lost', 46],
    ['clamp reversed: the more the house takes the more it is given', 'clamp-reversed', 72],
    ['a controller that acts on the minute before, on a house that never moves: as if it did not', 'lag', 50],
  ] as const)('%s', (_name, fault, highest) => {
    const found = playYear(flat(40), needs, managed, { ...terms, fault, faultShare: 1 }, 1);
    expect(found.highestA).toBe(highest);
  });
  it('a slow vehicle or controller passes the set-point for a minute when a load comes on', () => {
    const house = flat(10);
    for (let day = 0; day < 364; day += 1) house.allA.fill(44, day * 1440 + 1200, day * 1440 + 1230);
    const over = (fault?: 'lag' | 'vehicle-slow') =>
      playYear(house, { ...needs, kwhPerDay: 60 }, managed, { ...terms, ratingA: 50, fault, faultShare: 1 }, 1);
    expect(over().minutesOver).toBe(0);
    expect(over('lag').longestOverMin).toBe(1);
    expect(over('vehicle-slow').longestOverMin).toBe(1);
  });
  it('faults fall on their share of days', () => {
    const share = playYear(flat(40), needs, managed, { ...terms, fault: 'clamp-reversed', faultShare: 0.1 }, 1);
    const none = playYear(flat(40), needs, managed, terms, 1);
    const all = playYear(flat(40), needs, managed, { ...terms, fault: 'clamp-reversed', faultShare: 1 }, 1);
    expect(none.minutesOver).toBe(0);
    expect(share.minutesOver).toBeGreaterThan(all.minutesOver * 0.05);
    expect(share.minutesOver).toBeLessThan(all.minutesOver * 0.15);
  });

  it('where the guarantee holds, no seed passes the rating with the clamp working, nor with it lost', () => {
    // A house of any shape that keeps to what a guarantee takes for granted: other demand and the fail-safe within the rating.
    const house = flat(0);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 6, max: 32 }),
        fc.integer({ min: 20, max: 60 }),
        (seed, limitA, setPointA) => {
          const random = seeded(seed);
          for (let minute = 0; minute < MINUTES_A_YEAR; minute += 30)
            house.allA.fill(random.between(0, 54), minute, minute + 30);
          const running: Running = { kind: 'managed', limitA, setPointA, failSafeA: 6 };
          for (const fault of [undefined, 'clamp-off', 'link-lost'] as const) {
            const found = playYear(house, needs, running, { ...terms, fault, faultShare: 0.5 }, seed);
            expect(found.highestA).toBeLessThanOrEqual(60 + 1e-4);
            expect(found.minutesOver).toBe(0);
            expect(found.deliveredKwh).toBeLessThanOrEqual(found.neededKwh + 1e-6);
          }
        },
      ),
      { numRuns: lawRuns(3) },
    );
  });

  it('the restart delay is what it says: enough again from 20:10, so that charging goes on at 20:13', () => {
    const house = flat(10);
    // From 20:00 to 20:10 the house leaves 50 − 46 = 4 A, and 40 A afterwards.
    for (let day = 0; day < 365; day += 1) house.allA.fill(46, day * 1440 + 1200, day * 1440 + 1210);
    const own = chargersYear(
      house,
      [charger({ ...needs, kwhPerDay: 60 })],
      [run(managed)],
      { ...terms, restartMin: 3 },
      1,
    ).ownA[0];
    const evening = own?.subarray(10 * MINUTES_A_DAY + 1198, 10 * MINUTES_A_DAY + 1216);
    //             19:58, 59, then ten minutes of pause, three of delay, then 32 A again.
    expect([...(evening ?? [])]).toEqual([32, 32, ...Array.from({ length: 13 }, () => 0), 32, 32, 32]);
  });
  it('less than 6 A charges nothing, however it is limited', () => {
    expect(playYear(flat(0), needs, free(5), terms, 1).deliveredKwh).toBe(0);
    expect(playYear(flat(0), needs, free(6), terms, 1).deliveredKwh).toBeGreaterThan(1000);
  });
});

describe('two chargers', () => {
  const two = (house: HouseYear, runs: readonly ChargerRun[], second: Partial<TrialCharger> = {}) =>
    chargersYear(
      house,
      [charger({ ...needs, kwhPerDay: 60 }), charger({ ...needs, kwhPerDay: 60 }, second)],
      runs,
      terms,
      1,
    );
  const at = ({ ownA }: { readonly ownA: readonly Float32Array[] }, minute: number) => ownA.map((own) => own[minute]);
  const night = 10 * MINUTES_A_DAY + 1410;

  it('behind one clamp share what it leaves: 50 − 26 = 24 A, 12 A each', () => {
    expect(at(two(flat(26), [run(managed), run(managed)]), night)).toEqual([12, 12]);
  });
  it('take turns where a half would be too little: 50 − 40 = 10 A go to the first', () => {
    expect(at(two(flat(40), [run(managed), run(managed)]), night)).toEqual([10, 0]);
  });
  it('one that nobody manages is seen by the clamp of the other: 50 − 10 − 16 = 24 A', () => {
    expect(at(two(flat(10), [run(managed), run(free(16))]), night)).toEqual([24, 16]);
  });
  it('interlocked are never on together', () => {
    const locked = { interlock: 'either' };
    const { ownA } = chargersYear(
      flat(0),
      [charger(needs, locked), charger(needs, locked)],
      [run(free(32)), run(free(32))],
      terms,
      1,
    );
    const [first, other] = ownA;
    expect(first?.some((own) => own > 0) && other?.some((own) => own > 0)).toBe(true);
    expect(first?.some((own, minute) => own > 0 && (other?.[minute] ?? 0) > 0)).toBe(false);
  });
  it('never pass the set-point together, whatever the house does', () => {
    const house = flat(0);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 0, max: 60 }), (seed, setPointA) => {
        const random = seeded(seed);
        for (let minute = 0; minute < MINUTES_A_YEAR; minute += 30)
          house.allA.fill(random.between(0, 60), minute, minute + 30);
        const running: Running = { ...managed, setPointA };
        const [first, other] = two(house, [run(running), run(running)]).ownA;
        house.allA.forEach((houseA, minute) => {
          const own = (first?.[minute] ?? 0) + (other?.[minute] ?? 0);
          if (own > 0 && houseA + own > setPointA + 1e-3) throw new Error(`${houseA} + ${own} A at ${minute}`);
        });
      }),
      { numRuns: lawRuns(4) },
    );
  });
});
