import { assess } from '../assess';
import { gbDefault as rules } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Pool, PoolOutlet } from '../survey/pool';
import type { Survey } from '../survey/survey';
import type { Phase } from '../survey/words/words';
import { differencesOf, withAlikeDwellings } from './alike';
import { ownEquipment } from './bay-survey';
import { ownWay } from './bay-ways';
import { adviseSite, sharedPounds } from './combination';
import { groupDemand, groupThreeWays } from './group-demand';
import { landlordRow } from './shared-reach';
import { surveyOfSupply } from './supply-survey';
import { suppliesOfSite } from './supplies';

const LINES: readonly Phase[] = ['L1', 'L2', 'L3'];

/**
 * Four flats and a landlord behind one three-phase head of 100 A: each flat behind 60 A on one line with an electric shower, a cooker and sockets; the landlord behind 100 A with little.
 */
function court(bays: readonly Partial<PoolOutlet>[] = [], flatA = 60): Survey {
  const survey = blankSurvey();
  survey.place.premises = 'household';
  survey.generation = [];
  survey.supply.phases = 3;
  survey.supply.nodes = [
    { id: 'service', kind: 'service', ratingA: 200 },
    { id: 'head', kind: 'cut-out', fedFrom: 'service', ratingA: 100, evidence: 'label' },
    { id: 'split', kind: 'split-block', fedFrom: 'head', ratingA: 200 },
    { id: 'landlord', kind: 'switch-fuse', fedFrom: 'split', ratingA: 100, evidence: 'label', label: 'Landlord' },
    { id: 'landlord-meter', kind: 'meter', fedFrom: 'landlord', ratingA: 100 },
    { id: 'landlord-board', kind: 'board', fedFrom: 'landlord-meter', ratingA: 100 },
  ];
  survey.loads = LINES.map((phase) => ({
    id: `stairs-${phase}`,
    class: 'heating-and-power',
    currentA: 5,
    nodeId: 'landlord-board',
    phase,
  }));
  for (const flat of [1, 2, 3, 4]) {
    const phase = LINES[(flat - 1) % 3] ?? 'L1';
    survey.supply.nodes.push(
      {
        id: `flat-${flat}`,
        kind: 'switch-fuse',
        fedFrom: 'split',
        ratingA: flatA,
        evidence: 'label',
        label: `Flat ${flat}`,
        phase,
      },
      { id: `meter-${flat}`, kind: 'meter', fedFrom: `flat-${flat}`, ratingA: 100 },
      { id: `board-${flat}`, kind: 'board', fedFrom: `meter-${flat}`, ratingA: 100 },
    );
    survey.loads.push(
      { id: `heater-${flat}`, class: 'heating-and-power', currentA: 10, nodeId: `board-${flat}` },
      { id: `ring-${flat}`, class: 'socket-circuit', currentA: 0, nodeId: `board-${flat}` },
    );
  }
  survey.site = { supplies: [{ id: 'landlord', nodeId: 'landlord', whose: 'landlord' }] };
  survey.pool = {
    outlets: bays.map((bay, at) => ({
      id: `bay-${at + 1}`,
      mostA: 32,
      phases: 1,
      ownNodeId: `flat-${at + 1}`,
      ownRouteM: 20,
      ...bay,
    })),
    failSafeA: 0,
    otherEveningA: 10,
    otherElseA: 5,
  };
  return survey;
}

/** Outlets that stand on the line of flats 1 and 4. */
const onL1: PoolOutlet[] = [1, 2].map((at) => ({ id: `l1-${at}`, mostA: 32, phases: 1, firstLine: 'L1' }));

