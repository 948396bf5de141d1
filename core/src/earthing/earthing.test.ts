import { assess } from '../assess';
import type { Finding } from '../finding';
import { gbDefault } from '../rules/gb-default';
import type { Earthing } from '../survey/earthing';
import { settledSurvey, type Change } from '../testing/settled-survey';

/** What is recorded of the earth; undefined takes away what the settled home has. */
type Recorded = { readonly [K in keyof Earthing]?: Earthing[K] | undefined };

/** Ids of what is open at the earthing station, for the settled home with another earth. */
function open(earthing: Recorded, ...changes: Change[]): string[] {
  return findings(earthing, ...changes).map(({ id }) => id);
}

function findings(earthing: Recorded, ...changes: Change[]): Finding[] {
  const made = assess(
    settledSurvey((survey) => Object.assign(survey.earthing, earthing), ...changes),
    gbDefault,
  );
  return made.findings.filter(({ station }) => station === 'earthing');
}

const indoors: Change = (survey) => {
  for (const proposal of survey.proposals) proposal.parking = 'indoors-only';
};
const rcdAtOrigin: Change = (survey) => {
  const board = survey.supply.nodes.find(({ id }) => id === 'board');
  survey.supply.nodes.push({ id: 'main-rcd', kind: 'rcd', fedFrom: 'isolator', residualMa: 100, timeDelayed: true });
  if (board) board.fedFrom = 'main-rcd';
};

describe('the arrangement and its readings', () => {
  it.each<[string, Recorded, readonly string[]]>([
    ['not said: nothing else is asked before it is', { arrangement: undefined }, ['earthing-not-known']],
    ['TN-S at 0.8 Ω holds', { zeOhm: 0.8 }, []],
    ['TN-S at 0.81 Ω is above what is declared', { zeOhm: 0.81 }, ['ze-above-declared']],
    ['TN-C-S at 0.35 Ω holds', { arrangement: 'tn-c-s', zeOhm: 0.35 }, []],
    ['TN-C-S at 0.36 Ω is above what is declared', { arrangement: 'tn-c-s', zeOhm: 0.36 }, ['ze-above-declared']],
    ['nothing read: asked, and the declared maximum stands in', { zeOhm: undefined }, ['ze-not-measured']],
    ['nobody said how it was recognised', { recognisedBy: undefined }, ['earthing-recognition-missing']],
    [
      'the conductor followed says how it was recognised',
      { recognisedBy: undefined, signs: [{ id: 'conductor-to-sheath-or-armour', answer: 'yes' }] },
      [],
    ],
    [
      'recorded TN-S, conductor followed to the neutral',
      { signs: [{ id: 'conductor-to-neutral-block', answer: 'yes' }] },
      ['earthing-against-signs'],
    ],
    [
      'sheath and rod both followed contradict each other',
      {
        signs: [
          { id: 'conductor-to-sheath-or-armour', answer: 'yes' },
          { id: 'conductor-to-rod', answer: 'yes' },
        ],
      },
      ['earthing-signs-contradict'],
    ],
    [
      'a rod beside the neutral is an additional electrode',
      {
        arrangement: 'tn-c-s',
        zeOhm: 0.2,
        signs: [
          { id: 'conductor-to-neutral-block', answer: 'yes' },
          { id: 'conductor-to-rod', answer: 'yes' },
        ],
      },
      [],
    ],
  ])('%s', (_name, earthing, expected) => {
    expect(open(earthing, indoors)).toEqual(expected);
  });

  it.each<[string, number, readonly string[]]>([
    ['200 Ω is the last steady one', 200, []],
    ['201 Ω may not stay steady', 201, ['electrode-unstable']],
    ['501 Ω is above 50 V ÷ 100 mA = 500 Ω', 501, ['electrode-above-rcd-limit']],
  ])('TT behind 100 mA: %s', (_name, electrodeOhm, expected) => {
    expect(open({ arrangement: 'tt', zeOhm: undefined, electrodeOhm }, rcdAtOrigin)).toEqual(expected);
  });

  it('a loop of 0.4 Ω is too low for TT', () => {
    expect(open({ arrangement: 'tt', zeOhm: 0.4 }, rcdAtOrigin)).toEqual(['ze-too-low-for-tt']);
  });

  it.each<[string, readonly [string, number][], readonly string[]]>([
    [
      '0.20 and 0.25 Ω lie within 25 %',
      [
        ['loop-impedance-external', 0.2],
        ['loop-impedance-external', 0.25],
      ],
      [],
    ],
    [
      '0.20 and 0.26 Ω lie apart',
      [
        ['loop-impedance-external', 0.2],
        ['loop-impedance-external', 0.26],
      ],
      ['ze-readings-apart'],
    ],
    [
      '230 ÷ 0.25 = 920 A; 0.95 kA goes with it',
      [
        ['loop-impedance-external', 0.25],
        ['prospective-fault-current', 0.95],
      ],
      [],
    ],
    [
      '230 ÷ 0.25 = 920 A; 0.6 kA does not',
      [
        ['loop-impedance-external', 0.25],
        ['prospective-fault-current', 0.6],
      ],
      ['fault-current-against-ze'],
    ],
    [
      '230 ÷ 0.25 = 920 A; on PME 1.3 kA does not either',
      [
        ['loop-impedance-external', 0.25],
        ['prospective-fault-current', 1.3],
      ],
      ['fault-current-against-ze'],
    ],
    [
      'Zs of 0.2 Ω under Ze of 0.25 Ω',
      [
        ['loop-impedance-external', 0.25],
        ['loop-impedance-circuit', 0.2],
      ],
      ['zs-below-ze'],
    ],
  ])('readings against each other: %s', (_name, values, expected) => {
    const read: Change = (survey) => {
      survey.readings = values.map(([kind, value], at) => ({
        id: `r${at}`,
        kind: kind as 'loop-impedance-external',
        value,
        instrument: 'Loop tester',
      }));
    };
    expect(open({ arrangement: 'tn-c-s', zeOhm: undefined }, indoors, read)).toEqual(expected);
  });
});

