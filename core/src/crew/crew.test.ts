import { assess } from '../assess';
import { EquipmentProfile } from '../firm/equipment';
import { gbDefault } from '../rules/gb-default';
import { settledSurvey, WELL_PUT_ON, type Change } from '../testing/settled-survey';
import { crewSheet, type CrewFacts } from './compose';
import type { CrewSectionId, CrewSheet } from './sheet';

const profile: EquipmentProfile = {
  ...new EquipmentProfile(),
  id: 'p',
  name: 'P',
  largestMm2: 10,
  torqueNm: 2.5,
  stripMm: 12,
  settingMade: 'Dial behind the cover',
};
const chosen: Change = (survey) => {
  survey.works = {
    travelMin: 20,
    promised: 'Lead hangs on the left',
    contact: 'Neighbour at number 3',
    drillings: [{ id: 'd', through: 'stone', thicknessMm: 450 }],
  };
  for (const each of survey.proposals) each.profileId = 'p';
};
function sheet(facts: Partial<CrewFacts>, ...changes: Change[]): CrewSheet {
  const survey = settledSurvey(chosen, ...changes);
  return crewSheet({
    survey,
    assessment: assess(survey, gbDefault),
    rules: gbDefault,
    profiles: [profile],
    terms: { wastePercent: 10, endM: 0.5 },
    fittedOn: '2026-12-10',
    ...facts,
  });
}
const told = (made: CrewSheet, id: CrewSectionId): string[] =>
  (made.sections.find((each) => each.id === id)?.lines ?? []).map(({ text, value }) =>
    value === undefined ? text : `${text}: ${value}`,
  );

describe('the crew sheet', () => {
  const made = sheet({});
  it('says where, when and whom to ring', () => {
    expect(told(made, 'visit')).toEqual([
      'Address: 1 Test Lane, ZZ1 1TL',
      'Day: 2026-12-10',
      'Customer: A. Tester',
      'Contact: Neighbour at number 3',
      'Ring the customer: 01632 960 000',
      'Operator: Fit, then notify',
    ]);
  });
  it('what to load, each item once: 11 m along the wall and 1 m at its ends are 12 m', () => {
    expect(told(made, 'load')).toEqual(
      expect.arrayContaining(['Flat twin and earth, 6 mm²: 12 m', 'B40: 1 ×'.replace('B40', 'MCB B40')]),
    );
  });
  it('device, cable and terminals from the survey and the profile, torque included', () => {
    expect(told(made, 'connect')).toEqual([
      'Device: MCB B40',
      'Cable: 6 mm², flat twin',
      'Terminals: up to 10 mm², strip 12 mm, 2.5 N·m',
    ]);
  });
  it('a torque nobody recorded is left to the maker, on a line of its own beside what is known', () => {
    const { torqueNm: _unknown, ...rest } = profile;
    const { sections } = sheet({ profiles: [{ ...rest, preparation: 'No ferrules on solid cores' }] });
    const lines = sections.find(({ id }) => id === 'connect')?.lines ?? [];
    expect(lines.slice(-2)).toEqual([
      {
        id: 'terminals-car',
        text: 'Terminals',
        value: 'up to 10 mm², strip 12 mm',
        note: 'No ferrules on solid cores',
      },
      { id: 'torque-car', text: 'Torque', value: 'as its maker’s instructions say' },
    ]);
  });
  it('tests with the limits they are judged by', () => {
    expect(told(made, 'tests').length).toBeGreaterThan(4);
  });
  it('what was promised, and where the route is drilled', () => {
    expect(told(made, 'promised')).toEqual(['Promised: Lead hangs on the left']);
    expect(told(made, 'route')).toEqual(['Section 1: clipped: 10 m', 'Drill wall 1: stone, 450 mm']);
  });
  it('every line has an id of its own, and planned figures say where they stand', () => {
    const lines = made.sections.flatMap((section) => section.lines);
    expect(new Set(lines.map(({ id }) => id)).size).toBe(lines.length);
    for (const { id } of lines) expect(id).toMatch(/^[A-Za-z0-9_-]{1,64}$/);
    expect(lines.find(({ id }) => id === 'way-wall')?.field).toEqual({
      path: ['proposals', 'car', 'circuit', 'segments', 'wall', 'lengthM'],
      unit: 'm',
      value: 10,
    });
  });
});