describe('supplies of a building', () => {
  it('are the fuses with a meter of their own, each with its own demand: 10 A of a flat on its line, 5 A of the landlord on each', () => {
    const survey = court();
    const found = suppliesOfSite(survey, assess(survey, rules));
    expect(found.map(({ label, whose, line }) => [label, whose, line])).toEqual([
      ['Landlord', 'landlord', undefined],
      ['Flat 1', 'dwelling', 'L1'],
      ['Flat 2', 'dwelling', 'L2'],
      ['Flat 3', 'dwelling', 'L3'],
      ['Flat 4', 'dwelling', 'L1'],
    ]);
    // Heating and power in a household: all of the first 10 A, half of what is over.
    expect(found[1]?.before.L1?.value).toBeCloseTo(10, 9);
    expect(found[1]?.before.L2?.value).toBeCloseTo(0, 9);
    expect(found[0]?.before.L2?.value).toBeCloseTo(5, 9);
  });

  it('have a survey of their own, limited by their own fuse, with what is planned elsewhere counted at the intake', () => {
    const survey = court();
    survey.site?.supplies?.push({
      id: 'one',
      nodeId: 'flat-1',
      customerName: 'A. Tester',
      meterPointNumber: '9700000012340',
    });
    survey.proposals = [
      { id: 'here', kind: 'vehicle-charger', ratedA: 32, phases: 1, nodeId: 'board-1', limiter: {} },
      { id: 'there', kind: 'vehicle-charger', ratedA: 16, phases: 1, nodeId: 'board-4', limiter: {} },
    ];
    const own = surveyOfSupply(survey, 'flat-1', assess(survey, rules));
    const { supply, demand, nodes } = assess(own, rules);
    expect(own.place).toMatchObject({ customerName: 'A. Tester', meterPointNumber: '9700000012340' });
    expect(own.proposals.map(({ id }) => id)).toEqual(['here']);
    expect(supply).toMatchObject({ deviceId: 'flat-1', rating: { value: 60 } });
    // 10 A of the flat and 32 A of its charger; at the head on L1 also 10 A of flat 4 (the first 10 A whole, then half: 10 + 5 + 2.5), and its charger’s 16 A.
    expect(demand.afterUnmanaged.L1?.value).toBeCloseTo(42, 9);
    const head = nodes.find(({ id }) => id === 'head')?.after.L1?.value ?? 0;
    expect(head).toBeGreaterThanOrEqual(32 + 16 + 10);
    expect(head).toBe(assess(survey, rules).nodes.find(({ id }) => id === 'head')?.after.L1?.value);
  });
});

describe('the survey of a dwelling beside a row that gives way to it', () => {
  const beside = (clampNodeId: string, setPointA: number): number => {
    const survey = court();
    survey.proposals = [
      {
        id: 'row',
        kind: 'vehicle-charger',
        ratedA: 90,
        phases: 3,
        nodeId: 'landlord-board',
        limiter: {
          kind: 'clamp',
          clampNodeId,
          setPointA,
          failSafeA: 6,
          fit: { conductor: 'line', arrowAlong: 'yes', insideSealed: 'no', phase: 'all' },
        },
      },
    ];
    const { nodes } = assess(surveyOfSupply(survey, 'flat-1', assess(survey, rules)), rules);
    return nodes.find(({ id }) => id === 'head')?.after.L1?.value ?? 0;
  };
  it('counts its fail-safe where its clamps see the dwelling, and all of it where they do not: 84 A more', () => {
    expect(beside('landlord-board', 80) - beside('split', 80)).toBeCloseTo(84, 9);
  });
  it('counts all of it where its clamps do not keep the building either: 160 A past a head of 100 A', () => {
    expect(beside('split', 160) - beside('split', 80)).toBeCloseTo(84, 9);
  });
});

describe('alike dwellings', () => {
  it('have the loads of one that is recorded, assumed, at their own boards and on their own lines; those with loads are left', () => {
    const survey = court();
    survey.loads = survey.loads.filter(({ nodeId }) => nodeId !== 'board-2' && nodeId !== 'board-3');
    const made = withAlikeDwellings(survey, 'flat-1', ['flat-2', 'flat-3', 'flat-4']);
    const added = made.loads.slice(survey.loads.length);
    expect(added.map(({ nodeId, assumed }) => [nodeId, assumed])).toEqual([
      ['board-2', true],
      ['board-2', true],
      ['board-3', true],
      ['board-3', true],
    ]);
    expect(new Set(made.loads.map(({ id }) => id)).size).toBe(made.loads.length);
    const found = suppliesOfSite(made, assess(made, rules));
    expect(found.find(({ nodeId }) => nodeId === 'flat-3')?.before.L3?.value).toBeCloseTo(10, 9);
    expect(differencesOf(made, 'flat-1', 'flat-2')).toEqual({ more: [], less: [] });
    // Done again there is nothing left to copy.
    expect(withAlikeDwellings(made, 'flat-1', ['flat-2', 'flat-3'])).toBe(made);
  });
  it('are told apart by what each has more and has not', () => {
    const survey = court();
    survey.loads.push({
      id: 'shower',
      class: 'instantaneous-water-heating',
      label: 'Shower',
      powerW: 8500,
      nodeId: 'board-2',
    });
    survey.loads = survey.loads.filter(({ id }) => id !== 'ring-2');
    expect(differencesOf(survey, 'flat-1', 'flat-2')).toEqual({
      more: ['Shower 8500 W'],
      less: ['socket-circuit 0 A'],
    });
  });
});