describe('RCD cover on TT', () => {
  const tt: Recorded = { arrangement: 'tt', zeOhm: undefined, electrodeOhm: 60 };
  const second: Change = (survey) => {
    survey.supply.nodes.push({ id: 'annexe', kind: 'board', fedFrom: 'isolator', label: 'Annexe board' });
  };

  it('nothing recorded: asked of every board', () => {
    expect(
      findings(tt, second)
        .filter(({ id }) => id === 'tt-rcd-not-recorded')
        .map(({ subjectId }) => subjectId),
    ).toEqual(['board', 'annexe']);
  });

  it('a time-delayed device that covers only some boards is a finding on the board it leaves out', () => {
    const [only, ...rest] = findings(tt, second, rcdAtOrigin);
    expect(rest).toEqual([]);
    expect(only).toMatchObject({ id: 'tt-board-not-covered', grade: 'act', subjectId: 'annexe' });
  });

  it('an RCD on every circuit covers a board; one plain circuit among them does not', () => {
    const circuits =
      (plain: boolean): Change =>
      (survey) => {
        survey.supply.nodes.push(
          { id: 'c1', kind: 'device', fedFrom: 'board', ratingA: 32, deviceType: 'rcbo', residualMa: 30 },
          {
            id: 'c2',
            kind: 'device',
            fedFrom: 'board',
            ratingA: 6,
            deviceType: plain ? 'mcb' : 'rcbo',
            ...(plain ? {} : { residualMa: 30 }),
          },
        );
      };
    expect(open(tt, circuits(false))).toEqual([]);
    expect(open(tt, circuits(true))).toEqual(['tt-circuit-without-rcd']);
  });

  it('an RCD of unread residual current is asked about', () => {
    const unread: Change = (survey) => {
      for (const node of survey.supply.nodes) if (node.id === 'main-rcd') delete node.residualMa;
    };
    expect(open(tt, rcdAtOrigin, unread)).toEqual(['rcd-residual-not-known']);
  });
});

