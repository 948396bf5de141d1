import { assess } from '../assess';
import type { Assessment } from '../assessment';
import { gbDefault } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Measurement } from '../survey/measurement';
import type { Survey } from '../survey/survey';

/** A home of 60.7 A by circuits, 24.2 A by appliances; behind 100 A, one board, a 16 A charger. */
function home(...changes: ((survey: Survey) => void)[]): Assessment {
  const survey = blankSurvey();
  Object.assign(survey.supply.nodes[1] ?? {}, { ratingA: 100, evidence: 'label' });
  survey.loads = [
    { id: 'water', class: 'thermostatic-water-heating', currentA: 10 },
    { id: 'ring-1', class: 'socket-circuit', currentA: 32 },
    { id: 'ring-2', class: 'socket-circuit', currentA: 32 },
    { id: 'kettle', class: 'socket-appliance', currentA: 13 },
    { id: 'washer', class: 'socket-appliance', currentA: 9 },
  ];
  survey.proposals = [{ id: 'car', kind: 'vehicle-charger', ratedA: 16, limiter: {} }];
  for (const change of changes) change(survey);
  return assess(survey, gbDefault);
}

const log = (more: Partial<Measurement> = {}): Measurement => ({
  id: 'log',
  kind: 'logger',
  phases: [{ id: 'L1', peakA: 44, mean30A: 21, onceAYearA: 27.5, baseA: 1.2 }],
  days: 30,
  winterDays: 30,
  coveragePercent: 99,
  ...more,
});

const declare =
  (basis: 'circuits' | 'appliances' | 'measurement', reason?: string) =>
  (survey: Survey): void => {
    survey.declaration = { basis, ...(reason === undefined ? {} : { reason }) };
  };
const measure =
  (...measurements: Measurement[]) =>
  (survey: Survey): void => {
    survey.measurements = measurements;
  };
const ids = ({ findings }: Assessment): string[] => findings.map(({ id }) => id);

describe('maximum demand three ways', () => {
  it('stand side by side: 10 + 32 + 12.8 = 54.8; 10 + 13 + 3.6 = 26.6; the greater of 21 and 27.5', () => {
    const { demand } = home(measure(log()));
    expect(demand.byCircuits.L1?.value).toBeCloseTo(54.8, 9);
    expect(demand.byAppliances.L1?.value).toBeCloseTo(26.6, 9);
    expect(demand.byMeasurement.L1?.value).toBe(27.5);
    expect(demand.everythingOn.L1?.value).toBe(74);
    expect(demand.baseLoad.L1?.value).toBe(1.2);
    expect(demand.basis).toBe('circuits');
  });

  it('break down by class into parts that add up', () => {
    const parts = home().demand.comparison.L1 ?? [];
    expect(parts.map(({ name, circuitsA, appliancesA }) => [name, circuitsA, appliancesA])).toEqual([
      ['Thermostatic water heating', 10, 10],
      ['Socket circuits', 44.8, 0],
      ['Socket appliances', 0, 16.6],
    ]);
    const sum = (pick: (part: (typeof parts)[number]) => number): number =>
      parts.reduce((total, part) => total + pick(part), 0);
    expect(sum(({ circuitsA }) => circuitsA)).toBeCloseTo(54.8, 9);
    expect(sum(({ appliancesA }) => appliancesA)).toBeCloseTo(26.6, 9);
  });
});

