import { fc, lawRuns } from '../testing/laws';
import { MINUTES_A_DAY } from '../trial/household';
import { USUAL_DRIVERS, type DriverKind, type Stays } from './drivers';
import { carsOf, figuresOf, playCars, type PoolPlan } from './growth';
import { leftOf, poolYear, WATCHED_MIN, type Outlet, type PoolTerms } from './pool-year';
import { POLICIES, type Policy } from './policies';

/** What the laws are held to: long enough for every kind of day, and a thousand of them are no year. */
const WEEK = 7 * MINUTES_A_DAY;
const terms = (policy: Policy): PoolTerms => ({ policy, leastA: 6, turnMin: 15, nominalV: 230 });
const onL1 = (count: number): Outlet[] =>
  Array.from({ length: count }, (_each, at) => ({ id: `o${at}`, lines: ['L1'], mostA: 32 }));

/** One stay of each car, from six in the evening of the second day. */
function oneNight(wants: readonly number[], leavesAfterMin: readonly number[] = [], isTogether = false): Stays[] {
  const from = MINUTES_A_DAY + 18 * 60;
  return wants.map((kwh, at) => ({
    arrivesAt: Int32Array.of(from + (isTogether ? 0 : at)),
    leavesAt: Int32Array.of(from + (leavesAfterMin[at] ?? 780)),
    wantsKwh: Float64Array.of(kwh),
    onboardA: 32,
    lines: 1,
  }));
}

describe('five cars on 20 A for one night, each wanting 9.2 kWh: 40 Ah of 230 V', () => {
  // 20 A carry three cars at 6 A with 2 A over. 13 h × 20 A = 260 Ah for 200 Ah wanted: the energy is there, the question is who waits.
  const play = (policy: Policy, leaves: readonly number[] = []) =>
    poolYear(onL1(5), oneNight([9.2, 9.2, 9.2, 9.2, 9.2], leaves), leftOf(20, [0, 0, 0], WEEK), terms(policy));

  it.each(POLICIES)('%s: all are ready in the morning, and 46 kWh went over the line', (policy) => {
    const { cars, daysShort, drawnA } = play(policy);
    expect(daysShort).toEqual([]);
    expect(cars.reduce((sum, { deliveredKwh }) => sum + deliveredKwh, 0)).toBeCloseTo(46, 6);
    expect(drawnA[0].reduce((most, amperes) => Math.max(most, amperes), 0)).toBe(20);
  });

  it('first come, first served: the first has 8 A from the start, and its 40 Ah in five hours', () => {
    const { drawnA, cars } = play('first-come');
    const from = MINUTES_A_DAY + 18 * 60;
    // Alone in the first minute it has all there is.
    expect([drawnA[0][from], drawnA[0][from + 10]]).toEqual([20, 20]);
    expect(cars[0]?.waitedH).toBe(0);
    // The last waits until the first is full: 18:00 to 23:00 but for the minutes before it came.
    expect(cars[4]?.waitedH).toBeGreaterThan(4.5);
  });

  it('soonest departure first: whoever leaves after three hours has had three hours, and the others wait', () => {
    const { cars } = play('soonest-departure', [780, 780, 780, 780, 180]);
    // 176 min at 8 A (6 and the 2 over) are 23.5 Ah, and it takes 5.4 kWh of its 9.2 along.
    expect(cars[4]?.deliveredKwh).toBeCloseTo((8 * 176 * 230) / 60_000, 1);
    expect(cars[4]?.short).toBe(1);
  });

  it('equal shares: those who wait take turns of a quarter of an hour, so that alike cars have had alike', () => {
    const until = poolYear(
      onL1(5),
      oneNight([40, 40, 40, 40, 40], [615, 615, 615, 615, 615], true),
      leftOf(18, [0, 0, 0], WEEK),
      terms('equal'),
    );
    const had = until.cars.map(({ deliveredKwh }) => deliveredKwh);
    // One turn at 6 A is 0.345 kWh.
    expect(Math.max(...had) - Math.min(...had)).toBeLessThanOrEqual((6 * 15 * 230) / 60_000 + 1e-9);
  });
});

const kinds: readonly DriverKind[] = USUAL_DRIVERS;
const plans = fc.record({
  cars: fc.integer({ min: 1, max: 14 }),
  setPointA: fc.integer({ min: 0, max: 90 }),
  otherA: fc.integer({ min: 0, max: 30 }),
  policy: fc.constantFrom(...POLICIES),
  lines: fc.array(
    fc.constantFrom<readonly ('L1' | 'L2' | 'L3')[]>(['L1'], ['L2'], ['L3'], ['L1', 'L2', 'L3'], ['L2', 'L3', 'L1']),
    { minLength: 14, maxLength: 14 },
  ),
  three: fc.boolean(),
  seed: fc.integer({ min: 0, max: 1e6 }),
});
type Plan = typeof plans extends fc.Arbitrary<infer T> ? T : never;