describe('earthing conductor and bonding', () => {
  it.each<[string, Recorded, readonly string[]]>([
    ['25 mm² tails ask for 16 mm²; 10 is too small', { conductor: { sizeMm2: 10 } }, ['earthing-conductor-too-small']],
    ['not read', { conductor: undefined }, ['earthing-conductor-not-known']],
    [
      '√(1150² × 0.4) ÷ 143 = 5.09 mm²: 6 holds by the equation',
      { conductor: { sizeMm2: 6, faultCurrentA: 1150, disconnectionS: 0.4 } },
      [],
    ],
    [
      '√(1150² × 0.4) ÷ 143 = 5.09 mm²: on PME never under the bonding, 10 mm²',
      { arrangement: 'tn-c-s', zeOhm: 0.2, conductor: { sizeMm2: 6, faultCurrentA: 1150, disconnectionS: 0.4 } },
      ['earthing-conductor-too-small'],
    ],
    ['gas not looked at', { services: [{ id: 'water', incoming: 'plastic' }] }, ['bonding-not-looked']],
  ])('%s', (_name, earthing, expected) => {
    expect(open(earthing, indoors)).toEqual(expected);
  });

  it.each<[string, Earthing['services'], readonly string[]]>([
    ['metal, not bonded', [{ id: 'oil', incoming: 'metal', bonded: 'no' }], ['bonding-missing']],
    [
      'metal, bonded with 6 mm² where 10 is asked',
      [{ id: 'oil', incoming: 'metal', bonded: 'yes', sizeMm2: 6 }],
      ['bonding-missing'],
    ],
    ['metal, bonded with 10 mm²', [{ id: 'oil', incoming: 'metal', bonded: 'yes', sizeMm2: 10 }], []],
    ['metal, size not read', [{ id: 'oil', incoming: 'metal', bonded: 'yes' }], ['bonding-not-known']],
    ['plastic where it comes in', [{ id: 'oil', incoming: 'plastic' }], []],
    ['none', [{ id: 'oil', incoming: 'not-there' }], []],
    ['not said', [{ id: 'oil' }], ['bonding-not-known']],
    [
      'metal that shows 23 kΩ brings nothing in',
      [{ id: 'structural-steel', incoming: 'metal', resistanceKOhm: 23 }],
      [],
    ],
    [
      'plastic that shows 22 kΩ brings something in all the same',
      [{ id: 'water', incoming: 'plastic', resistanceKOhm: 22, bonded: 'no' }],
      ['bonding-missing'],
    ],
  ])('a service: %s', (_name, services = [], expected) => {
    const usual = (['gas', 'water'] as const)
      .filter((id) => !services.some((each) => each.id === id))
      .map((id) => ({ id, incoming: 'plastic' as const }));
    expect(open({ services: [...usual, ...services] })).toEqual(expected);
  });
});

describe('an open PEN conductor', () => {
  const pme: Recorded = { arrangement: 'tn-c-s', zeOhm: 0.2 };
  const plan =
    (values: object): Change =>
    (survey) => {
      for (const proposal of survey.proposals) Object.assign(proposal, values);
    };

  it('has to be decided on TN-C-S outdoors or not said, and nowhere else', () => {
    expect(open(pme)).toEqual(['open-pen-undecided']);
    expect(open(pme, plan({ parking: undefined }))).toEqual(['open-pen-undecided']);
    expect(open(pme, indoors)).toEqual([]);
    expect(open({})).toEqual([]);
  });

  it.each<[string, object, readonly string[]]>([
    [
      'built in and declared, no second path, reason given',
      { openPen: 'built-in', pen: { declared: 'yes', secondEarthPath: 'no', reason: 'in the maker’s data' } },
      [],
    ],
    [
      'built in, nothing more said',
      { openPen: 'built-in' },
      ['open-pen-not-settled', 'open-pen-without-reason', 'second-earth-path-not-known'],
    ],
    [
      'a second path to earth defeats it',
      { openPen: 'built-in', pen: { declared: 'yes', secondEarthPath: 'yes', reason: 'r' } },
      ['second-earth-path'],
    ],
    [
      'a window on three phases',
      {
        openPen: 'built-in',
        phases: 3,
        pen: { declared: 'yes', detection: 'voltage-window', secondEarthPath: 'no', reason: 'r' },
      },
      ['open-pen-does-not-suit'],
    ],
    [
      'a TT island 1.9 m from PME metal',
      {
        openPen: 'tt-island',
        pen: { islandDistanceM: 1.9, islandClear: 'yes', electrodeOhm: 60, secondEarthPath: 'no', reason: 'r' },
      },
      ['open-pen-does-not-suit'],
    ],
    [
      'a TT island 2 m away, clear, 60 Ω',
      {
        openPen: 'tt-island',
        pen: { islandDistanceM: 2, islandClear: 'yes', electrodeOhm: 60, secondEarthPath: 'no', reason: 'r' },
      },
      [],
    ],
    [
      // MD after 52.52 A: 70 × (230 ÷ 52.52) ÷ 183 = 1.675 Ω
      'an electrode of 1.7 Ω where 52.52 A allow 1.675 Ω',
      { openPen: 'low-electrode', pen: { electrodeOhm: 1.7, reason: 'r' } },
      ['open-pen-does-not-suit'],
    ],
    [
      'an electrode of 1.67 Ω where 52.52 A allow 1.675 Ω',
      { openPen: 'low-electrode', pen: { electrodeOhm: 1.67, reason: 'r' } },
      [],
    ],
  ])('%s', (_name, values, expected) => {
    expect(open(pme, plan(values)).sort()).toEqual([...expected].sort());
  });
});