describe('group demand', () => {
  it('of 24 gas-heated dwellings: 24 × 1.6 + 12 = 50.4 kW', () => {
    expect(groupDemand(24, 1.6, 12).value).toBeCloseTo(50.4, 9);
  });
  it('of four flats three ways: 4 × 2 + 12 = 20 kW by formula, 4 × 10 A × 230 V = 9.2 kW added up, nothing measured; the landlord 3 × 5 A × 230 V = 3.45 kW', () => {
    const survey = court();
    const assessment = assess(survey, rules);
    const found = groupThreeWays(survey, assessment, suppliesOfSite(survey, assessment), rules);
    expect(found.dwellings).toBe(4);
    expect(found.formula.figure?.value).toBeCloseTo(20, 9);
    expect(found.sum.figure?.value).toBeCloseTo((4 * 10 * rules.nominalVoltageV.value) / 1000, 9);
    expect(found.landlord.figure?.value).toBeCloseTo((3 * 5 * rules.nominalVoltageV.value) / 1000, 9);
    expect(found.measured).toMatchObject({ figure: null });
  });
  it('says that the formula is for less where heating is electric, and that a flat without loads is not known', () => {
    const survey = court();
    survey.loads = survey.loads.filter(({ nodeId }) => nodeId !== 'board-2');
    survey.loads.push({ id: 'store', class: 'storage-heating', currentA: 10, nodeId: 'board-1' });
    const assessment = assess(survey, rules);
    const found = groupThreeWays(survey, assessment, suppliesOfSite(survey, assessment), rules);
    expect(found.formula.atLeast).toBe(true);
    expect(found.sum).toMatchObject({ atLeast: true, why: 'Demand not fully known for 1 of 4.' });
  });
});

describe('a bay on its owner’s own supply', () => {
  it('has full rate where 10 + 32 A stay under 60 A, over a way of 20 m', () => {
    const survey = court([{}]);
    const [bay] = survey.pool?.outlets ?? [];
    const way = ownWay(survey, bay as PoolOutlet, rules);
    expect(way).toMatchObject({ holds: true, held: 'full-rate', mostA: 32 });
    expect(way.cable?.lengthM).toBe(20);
    expect(way.cable?.sizeMm2).toBeGreaterThanOrEqual(4);
  });
  it('is held back where 10 + 32 A pass 40 A', () => {
    const survey = court([{}], 40);
    const [bay] = survey.pool?.outlets ?? [];
    const way = ownWay(survey, bay as PoolOutlet, rules);
    expect(way.holds).toBe(true);
    expect(way.held).not.toBe('full-rate');
  });
  it('counts what else is to be connected: beside a heat pump of 20 A, 10 + 20 + 32 A pass 60 A', () => {
    const survey = court([{}]);
    survey.proposals = [{ id: 'pump', kind: 'heat-pump', ratedA: 20, phases: 1, nodeId: 'board-1', limiter: {} }];
    const [bay] = survey.pool?.outlets ?? [];
    expect(ownWay(survey, bay as PoolOutlet, rules).held).not.toBe('full-rate');
    // Of a rating that is not known nothing can be said.
    delete survey.proposals[0]?.ratedA;
    expect(ownWay(survey, bay as PoolOutlet, rules).holds).toBeNull();
  });
  it('does not hold where the owner of the ground refuses, and is not known without an owner', () => {
    const refused = court([{ crosses: 'others', agreed: 'no' }]);
    expect(ownWay(refused, refused.pool?.outlets[0] as PoolOutlet, rules)).toMatchObject({
      holds: false,
      why: 'Owner of the land crossed does not agree.',
    });
    const [bay] = refused.pool?.outlets ?? [];
    const { ownNodeId: _none, ...ownerless } = bay as PoolOutlet;
    expect(ownWay(refused, ownerless, rules).holds).toBeNull();
  });
});

describe('prices of a shared supply', () => {
  it('together and one at a time: 3000 + 4 × 700 − 4 × 350 = 4400, and 4 × 3700 = 14 800 where help is for four at least', () => {
    const prices = { oncePounds: 3000, eachPounds: 700, helpEachPounds: 350, helpFromBays: 4 };
    expect(sharedPounds(prices, 4)).toEqual({ together: 4400, singly: 14_800 });
    // Three are too few for help: 3000 + 3 × 700.
    expect(sharedPounds(prices, 3)?.together).toBe(5100);
    // No more than 1000 of help.
    expect(sharedPounds({ ...prices, helpMostPounds: 1000 }, 4)?.together).toBe(4800);
    expect(sharedPounds({ eachPounds: 700 }, 4)).toBeNull();
  });
});

