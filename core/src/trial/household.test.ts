import { fc, lawRuns } from '../testing/laws';
import { planFor, trialOf } from '../testing/homes';
import type { Change } from '../testing/settled-survey';
import type { Load } from '../survey/load';
import { householdYear, MINUTES_A_DAY, type HouseYear } from './household';
import type { TrialPlan } from './plan';
import { playHousehold } from './play';

const listing =
  (...loads: Load[]): Change =>
  (survey) => {
    survey.loads = loads.map((load) => ({ ...load }));
  };

function yearOf(plan: TrialPlan, seed = 1): HouseYear {
  return householdYear({ appliances: plan.appliances, sums: plan.sums.length, nominalV: 230 }, seed);
}

/** The fuse’s sum on the first line, and its highest minute. */
function fuse(plan: TrialPlan, seed = 1): Float32Array {
  return yearOf(plan, seed).sums[plan.parts[0]?.sums[0] ?? 0] ?? new Float32Array();
}

function highest(amperes: Float32Array): number {
  return amperes.reduce((most, each) => Math.max(most, each), 0);
}

const shower: Load = { id: 'shower', class: 'instantaneous-water-heating', currentA: 41 };
const cooker: Load = { id: 'cooker', class: 'cooking', currentA: 30, controlUnitsWithSocket: 0 };

describe('what a household draws', () => {
  it.each<[string, Load, number]>([
    ['one 41 A shower is 41 A at most', shower, 41],
    // 10 A in full and 30 % of 20 A are 16 A.
    ['a 30 A cooker no more than its allowance counts', cooker, 16],
    [
      'a heat pump of 16 A with a 3 kW heater 29.04 A',
      { id: 'hp', class: 'heat-pump', currentA: 16, backupHeaterW: 3000 },
      29.05,
    ],
  ])('%s', (_name, load, mostA) => {
    for (const seed of [1, 2, 3]) {
      const most = highest(fuse(planFor(1, listing(load)), seed));
      expect(most).toBeGreaterThan(0.4 * mostA);
      expect(most).toBeLessThanOrEqual(mostA + 1e-3);
    }
  });
  it('several of one class come to no more than their allowance: of three 40 A showers 2 × 40 + 25 % × 40 = 90 A', () => {
    const three = listing({ ...shower, currentA: 40, quantity: 3 });
    const most = Math.max(...[1, 2, 3, 4].map((seed) => highest(fuse(planFor(1, three), seed))));
    expect(most).toBeGreaterThan(79);
    expect(most).toBeLessThanOrEqual(90 + 1e-3);
  });
  it('what draws within its own allowance counts in that of the others: 2 × 1 A and 14 A are 10 A and half of 6 A, 13 A', () => {
    const onFeeder: Change = (survey) => {
      survey.supply.nodes.push({ id: 'feeder', kind: 'feeder', fedFrom: 'board', ratingA: 40 });
      survey.loads = [
        { id: 'towels', class: 'heating-and-power', currentA: 1, quantity: 2 },
        { id: 'panels', class: 'heating-and-power', currentA: 14, nodeId: 'feeder' },
      ];
    };
    // Alone on its feeder the 14 A are 10 A and half of 4 A, 12 A: with the 2 A beside it 14 A would pass the fuse.
    const most = Math.max(...[1, 2, 3, 4].map((seed) => highest(fuse(planFor(1, onFeeder), seed))));
    expect(most).toBeGreaterThan(12.5);
    expect(most).toBeLessThanOrEqual(13 + 1e-3);
  });
  it('interlocked loads never run together', () => {
    const plan = planFor(
      1,
      listing({ ...shower, currentA: 30, interlock: 'x' }, { ...shower, id: 'two', currentA: 20, interlock: 'x' }),
    );
    expect(highest(fuse(plan))).toBeLessThanOrEqual(30);
    expect(plan.appliances.map(({ interlock }) => interlock)).toEqual(['x', 'x']);
  });
  it('what heats rests in July, what cools in January', () => {
    const heats = fuse(
      planFor(1, listing({ id: 'panel', class: 'heating-and-power', powerW: 3000, season: 'heating' })),
    );
    const cools = fuse(planFor(1, listing({ id: 'air', class: 'motor', powerW: 3000, season: 'cooling' })));
    const sum = (of: Float32Array, from: number, to: number): number =>
      of.subarray(from * MINUTES_A_DAY, to * MINUTES_A_DAY).reduce((a, b) => a + b, 0);
    expect(sum(heats, 0, 31)).toBeGreaterThan(0);
    expect(sum(heats, 182, 212)).toBe(0);
    expect(sum(cools, 182, 212)).toBeGreaterThan(0);
    expect(sum(cools, 0, 31)).toBe(0);
  });
  it('the energy of a year is what its appliances took, on whichever line', () => {
    const three: Change = (survey) => {
      survey.supply.phases = 3;
      listing(
        { ...shower, phase: 'L2' },
        { ...cooker, phase: 'L3' },
        { id: 'hp', class: 'heat-pump', currentA: 8, phase: 'all' },
        { id: 'ring', class: 'socket-circuit', currentA: 32, phase: 'L1' },
      )(survey);
    };
    for (const change of [listing(shower, cooker, { id: 'ring', class: 'socket-circuit', currentA: 32 }), three]) {
      const plan = planFor(1, change);
      const { sums, kwh } = yearOf(plan);
      const ampereMinutes = (plan.parts[0]?.sums ?? []).reduce(
        (all, at) => all + (sums[at] ?? new Float32Array()).reduce((a, b) => a + b, 0),
        0,
      );
      expect((ampereMinutes * 230) / 60000 / kwh).toBeCloseTo(1, 4);
      expect(kwh).toBeGreaterThan(500);
    }
  });
  it('is the same year for the same seed and another for another', () => {
    const plan = planFor(1);
    const [one, again, other] = [fuse(plan, 3), fuse(plan, 3), fuse(plan, 4)];
    expect(one.every((amperes, at) => amperes === again[at])).toBe(true);
    expect(one.every((amperes, at) => amperes === other[at])).toBe(false);
  });
});

