import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import { gbDefault as rules } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Survey } from '../survey/survey';
import { poolGuarantees } from './guarantees';
import { poolOnSupply } from './on-supply';
import { outletsMissing, withOutletsAsEquipment } from './row-equipment';

interface Row {
  readonly bays: number;
  readonly fuseA: number;
  readonly houseA: number;
  readonly setPointA: number;
  readonly failSafeA: number;
  readonly clampAt: 'isolator' | 'split' | 'board';
}

/** A house with a row of alike outlets on one of its two boards, its clamps on one of the parts above. */
function home({ bays, fuseA, houseA, setPointA, failSafeA, clampAt }: Row): Survey {
  const survey = blankSurvey();
  survey.place.premises = 'household';
  survey.supply.phases = 1;
  survey.supply.nodes = [
    { id: 'cut-out', kind: 'cut-out', ratingA: fuseA, evidence: 'label' },
    { id: 'meter', kind: 'meter', fedFrom: 'cut-out', ratingA: 100 },
    { id: 'isolator', kind: 'isolator', fedFrom: 'meter', ratingA: 100 },
    { id: 'split', kind: 'split-block', fedFrom: 'isolator', ratingA: 100 },
    { id: 'house', kind: 'board', fedFrom: 'split', ratingA: 100 },
    { id: 'board', kind: 'board', fedFrom: 'split', ratingA: 80 },
  ];
  survey.loads = [
    { id: 'house-load', class: 'heating-and-power', currentA: houseA, nodeId: 'house' },
    { id: 'row-load', class: 'lighting', powerW: 400, nodeId: 'board' },
  ];
  survey.pool = {
    outlets: Array.from({ length: bays }, (_each, at) => ({ id: `bay-${at + 1}`, mostA: 32 })),
    nodeId: 'board',
    clampNodeId: clampAt,
    setPointA,
    failSafeA,
  };
  return survey;
}

const rows: fc.Arbitrary<Row> = fc.record({
  bays: fc.integer({ min: 1, max: 6 }),
  fuseA: fc.constantFrom(60, 80, 100),
  houseA: fc.integer({ min: 0, max: 70 }),
  setPointA: fc.integer({ min: 10, max: 110 }),
  failSafeA: fc.integer({ min: 0, max: 16 }),
  clampAt: fc.constantFrom('isolator', 'split', 'board'),
});

const asEquipment = (survey: Survey): Survey =>
  withOutletsAsEquipment(survey, poolOnSupply(survey, assess(survey, rules), rules).outlets);

describe('the outlets of a row among the new equipment', () => {
  const row: Row = { bays: 3, fuseA: 100, houseA: 30, setPointA: 60, failSafeA: 0, clampAt: 'isolator' };

  it('each bears the outlet’s own id and the row’s clamps, and is alike the one that is there', () => {
    const survey = home(row);
    survey.proposals = [
      {
        id: 'bay-2',
        kind: 'vehicle-charger',
        makeAndModel: 'Larch 32',
        ratedA: 32,
        nodeId: 'board',
        limiter: { fit: { conductor: 'line' } },
        tested: {},
      },
    ];
    expect(outletsMissing(survey).map(({ id }) => id)).toEqual(['bay-1', 'bay-3']);
    const made = asEquipment(survey);
    expect(outletsMissing(made)).toEqual([]);
    const limiter = { kind: 'clamp', clampNodeId: 'isolator', setPointA: 60, failSafeA: 0, fit: { conductor: 'line' } };
    expect(made.proposals).toMatchObject([
      { id: 'bay-2', makeAndModel: 'Larch 32', limiter, tested: {} },
      { id: 'bay-1', label: 'Bay 1', makeAndModel: 'Larch 32', ratedA: 32, phases: 1, nodeId: 'board', limiter },
      { id: 'bay-3', label: 'Bay 3', limiter },
    ]);
    expect(made.proposals[1]).not.toHaveProperty('tested');
    // Done again, nothing changes.
    expect(asEquipment(made)).toEqual(made);
  });

  it('changes nothing of what the row is guaranteed: it is not counted twice', () => {
    const survey = home(row);
    const before = poolOnSupply(survey, assess(survey, rules), rules);
    const made = asEquipment(survey);
    expect(poolOnSupply(made, assess(made, rules), rules)).toEqual(before);
  });

  it('are asked once how their one clamp is put on, and it holds or not for all of them', () => {
    const made = asEquipment(home(row));
    const asked = (survey: Survey): string[] =>
      assess(survey, rules).questions.flatMap(({ id, subjectId }) =>
        id === 'clamp-conductor-not-known' ? [subjectId ?? ''] : [],
      );
    expect(asked(made)).toEqual(['bay-1']);
    const [first] = made.proposals;
    if (first) first.limiter = { ...first.limiter, fit: { conductor: 'line', arrowAlong: 'no' } };
    expect(asked(made)).toEqual([]);
    // A clamp that is turned round misleads the controller of every outlet.
    expect(assess(made, rules).demand.limiter.holds).toBe(false);
  });

  it('law: the guards of the row and those of its outlets as equipment say the same of every part', () => {
    fc.assert(
      fc.property(rows, (of) => {
        const survey = home(of);
        const { parts, outlets } = poolOnSupply(survey, assess(survey, rules), rules);
        const { guards } = poolGuarantees(parts, outlets, of, rules);
        const { nodes } = assess(asEquipment(survey), rules);
        for (const { partId, holds } of guards)
          expect([partId, nodes.find(({ id }) => id === partId)?.guard?.holds]).toEqual([partId, holds]);
        expect(guards.length).toBeGreaterThan(0);
      }),
      { numRuns: lawRuns(300) },
    );
  });
});
