import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { planFor } from '../testing/homes';
import { settledSurvey, type Change } from '../testing/settled-survey';
import { lineOf, trialPlan } from './plan';
import { playHousehold } from './play';

/** A board beside the one with the charger, and the clamp on one of them. */
const split =
  (clampNodeId: string): Change =>
  (s) => {
    s.supply.nodes.push({ id: 'other', kind: 'board', fedFrom: 'isolator', ratingA: 63 });
    s.loads = [
      { id: 'here', class: 'cooking', currentA: 20, nodeId: 'board' },
      { id: 'there', class: 'cooking', currentA: 30, nodeId: 'other' },
    ];
    const [car] = s.proposals;
    if (!car) return;
    car.nodeId = 'board';
    car.limiter = { kind: 'clamp', clampNodeId, setPointA: 80, failSafeA: 6 };
  };

function needsOf(...changes: Change[]): string | null {
  const survey = settledSurvey(...changes);
  const [car] = survey.proposals;
  if (!car) throw new Error('no charger');
  const plan = trialPlan(survey, assess(survey, gbDefault), car, gbDefault, { seed: 1 });
  return 'needs' in plan ? plan.needs : null;
}

describe('the plan of a trial', () => {
  it('follows what each clamp sees by itself: on the board 20 A of loads and the charger, at the fuse 50 A', () => {
    const plan = planFor(1, split('board'));
    const [clampSum = -1] = plan.ways.at(-1)?.runs[0]?.clamps[0]?.sums ?? [];
    const on = (id: string) => plan.appliances.find((each) => each.id === id)?.sums ?? [];
    expect(on('here')).toContain(clampSum);
    expect(on('there')).not.toContain(clampSum);
    expect(on('there')).toEqual(plan.parts[0]?.sums);
    expect(plan.chargers[0]?.sums).toContain(clampSum);
    expect(planFor(1, split('other')).chargers[0]?.sums).not.toContain(
      planFor(1, split('other')).ways.at(-1)?.runs[0]?.clamps[0]?.sums[0],
    );
  });
  it('judges every part on the way, those that carry the same by the lowest rated of them', () => {
    const plan = planFor(1, split('board'), (s) => {
      const board = s.supply.nodes.find(({ id }) => id === 'board');
      if (board) board.ratingA = 50;
    });
    // Cut-out, meter and isolator carry the same; the board less.
    expect(plan.parts.map(({ nodeId, ratingA }) => [nodeId, ratingA])).toEqual([
      ['cut-out', 100],
      ['board', 50],
    ]);
    const [full] = playHousehold(plan, 0, {});
    expect(full?.parts).toHaveLength(2);
    expect(full?.parts[1]?.highestA).toBeLessThanOrEqual(full?.highestA ?? 0);
  });
  it('plays the heat pump beside the charger, the second charger, and the charger that is there', () => {
    const more = planFor(1, (s) => {
      const [car] = s.proposals;
      if (!car) return;
      s.loads.push({ id: 'old-charger', class: 'ev-charging', currentA: 16 });
      s.proposals.push({ ...car, id: 'second', ratedA: 16 }, { ...car, id: 'pump', kind: 'heat-pump', ratedA: 20 });
    });
    expect(more.chargers.map(({ id }) => id)).toEqual(['car', 'second']);
    expect(more.appliances.map(({ id }) => id)).toEqual(expect.arrayContaining(['old-charger', 'pump']));
    expect(more.ways[0]?.runs.map(({ running }) => running.limitA)).toEqual([32, 16]);
    const [alone, with2] = [planFor(1), more].map((plan) => playHousehold(plan, 0, {})[0]);
    // Two vehicles want about twice as much; the old charger fills a third, that is a load of the house.
    expect((with2?.neededKwh ?? 0) / (alone?.neededKwh ?? 1)).toBeCloseTo(2, 1);
    expect((with2?.houseKwh ?? 0) - (alone?.houseKwh ?? 0)).toBeGreaterThan(2500);
  });
  it('leaves out what hangs beside this supply’s own fuse', () => {
    const plan = planFor(1, (s) => {
      s.supply.nodes.push({ id: 'neighbour', kind: 'switch-fuse', fedFrom: 'service', ratingA: 60 });
      s.loads.push({ id: 'not-ours', class: 'cooking', currentA: 30, nodeId: 'neighbour' });
    });
    expect(plan.appliances.map(({ id }) => id)).not.toContain('not-ours');
  });
  it('plays a three-phase household on all its lines, and tells the fullest', () => {
    const plan = planFor(1, (s) => {
      s.supply.phases = 3;
      s.loads = [
        { id: 'a', class: 'lighting', powerW: 180, fixedLed: true, phase: 'L1' },
        { id: 'b', class: 'instantaneous-water-heating', currentA: 40, phase: 'L3' },
      ];
      const [car] = s.proposals;
      if (car) Object.assign(car, { phases: 1, phase: 'L2' });
    });
    expect(plan.parts[0]?.sums).toHaveLength(3);
    expect(lineOf(plan)).toBe('L2');
    const [full] = playHousehold(plan, 0, {});
    // 40 A of shower on L3 against 32 A of charger on L2.
    expect(full?.highestA).toBeCloseTo(40, 0);
    expect(full?.line).toBe(2);
  });
  it('a three-phase charger on a single-phase supply charges on one line', () => {
    const plan = planFor(1, (s) => {
      const [car] = s.proposals;
      if (car) car.phases = 3;
    });
    expect(plan.chargers[0]?.needs.lines).toBe(1);
  });
  it.each<[string, Change, string]>([
    ['nothing listed', (s) => (s.loads = []), 'The loads of the home, or a log.'],
    ['a load without a size', (s) => s.loads.push({ id: 'x', class: 'motor', label: 'Pump' }), 'The size of Pump.'],
    [
      'no rating',
      (s) => {
        const [car] = s.proposals;
        if (car) delete car.ratedA;
      },
      'The rating of all new equipment.',
    ],
  ])('says what it still needs: %s', (_name, change, needs) => {
    expect(needsOf(change)).toBe(needs);
  });
  it('a log needs no list, and says nothing of one part of the supply', () => {
    const survey = settledSurvey(split('board'), (s) => (s.loads = []));
    const [car] = survey.proposals;
    const plan = car && trialPlan(survey, assess(survey, gbDefault), car, gbDefault, { seed: 1, measurementId: 'm' });
    if (!plan || 'needs' in plan) throw new Error('no plan');
    expect(plan.house).toEqual({ from: 'log', measurementId: 'm' });
    expect(plan.parts).toHaveLength(1);
    // The clamp is taken to see all of it.
    expect(plan.ways.at(-1)?.runs[0]?.clamps[0]?.sums).toEqual(plan.parts[0]?.sums);
  });
});
