import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import type { Generation } from '../survey/generation';
import type { ClampFit } from '../survey/proposal';
import { nodeOf, settledSurvey, type Change } from '../testing/settled-survey';
import { given } from '../worked';
import { worstSetPointA } from './clamp-limit';
import { guard, heldBy, managedDemand, type NodeFlow } from './managed-demand';

const fit: ClampFit = { conductor: 'line', arrowAlong: 'yes', insideSealed: 'no' };

/**
 * 100 A fuse; behind the isolator the house board (63 A by its feeder) with the charger of 32 A and 40 A of loads, and the
 * annexe with 20 A; a clamp before the split at 58 A, (58 + 1) ÷ 0.98 = 60.2 A at its worst, fail-safe 6 A.
 */
function split(generation: Generation[] | undefined, clampNodeId = 'isolator', own: ClampFit = fit): Change {
  return (survey) => {
    survey.supply.nodes.push(
      { id: 'feeder', kind: 'feeder', fedFrom: 'isolator', ratingA: 63, label: 'House feeder' },
      { id: 'house', kind: 'board', fedFrom: 'feeder', ratingA: 100, label: 'House' },
      { id: 'annexe', kind: 'board', fedFrom: 'isolator', ratingA: 125, label: 'Annexe' },
    );
    survey.loads = [
      { id: 'here', class: 'storage-heating', currentA: 40, nodeId: 'house' },
      { id: 'there', class: 'storage-heating', currentA: 20, nodeId: 'annexe' },
    ];
    for (const proposal of survey.proposals) {
      proposal.nodeId = 'house';
      proposal.limiter = { kind: 'clamp', clampNodeId, setPointA: 58, failSafeA: 6, fit: own };
    }
    if (generation) survey.generation = generation;
  };
}
const pv = (nodeId: string, ratedA?: number): Generation => ({
  id: 'pv',
  kind: 'pv',
  label: 'PV',
  nodeId,
  ...(ratedA === undefined ? {} : { ratedA }),
});
const judged = (...changes: Change[]) => assess(settledSurvey(...changes), gbDefault);
const guardAt = (id: string, ...changes: Change[]) => judged(...changes).nodes.find((node) => node.id === id)?.guard;
const ids = (...changes: Change[]): string[] =>
  judged(...changes)
    .findings.filter(({ id }) => /^(clamp-|generation-|storage-|board-fed)/.test(id) && id !== 'clamp-link-not-said')
    .map(({ id, grade }) => `${id} ${grade}`);

describe('generation on either side of a clamp', () => {
  it('none: 58 A at the clamp keep the house feeder of 63 A', () => {
    expect(guardAt('feeder', split([]))).toMatchObject({ holds: true });
  });
  it('PV of 16 A in the annexe: the clamp lets in so much more, lesser of 40 + 32 and 60.2 + 16 = 72 A, 9 over', () => {
    const found = guardAt('feeder', split([pv('annexe', 16)]));
    expect(found).toMatchObject({ holds: false, why: '9 A over its rating with the clamp working.' });
    // The largest set-point: (63 − 16) × 0.98 − 1.
    expect(found?.mostSetPointA).toBeCloseTo(45.06, 9);
  });
  it('PV in the house itself gives there what it lets in: the feeder holds', () => {
    expect(guardAt('feeder', split([pv('house', 16)]))).toMatchObject({ holds: true });
  });
  it('PV on the street side of the clamp changes nothing for it', () => {
    expect(guardAt('feeder', split([pv('annexe', 16)], 'house'))).toMatchObject({ holds: true });
  });
  it('of unknown size nothing is promised, and it is asked for', () => {
    expect(guardAt('feeder', split([pv('annexe')]))).toMatchObject({
      holds: null,
      why: 'Not known what the clamp does not see, or what generation behind it gives.',
    });
    expect(ids(split([pv('annexe')], 'isolator', { ...fit, signedReading: 'yes' }))).toEqual([
      'generation-without-rating ask',
    ]);
  });
  it.each<[string, Change, readonly string[]]>([
    ['recorded behind the clamp, nothing said of the sign', split([pv('house', 16)]), ['clamp-sign-not-known ask']],
    [
      'its controller cannot tell export',
      split([pv('house', 16)], 'isolator', { ...fit, signedReading: 'no' }),
      ['clamp-export-as-import act'],
    ],
    ['none on the premises: nothing to ask', split([]), []],
    [
      'said to pass the clamp, recorded elsewhere',
      split([pv('annexe', 16)], 'house', { ...fit, seesExport: 'yes', signedReading: 'yes' }),
      ['clamp-export-disagrees ask', 'clamp-blind note'],
    ],
    [
      'a battery whose charging nobody listed',
      split([{ id: 'b', kind: 'battery', nodeId: 'house', ratedA: 16 }], 'isolator', { ...fit, signedReading: 'yes' }),
      ['storage-charging-not-listed ask'],
    ],
  ])('%s', (_name, change, expected) => {
    expect(ids(change).sort()).toEqual([...expected].sort());
  });
});