/** Everything else of a building: more in the evening, and jumping about. */
function other(otherA: number, seed: number): Float32Array {
  return Float32Array.from({ length: WEEK }, (_each, at) => {
    const hour = (at % MINUTES_A_DAY) / 60;
    return otherA * (hour > 17 && hour < 22 ? 1.5 : 0.6) + (((at >> 4) * 2_654_435_761 + seed) >>> 28) / 2;
  });
}

function planOf({ cars, setPointA, otherA, policy, lines, three, seed }: Plan): {
  plan: PoolPlan;
  otherA: Float32Array;
  cars: number;
} {
  const sheet = other(otherA, seed);
  return {
    cars,
    otherA: sheet,
    plan: {
      outlets: lines.slice(0, cars).map((each, at) => ({ id: `o${at}`, lines: each, mostA: 32 })),
      kinds: three ? kinds.map((kind) => ({ ...kind, lines: 3 as const, onboardA: 16 })) : kinds,
      left: leftOf(setPointA, [sheet, sheet, sheet], WEEK),
      terms: terms(policy),
    },
  };
}

it('no line passes the set-point by the pool’s doing, whatever the policy, the cars and the seed; energy in is energy out', () => {
  fc.assert(
    fc.property(plans, (of) => {
      const { plan, otherA, cars } = planOf(of);
      const year = poolYear(plan.outlets, carsOf(plan, cars, of.seed, 7), plan.left, plan.terms);
      let ampereMinutes = 0;
      for (const line of year.drawnA)
        for (let at = 0; at < WEEK; at += 1) {
          const amperes = line[at] ?? 0;
          ampereMinutes += amperes;
          // Never above what is left, and never under 6 A for anybody: a sum of cars is 0, or 6 and more.
          if (amperes > 0 && (amperes < 6 || amperes + (otherA[at] ?? 0) > of.setPointA + 1e-3))
            throw new Error(`${amperes} A at ${at}`);
        }
      const delivered = year.cars.reduce((sum, { deliveredKwh }) => sum + deliveredKwh, 0);
      // The last minute of a stay is counted whole on the line and not in the car.
      const last = year.cars.reduce((sum, { stays }) => sum + stays, 0) * ((32 * 3 * 230) / 60_000);
      const overLine = (ampereMinutes * 230) / 60_000;
      expect(delivered).toBeLessThanOrEqual(overLine + 1e-6);
      expect(overLine - delivered).toBeLessThanOrEqual(last);
      for (const car of year.cars) expect(car.deliveredKwh).toBeLessThanOrEqual(car.neededKwh + 1e-6);
    }),
    { numRuns: lawRuns(1000) },
  );
});

it('on one line another car never gives the others more, taken together', () => {
  fc.assert(
    fc.property(plans, (of) => {
      const { plan, cars } = planOf({
        ...of,
        lines: of.lines.map(() => ['L1'] as const),
        three: false,
        cars: Math.max(2, of.cars),
      });
      const had = (count: number): number =>
        poolYear(plan.outlets, carsOf(plan, count, of.seed, 7), plan.left, plan.terms)
          .cars.slice(0, cars - 1)
          .reduce((sum, { deliveredKwh }) => sum + deliveredKwh, 0);
      const without = had(cars - 1);
      // What a car takes in the last evening of the year may be counted or not: a night's worth of one car.
      expect(had(cars)).toBeLessThanOrEqual(without + 10);
    }),
    { numRuns: lawRuns(400) },
  );
});

it('the same seed gives the same year, and another car leaves the days of the others as they are', () => {
  const { plan } = planOf({
    cars: 9,
    setPointA: 60,
    otherA: 10,
    policy: 'equal',
    lines: Array.from({ length: 14 }, () => ['L1'] as const),
    three: false,
    seed: 7,
  });
  expect(playCars(plan, 9, 7)).toEqual(playCars(plan, 9, 7));
  expect(carsOf(plan, 9, 7).slice(0, 8)).toEqual(carsOf(plan, 8, 7));
});

it('a day is followed outlet by outlet: what they draw adds up to what the line carries', () => {
  const { plan } = planOf({
    cars: 6,
    setPointA: 40,
    otherA: 10,
    policy: 'equal',
    lines: Array.from({ length: 14 }, () => ['L1'] as const),
    three: false,
    seed: 3,
  });
  const into = plan.outlets.map(() => new Float32Array(WATCHED_MIN));
  const { drawnA } = poolYear(plan.outlets, carsOf(plan, 6, 3, 7), plan.left, plan.terms, { day: 4, into });
  const added = Float32Array.from({ length: WATCHED_MIN }, (_each, at) =>
    into.reduce((sum, each) => sum + (each[at] ?? 0), 0),
  );
  expect(added).toEqual(drawnA[0].slice(4 * MINUTES_A_DAY, 4 * MINUTES_A_DAY + WATCHED_MIN));
  expect(Math.max(...added)).toBeGreaterThan(0);
});

it('an empty pool has no mornings to fail and is fair', () => {
  expect(figuresOf(poolYear([], [], leftOf(60, [0, 0, 0], WEEK), terms('equal')))).toMatchObject({
    cars: 0,
    shortShare: 0,
    fairness: [1, 1],
  });
});