describe('a landlord’s row beside chargers on the dwellings’ own supplies', () => {
  it('is held to less than was recorded, and its cars have less: what the clamps see of them counts all the time', () => {
    const survey = court([{}, {}, {}, {}]);
    if (survey.pool) survey.pool.setPointA = 97;
    const own = survey.pool?.outlets.slice(0, 1).map((bay) => ownEquipment(survey, bay)) ?? [];
    if (survey.pool) survey.pool.outlets = survey.pool.outlets.slice(1);
    const alone = landlordRow(survey, [], rules);
    const together = landlordRow(survey, own, rules);
    expect([alone.setPointA, alone.planned?.besideA]).toEqual([97, [0, 0, 0]]);
    // The clamps are on the block: they see flat 1’s 32 A on L1, and what is left there is that much less.
    expect(together.planned?.besideA).toEqual([32, 0, 0]);
    // Where they are on the landlord’s own board they do not: the set-point is less instead, (100 − 10 − 5 − 32) × 0.98 − 1 = 50.9 A on L1 with both flats there.
    if (survey.pool) survey.pool.clampNodeId = 'landlord-board';
    const unseen = landlordRow({ ...survey, pool: { ...(survey.pool as Pool), outlets: onL1 } }, own, rules);
    expect(unseen.planned?.besideA).toEqual([0, 0, 0]);
    expect(unseen.setPointA).toBe(50);
  });
});

describe('whoever manages the building', () => {
  it('rules the landlord’s supply out by refusing', () => {
    const survey = court([{}, {}]);
    survey.site = { ...survey.site, landlord: { agreed: 'no', oncePounds: 1, eachPounds: 1 } };
    const { bays, best } = adviseSite(survey, rules, 1);
    expect(bays[0]?.ways.landlord).toMatchObject({ holds: false, why: 'Building manager does not agree.' });
    expect(best?.counts).toEqual({ own: 2, landlord: 0, new: 0 });
    survey.site.landlord = { agreed: 'yes', oncePounds: 1, eachPounds: 1 };
    expect(adviseSite(survey, rules, 1).best?.toAgree).toEqual([]);
  });
});

describe('what is recommended for four flats', () => {
  const priced = (own: number, once: number): Survey => {
    const survey = court([{}, {}, {}, {}]);
    survey.site = {
      ...(survey.site as NonNullable<Survey['site']>),
      own: { eachPounds: own, metrePounds: 10 },
      landlord: { oncePounds: once, eachPounds: 700 },
    };
    return survey;
  };

  it('own supplies where they are cheaper: 4 × (900 + 200) = 4400 against 3000 + 2800', () => {
    const { best } = adviseSite(priced(900, 3000), rules, 1);
    expect(best).toMatchObject({ holds: true, counts: { own: 4, landlord: 0, new: 0 }, pounds: 4400 });
  });
  it('the landlord’s where that is: 1000 + 2800 = 3800', () => {
    const { best } = adviseSite(priced(900, 1000), rules, 1);
    expect(best).toMatchObject({ holds: true, counts: { own: 0, landlord: 4 }, pounds: 3800, singlyPounds: 6800 });
  });
  it('what is pinned stays, and the rest moves', () => {
    const survey = priced(900, 1000);
    const [first] = survey.pool?.outlets ?? [];
    if (first) first.pinned = 'own';
    // 1100 and 1000 + 3 × 700.
    expect(adviseSite(survey, rules, 1).best).toMatchObject({ counts: { own: 1, landlord: 3 }, pounds: 4200 });
  });
  it('never a combination that passes the intake, however cheap: two flats on L1 of a head of 63 A', () => {
    const survey = priced(100, 3000);
    const head = survey.supply.nodes.find(({ id }) => id === 'head');
    if (head) head.ratingA = 63;
    const { best, others } = adviseSite(survey, rules, 1);
    // L1 would carry two flats with 32 A each, and the landlord.
    expect(others.find(({ counts }) => counts.own === 4)?.holds).toBe(false);
    expect(best?.counts.own ?? 0).toBeLessThan(4);
  });
  it('nothing where nothing is known', () => {
    const survey = court([{}]);
    survey.site = { supplies: [] };
    delete survey.pool?.outlets[0]?.ownNodeId;
    expect(adviseSite(survey, rules, 1).best).toBeNull();
  });
});