describe('declaring by measurement', () => {
  it('takes what was measured, and new equipment on top in full: 27.5 + 16 = 43.5 of 100', () => {
    const made = home(measure(log()), declare('measurement', 'A month of minutes in January.'));
    expect(made.demand.basis).toBe('measurement');
    expect(made.demand.before.L1?.value).toBe(27.5);
    expect(made.demand.afterUnmanaged.L1?.value).toBe(43.5);
    expect(made.demand.headroom.L1?.value).toBe(56.5);
    // The chain carries all of it; nothing on it is reckoned from the lists any more.
    for (const { id, before } of made.nodes) expect([id, before.L1?.value]).toEqual([id, 27.5]);
  });

  it('reckons one board alone from its list', () => {
    const made = home(measure(log()), declare('measurement', 'Logged.'), (survey) => {
      survey.supply.nodes.push({ id: 'f', kind: 'feeder', fedFrom: 'board' });
      survey.loads = survey.loads.map((load) =>
        load.id === 'water' ? { ...load, nodeId: 'f' } : { ...load, nodeId: 'board' },
      );
    });
    expect(made.nodes.find(({ id }) => id === 'board')?.before.L1?.value).toBe(27.5);
    expect(made.nodes.find(({ id }) => id === 'f')?.before.L1?.value).toBe(10);
  });

  it.each<[string, Measurement[], string | undefined, string[]]>([
    ['nothing logged', [], 'x', ['measurement-not-sufficient']],
    ['six days', [log({ days: 6 })], 'x', ['measurement-not-sufficient']],
    ['full of holes', [log({ coveragePercent: 80 })], 'x', ['measurement-not-sufficient']],
    ['no reason', [log()], undefined, ['declaration-without-reason']],
    [
      'a spot reading alone',
      [{ id: 's', kind: 'spot', phases: [{ id: 'L1', peakA: 12 }] }],
      'x',
      ['measurement-not-sufficient'],
    ],
  ])('is refused with %s; the circuits stand', (_what, measurements, reason, expected) => {
    const made = home(measure(...measurements), declare('measurement', reason));
    expect(made.demand.basis).toBe('circuits');
    expect(made.demand.before.L1?.value).toBeCloseTo(54.8, 9);
    expect(ids(made)).toEqual(expect.arrayContaining(expected));
  });

  it.each<[string, Partial<Measurement>, string]>([
    ['under 28 days', { days: 12 }, 'log-short'],
    ['half-hourly', { kind: 'half-hourly' }, 'half-hourly-hides-peaks'],
  ])('is warned of: %s', (_what, more, id) => {
    expect(ids(home(measure(log(more)), declare('measurement', 'x')))).toContain(id);
  });

  it('is warned of a log of summer in a home heated by electricity, and of no other', () => {
    const summer = measure(log({ winterDays: 0 }));
    const heated = (survey: Survey): void => {
      survey.loads.push({ id: 'heat', class: 'storage-heating', currentA: 10 });
    };
    expect(ids(home(summer))).not.toContain('log-misses-heating-season');
    expect(ids(home(summer, heated))).toContain('log-misses-heating-season');
    expect(ids(home(measure(log()), heated))).not.toContain('log-misses-heating-season');
  });

  it('knows its phases: a phase nobody logged is no basis', () => {
    const made = home(measure(log()), declare('measurement', 'x'), (survey) => {
      survey.supply.phases = 3;
    });
    expect(made.demand.basis).toBe('circuits');
    expect(made.demand.byMeasurement.L2?.why).toBe('L2 and L3 were not logged.');
  });
});

describe('a declaration below what was seen', () => {
  it.each<[string, Measurement, number]>([
    ['a logged half hour', log({ phases: [{ id: 'L1', peakA: 60, mean30A: 40 }] }), 40],
    ['a spot reading', { id: 's', kind: 'spot', phases: [{ id: 'L1', peakA: 48 }] }, 48],
    ['a full-load test', { id: 't', kind: 'full-load-test', note: 'all', phases: [{ id: 'L1', peakA: 51 }] }, 51],
  ])('is refused: %s stands in its place', (_what, measurement, amperes) => {
    const made = home(measure(measurement), declare('appliances', 'Listed with the customer.'));
    expect(made.demand.basis).toBe('appliances');
    expect(made.demand.before.L1?.value).toBe(amperes);
    expect(made.demand.afterUnmanaged.L1?.value).toBe(amperes + 16);
    expect(ids(made)).toContain('declared-below-measured');
  });

  it('is none where more is declared than was seen', () => {
    const made = home(measure(log()), declare('circuits'));
    expect(made.demand.before.L1?.value).toBeCloseTo(54.8, 9);
    expect(ids(made)).not.toContain('declared-below-measured');
  });
});

describe('three phases', () => {
  it('show how uneven they are and which takes least: 30, 12 and 6 A; the mean is 16, the fullest 87.5 % above it', () => {
    const made = home((survey) => {
      survey.supply.phases = 3;
      survey.loads = [
        { id: 'a', class: 'motor', currentA: 30, phase: 'L1' },
        { id: 'b', class: 'motor', currentA: 12, phase: 'L2' },
        { id: 'c', class: 'motor', currentA: 6, phase: 'L3' },
      ];
    });
    expect(made.demand.unbalancePercent).toBeCloseTo(87.5, 9);
    expect(made.demand.emptiestPhase).toBe('L3');
    expect(home().demand.unbalancePercent).toBeNull();
  });
});