describe('laws of the trial', () => {
  const load: fc.Arbitrary<Load> = fc.record({
    id: fc.constant(''),
    class: fc.constantFrom(
      'cooking',
      'instantaneous-water-heating',
      'thermostatic-water-heating',
      'heating-and-power',
      'socket-appliance',
      'socket-circuit',
      'ev-charging',
      'heat-pump',
      'storage-heating',
      'motor',
    ),
    currentA: fc.integer({ min: 1, max: 45 }),
    quantity: fc.integer({ min: 1, max: 3 }),
  });
  const lists = fc
    .array(load, { minLength: 1, maxLength: 5 })
    .map((loads) => loads.map((each, at) => ({ ...each, id: `load-${at}` })));
  /** Every rating as low as the demand lets it be, with so much more for the equipment. */
  const tight = (seed: number, moreA: number, ...changes: Change[]) => {
    const { assessment } = trialOf(seed, ...changes);
    const neededA = (id: string): number =>
      Math.ceil(assessment.nodes.find((each) => each.id === id)?.before.L1?.value ?? 0);
    const rated: Change = (survey) => {
      for (const node of survey.supply.nodes)
        if (node.ratingA !== undefined)
          node.ratingA = Math.max(1, neededA(node.id) + (node.id === 'feeder' ? 0 : moreA));
    };
    const managedThere: Change = (survey) => {
      const [car] = survey.proposals;
      // As far below as the clamp may err: (S + 1) ÷ 0.98.
      const setPointA = Math.floor(0.98 * (neededA('cut-out') + moreA) - 1);
      if (car) car.limiter = { kind: 'clamp', clampNodeId: 'isolator', setPointA, failSafeA: Math.min(6, moreA) };
    };
    return trialOf(seed, ...changes, rated, managedThere);
  };
  /** What is listed last hangs from a feeder of its own. */
  const onFeeder: Change = (survey) => {
    survey.supply.nodes.push({ id: 'feeder', kind: 'feeder', fedFrom: 'board', ratingA: 40 });
    survey.loads.slice(-1).forEach((each) => (each.nodeId = 'feeder'));
  };

  it('a load more, listed last, never lowers a current of the house, nor an overload of a way that nothing manages', () => {
    fc.assert(
      fc.property(lists, load, fc.integer({ min: 1, max: 1000 }), (loads, more, seed) => {
        // Sockets known as circuits and as appliances are two ways of telling the same thing.
        const sockets = more.class === 'socket-appliance' || more.class === 'socket-circuit';
        fc.pre(!sockets || loads.every((each) => !each.class.startsWith('socket') || each.class === more.class));
        const [before, after] = [
          planFor(seed, listing(...loads)),
          planFor(seed, listing(...loads, { ...more, id: 'more' })),
        ];
        const [now, then] = [fuse(before, seed), fuse(after, seed)];
        expect(now.every((amperes, at) => (then[at] ?? 0) >= amperes - 1e-3)).toBe(true);
        const [ways, waysAfter] = [playHousehold(before, 0, {}), playHousehold(after, 0, {})];
        before.ways.forEach(({ runs }, at) => {
          if (runs[0]?.running.kind !== 'free') return;
          expect(waysAfter[at]?.highestA).toBeGreaterThanOrEqual((ways[at]?.highestA ?? 0) - 1e-3);
          expect(waysAfter[at]?.minutesOver).toBeGreaterThanOrEqual(ways[at]?.minutesOver ?? 0);
        });
      }),
      { numRuns: lawRuns(6) },
    );
  });
  it('a supply whose guard holds never passes its rating with the charger managed, at no part', () => {
    let held = 0;
    fc.assert(
      fc.property(lists, fc.integer({ min: 1, max: 1000 }), fc.integer({ min: 6, max: 20 }), (loads, seed, moreA) => {
        const { plan, assessment } = tight(seed, moreA, listing(...loads), onFeeder);
        if (!assessment.nodes.every(({ id, guard }) => id === 'service' || guard === undefined || guard.holds === true))
          return;
        held += 1;
        const managed = playHousehold(plan, 0, {}).at(-1);
        expect(managed?.parts.map(({ minutesOver }) => minutesOver)).toEqual(plan.parts.map(() => 0));
      }),
      { numRuns: lawRuns(20) },
    );
    expect(held).toBeGreaterThan(0);
  });
  it('a way within every rating by its demand never passes one', () => {
    let fitted = 0;
    fc.assert(
      fc.property(lists, fc.integer({ min: 1, max: 1000 }), (loads, seed) => {
        const { plan, assessment } = tight(seed, 32, listing(...loads), onFeeder);
        const within = assessment.nodes.every(
          ({ id, after, ratingA }) =>
            id === 'service' ||
            (ratingA !== null && after.L1?.bound === 'exact' && (after.L1.value ?? Infinity) <= ratingA),
        );
        if (!within) return;
        fitted += 1;
        expect(playHousehold(plan, 0, {})[0]?.parts.map(({ minutesOver }) => minutesOver)).toEqual(
          plan.parts.map(() => 0),
        );
      }),
      { numRuns: lawRuns(20) },
    );
    expect(fitted).toBeGreaterThan(0);
  });
});