describe('a board fed from both', () => {
  const board =
    (ratingA: number, generation: Generation[]): Change =>
    (survey) => {
      nodeOf(survey, 'board').ratingA = ratingA;
      survey.generation = generation;
    };
  it('100 A from the supply and 16 A from PV are too much for a board of 100 A, not for one of 125 A', () => {
    expect(ids(board(100, [pv('board', 16)]))).toContain('board-fed-from-both act');
    expect(ids(board(125, [pv('board', 16)]))).not.toContain('board-fed-from-both act');
    expect(ids(board(100, []))).toEqual([]);
  });
});

describe('laws of the guard', () => {
  const amperes = fc.integer({ min: 0, max: 120 });
  const flows = fc.record({
    other: amperes,
    limitA: amperes,
    failSafe: amperes,
    setPointA: amperes,
    blind: amperes,
    sourcesA: amperes,
  });
  const flowOf = (of: typeof flows extends fc.Arbitrary<infer T> ? T : never): NodeFlow => ({
    other: given('other', of.other, 'A'),
    unmanagedA: of.other + of.limitA,
    limitA: of.limitA,
    failSafeA: Math.min(of.failSafe, of.limitA),
    clamps: [
      {
        setPointA: of.setPointA,
        worstA: worstSetPointA(of.setPointA, gbDefault),
        blind: given('blind', Math.min(of.blind, of.other), 'A'),
        sourcesA: of.sourcesA,
      },
    ],
  });
  it('raising a rating, or lowering a limit, a set-point, a fail-safe, what is blind or what gives, never breaks one that holds', () => {
    fc.assert(
      fc.property(flows, amperes, fc.nat(40), (of, ratingA, by) => {
        const holds = (change: Partial<typeof of>, rating = ratingA): boolean =>
          guard(rating, flowOf({ ...of, ...change })).holds;
        fc.pre(holds({}));
        const less = (value: number): number => Math.max(0, value - by);
        expect(holds({}, ratingA + by)).toBe(true);
        expect(holds({ limitA: less(of.limitA) })).toBe(true);
        expect(holds({ setPointA: less(of.setPointA) })).toBe(true);
        expect(holds({ failSafe: less(of.failSafe) })).toBe(true);
        expect(holds({ blind: less(of.blind) })).toBe(true);
        expect(holds({ sourcesA: less(of.sourcesA) })).toBe(true);
      }),
      { numRuns: lawRuns(5000) },
    );
  });
  it('another clamp never lets more flow, and what is not known of generation promises nothing', () => {
    fc.assert(
      fc.property(flows, flows, (of, more) => {
        const [one, other] = [flowOf(of), flowOf({ ...more, other: of.other })];
        const both = { ...one, clamps: [...one.clamps, ...other.clamps] };
        expect(managedDemand(both).value).toBeLessThanOrEqual(managedDemand(one).value);
        const [clamp] = one.clamps;
        if (clamp) expect(heldBy({ ...clamp, sourcesA: null })).toBeNull();
      }),
    );
  });
});