describe('cautions', () => {
  const cautions = (works: object, ...changes: Change[]): string =>
    told(
      sheet({}, (s) => void Object.assign(s.works ?? {}, works), ...changes),
      'cautions',
    ).join('\n');
  it('what nobody looked for is not known to be safe', () => {
    expect(cautions({})).toMatch(/Asbestos: not recorded/);
    expect(cautions({})).toMatch(/Gas pipe beside the cable route: not recorded/);
  });
  it('what was seen is said as what to do, and what is not there is not said', () => {
    const found = cautions({ asbestos: 'yes', gasBeside: 'no' });
    expect(found).toMatch(/do not drill, cut or lift it/);
    expect(found).not.toMatch(/gas/);
  });
  it('a trench asks for a search of the ground', () => {
    const buried: Change = (s) => {
      for (const segment of s.proposals[0]?.circuit?.segments ?? []) segment.laid = 'buried';
    };
    expect(cautions({}, buried)).toMatch(/Ground: not searched/);
    expect(cautions({ groundSearched: 'yes' }, buried)).toMatch(/was searched/);
    expect(cautions({})).not.toMatch(/ground/);
  });
});

describe('settings', () => {
  it('a limit with its step on the dial, and how it is made', () => {
    const found = sheet(
      {},
      (s) =>
        void Object.assign(s.proposals[0] ?? {}, {
          stepsA: [10, 13, 16, 20, 25, 32],
          limiter: { kind: 'fixed', fixedA: 16 },
        }),
    );
    expect(told(found, 'settings')).toEqual(['Limit: 16 A, step 3 of 6']);
    expect(found.sections.find(({ id }) => id === 'settings')?.lines[0]?.note).toBe(
      'Dial behind the cover. Seal or lock it.',
    );
  });
  it('set-points, fail-safe and phase order of a clamp', () => {
    const found = sheet(
      {},
      (s) =>
        void Object.assign(s.proposals[0] ?? {}, {
          limiter: {
            kind: 'clamp',
            setPointA: 90,
            failSafeA: 0,
            clampNodeId: 'isolator',
            fit: { ...WELL_PUT_ON, phase: 'all' },
          },
        }),
    );
    expect(told(found, 'settings')).toEqual([
      'Clamp: set-point 90 A',
      'Fail-safe: stops',
      'Phase order: L1, L2, L3: the same at the clamps as at the terminals',
    ]);
  });
  it('a conductor larger than the terminals take is a caution', () => {
    const found = sheet({}, (s) => void Object.assign(s.proposals[0]?.circuit ?? {}, { sizeMm2: 16 }));
    expect(told(found, 'connect')).toContain('The conductor is larger than its terminals take: 16 mm², 10 mm² at most');
  });
  it('an old cable is looked along again; what goes is taken out', () => {
    const found = sheet({}, (s) => {
      s.supply.nodes.push({
        id: 'old',
        kind: 'device',
        fedFrom: 'board',
        ratingA: 32,
        curve: 'B',
        cable: { type: 'flat-twin', sizeMm2: 6, lengthM: 9, laid: 'clipped' },
      });
      s.loads.push({ id: 'was', class: 'ev-charging', currentA: 32, label: 'old charger', fate: 'replaced' });
      Object.assign(s.proposals[0] ?? {}, { nodeId: 'old', reuse: { used: true, look: 'sound' } });
    });
    expect(told(found, 'route')[0]).toBe('The old cable is used again: sound all the way');
    expect(told(found, 'changes')).toEqual(['Take out old charger']);
  });
});
