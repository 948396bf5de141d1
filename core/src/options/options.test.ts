import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { readSurvey } from '../survey/opening/read';
import { nodeOf, settledSurvey, type Change } from '../testing/settled-survey';
import { chargingTime } from './charging-time';
import { drawLineup } from '../lineup/drawing';
import { lineupOf } from '../lineup/layout';
import { lineupUnder } from '../lineup/under';
import { guardTable } from './guard-table';
import { fits } from './fits';
import type { Option } from './option';
import { options } from './options';
import { whyFirst } from './order';
import { whatWouldChange } from './what-would-change';

/** 40 A of other load on a 60 A fuse that was read. */
const tight: Change = (survey) => {
  Object.assign(nodeOf(survey, 'cut-out'), { ratingA: 60 });
  survey.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 40 }];
};

function of(...changes: Change[]): Partial<Record<Option['kind'], Option>> {
  return Object.fromEntries(options(settledSurvey(...changes), gbDefault).map((option) => [option.kind, option]));
}

describe('options', () => {
  it('40 A on a 60 A fuse: full rate is 12 A over; 20 A is the largest setting; a clamp at 50 A, fail-safe 6 A, holds', () => {
    const found = of(tight);
    expect(found['full-rate']).toMatchObject({
      holds: false,
      why: 'Cut-out: 12 A over its 60 A rating after the work.',
    });
    expect(found['fixed-limit']).toMatchObject({ holds: true, title: 'Held to 20 A' });
    expect(found.managed).toMatchObject({ holds: true, title: 'Managed by clamp at 50 A' });
    expect(found.managed?.survey.proposals[0]?.limiter).toMatchObject({ clampNodeId: 'isolator', failSafeA: 6 });
    expect(found['fuse-upgrade']).toMatchObject({ holds: true, title: 'Fuse upgraded to 80 A', route: 'ask-then-fit' });
    expect(found['three-phase']).toMatchObject({ holds: true, costBand: 'high' });
    expect(found['un-loop']).toBeUndefined();
  });

  it('55 A of other load leaves 5 A: no setting holds, and a clamp only with the charger stopped when it is lost', () => {
    const found = of(tight, (survey) => (survey.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 55 }]));
    expect(found['fixed-limit']).toMatchObject({ holds: false, title: 'Held to 6 A' });
    expect(found.managed?.survey.proposals[0]?.limiter.failSafeA).toBe(0);
  });

  it('the order follows what matters most, and the first is given its reason', () => {
    const first = (priority: 'soonest' | 'cheapest' | 'fastest-charging'): string | undefined => {
      const found = options(
        settledSurvey(tight, (survey) => (survey.driver = { priority })),
        gbDefault,
      );
      expect(whyFirst(found, priority)).toContain(found[0]?.title ?? '?');
      return found[0]?.kind;
    };
    expect(first('soonest')).toBe('fixed-limit');
    expect(first('cheapest')).toBe('fixed-limit');
    expect(first('fastest-charging')).toBe('managed');
  });

  it('behind a 16 A feeder the clamp at the intake keeps the fuse and a second one the feeder: 14 A, (14 + 1) ÷ 0.98 = 15.3 A at its worst, 3.22 kW at most', () => {
    const found = of((survey) => {
      survey.loads.push({ id: 'heat', class: 'motor', currentA: 60 });
      survey.supply.nodes.push(
        { id: 'feeder', kind: 'feeder', fedFrom: 'board', ratingA: 16 },
        { id: 'shed', kind: 'board', fedFrom: 'feeder', ratingA: 40 },
      );
      for (const load of survey.loads) load.nodeId = 'board';
      for (const proposal of survey.proposals) proposal.nodeId = 'shed';
    });
    const limiter = found.managed?.survey.proposals[0]?.limiter;
    expect(limiter?.moreClamps).toEqual([{ id: 'on-feeder', nodeId: 'feeder', setPointA: 14 }]);
    // 80.52 + 15.3 = 95.8 A on 100 A: the clamp on the feeder keeps the fuse as well, and the first may stand at the fuse.
    expect(limiter?.setPointA).toBe(100);
    expect(found.managed?.charging?.powerKw).toBeCloseTo(3.22, 3);
  });

  it('a fuse nobody read is reckoned with the fallback, and holding on it is not known', () => {
    const found = of((survey) => Object.assign(nodeOf(survey, 'cut-out'), { evidence: 'moulding' }));
    expect(found['full-rate']?.holds).toBeNull();
  });

  it('an option that holds leaves nothing over, and its survey is one that can be read', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 120 }), fc.constantFrom(60, 80, 100), (currentA, ratingA) => {
        const survey = settledSurvey((s) => {
          Object.assign(nodeOf(s, 'cut-out'), { ratingA });
          s.loads = [{ id: 'ring', class: 'socket-circuit', currentA }];
        });
        for (const option of options(survey, gbDefault)) {
          expect('survey' in readSurvey(JSON.parse(JSON.stringify(option.survey)))).toBe(true);
          const found = assess(option.survey, gbDefault);
          // How a clamp is put on is the surveyor's to record, and open until then.
          if (option.kind === 'managed' || option.also === 'managed') continue;
          expect(fits(found).answer).toBe(option.holds);
          if (option.holds === true) expect(found.weakest?.headroomA ?? 0).toBeGreaterThanOrEqual(-1e-6);
        }
      }),
      { numRuns: lawRuns(25) },
    );
  });
});

describe('ways together', () => {
  const ids = (found: readonly Option[]): string[] =>
    found.filter(({ also }) => also !== undefined).map(({ id }) => id);
  const at =
    (currentA: number, ratingA: number): Change =>
    (survey) => {
      Object.assign(nodeOf(survey, 'cut-out'), { ratingA });
      survey.loads = [{ id: 'ring', class: 'socket-circuit', currentA }];
    };

  it('70 A on a 60 A fuse: over already; 80 A leaves 10 A, so the larger fuse and a limit hold together and neither alone', () => {
    const found = options(settledSurvey(at(70, 60)), gbDefault);
    const alone = Object.fromEntries(
      found.filter(({ also }) => also === undefined).map(({ kind, holds }) => [kind, holds]),
    );
    expect(alone).toMatchObject({ 'full-rate': false, 'fixed-limit': false, managed: false, 'fuse-upgrade': false });
    const held = found.find(({ id }) => id === 'fuse-upgrade+fixed-limit');
    expect(held).toMatchObject({ holds: true, title: 'Fuse upgraded to 80 A, and held to 10 A' });
    // 80 × 0.98 − 1 = 77.4: a set-point of 70 after the margin; 80 − 70 leaves a fail-safe of 10 A, so 6 A.
    const managed = found.find(({ id }) => id === 'fuse-upgrade+managed');
    expect(managed).toMatchObject({ holds: true, waitWeeks: [2, 5], costBand: 'low' });
    expect(managed?.survey.proposals[0]?.limiter).toMatchObject({ setPointA: 70, failSafeA: 6 });
    expect(managed?.whoMustAgree).toContain('the operator');
  });
  it('a looped service of 100 A with 30 A next door: un-looped and held holds, where 50 A here on 60 A', () => {
    const looped: Change = (survey) => {
      survey.intake.loop = {
        status: 'feeds-next-door',
        evidence: 'cable-traced',
        neighbours: 1,
        neighbourDemandA: 30,
        sharedRatingA: 60,
      };
    };
    const found = options(settledSurvey(at(50, 60), looped), gbDefault);
    // Together 80 A on a service of 60 A: nothing holds on it.
    expect(
      found.filter(({ also, kind }) => also === undefined && kind !== 'un-loop').every(({ holds }) => holds !== true),
    ).toBe(true);
    expect(ids(found)).toContain('un-loop+fixed-limit');
    expect(found.find(({ id }) => id === 'un-loop+fixed-limit')).toMatchObject({
      holds: true,
      title: 'Un-looped, and held to 10 A',
    });
  });
  it('are not offered where one way alone holds', () => {
    expect(ids(options(settledSurvey(tight), gbDefault))).toEqual([]);
  });
  it('held to what the feeder carries now, full rate once it is laid anew', () => {
    const shed: Change = (survey) => {
      survey.supply.nodes.push(
        {
          id: 'feeder',
          kind: 'feeder',
          fedFrom: 'board',
          ratingA: 20,
          deviceType: 'mcb',
          curve: 'B',
          cable: { type: 'armoured', sizeMm2: 4, lengthM: 10, laid: 'buried', cpc: 'core' },
        },
        { id: 'shed', kind: 'board', fedFrom: 'feeder', ratingA: 63 },
      );
      survey.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 4, nodeId: 'shed' }];
      for (const proposal of survey.proposals) proposal.nodeId = 'shed';
    };
    const found = options(settledSurvey(shed), gbDefault);
    expect(found.find(({ id }) => id === 'new-feeder')).toMatchObject({ holds: true });
    expect(found.find(({ id }) => id === 'fixed-limit+new-feeder')).toMatchObject({
      holds: true,
      title: 'Held to 16 A now, full rate once the feeder is laid anew',
      waitWeeks: [0, 0],
    });
  });
});

describe('managing by clamp', () => {
  const second: Change = (survey) => {
    const [car] = survey.proposals;
    if (car) survey.proposals.push({ ...car, id: 'second', limiter: {} });
  };
  const recorded =
    (clampNodeId: string): Change =>
    (survey) => {
      const [car] = survey.proposals;
      if (car) car.limiter = { kind: 'clamp', clampNodeId };
    };
  const managedOf = (...changes: Change[]) =>
    options(settledSurvey(tight, ...changes), gbDefault).find(({ id }) => id === 'managed');

  it('two chargers get complete settings on the same clamp, the one recorded', () => {
    const found = managedOf(second, recorded('board'));
    const limiters = found?.survey.proposals.map(({ limiter }) => limiter) ?? [];
    expect(limiters).toHaveLength(2);
    for (const limiter of limiters)
      expect(limiter).toMatchObject({ kind: 'clamp', clampNodeId: 'board', setPointA: 50, failSafeA: 6 });
    expect(found?.holds).toBe(true);
  });
  it.each(['meter', 'cut-out', 'service'])('a clamp recorded at the %s is put after the meter', (clampNodeId) => {
    expect(managedOf(recorded(clampNodeId))?.survey.proposals[0]?.limiter.clampNodeId).toBe('isolator');
  });
  it('without anything after the meter there is no place for one, and that is said', () => {
    const found = managedOf((survey) => {
      survey.supply.nodes = survey.supply.nodes.filter(({ kind }) => kind === 'service' || kind === 'cut-out');
      for (const load of survey.loads) load.nodeId = 'cut-out';
      for (const proposal of survey.proposals) proposal.nodeId = 'cut-out';
    });
    expect(found?.holds).not.toBe(true);
    expect(found?.survey.proposals[0]?.limiter.clampNodeId).toBeUndefined();
  });
  it('under a fuse that is only assumed what fits it is not known, and what passes it does not fit', () => {
    const assumed: Change = (survey) =>
      Object.assign(nodeOf(survey, 'cut-out'), { ratingA: 100, evidence: 'moulding' });
    const found = of(tight, assumed);
    // 60 A stands in: 40 + 20 A.
    expect(found['fixed-limit']).toMatchObject({ title: 'Held to 20 A', holds: null });
    expect(found.managed).toMatchObject({ holds: null });
    expect(found['full-rate']).toMatchObject({ holds: false });
    expect(found['fuse-upgrade']).toMatchObject({ title: 'Fuse upgraded to 80 A', holds: true });
  });
});

describe('what is over already', () => {
  const besides: Change = (survey) => {
    survey.supply.nodes.push({ id: 'shed', kind: 'feeder', label: 'Shed', fedFrom: 'board', ratingA: 16 });
    survey.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 20, nodeId: 'shed' }];
  };
  it('off the charger’s way is told beside every option, and makes none fail', () => {
    const found = options(settledSurvey(besides), gbDefault);
    for (const option of found)
      expect(option.already).toEqual(['Shed: 4 A over its 16 A rating already, before the work.']);
    expect(found.find(({ id }) => id === 'full-rate')).toMatchObject({ holds: true });
    // The supply is not fine for that: the route rests on it.
    const [verdict] = assess(settledSurvey(besides), gbDefault).verdicts.filter(({ id }) => id === 'nodes');
    expect(verdict).toMatchObject({ answer: false });
  });
  it('another supply is not said to fail for it, nor to want a rating', () => {
    const survey = settledSurvey((s) => {
      s.place.premises = 'small-shop-or-office';
      for (const node of s.supply.nodes) if (node.ratingA !== undefined) node.ratingA = 60;
      s.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 65 }];
    });
    const other = options(survey, gbDefault).find(({ id }) => id === 'other-supply');
    expect(other).toMatchObject({ holds: null, why: 'The other supply is not surveyed.' });
    expect(other?.already.length).toBeGreaterThan(0);
  });
  it('on its way it is told, and so is what the work adds', () => {
    const survey = settledSurvey((s) => {
      Object.assign(nodeOf(s, 'cut-out'), { ratingA: 60 });
      s.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 65 }];
    });
    const found = assess(survey, gbDefault)
      .findings.filter(({ subjectId }) => subjectId === 'cut-out')
      .map(({ id, title }) => [id, title]);
    expect(found).toEqual([
      ['node-over-already', 'Cut-out: 5 A over its 60 A rating already, before the work.'],
      ['node-over-rating', 'Cut-out: 37 A over its 60 A rating after the work.'],
    ]);
    expect(of((s) => Object.assign(s, survey))['full-rate']).toMatchObject({ holds: false });
  });
  it('by what is known of it is over whatever is missing', () => {
    const survey = settledSurvey((s) => {
      Object.assign(nodeOf(s, 'cut-out'), { ratingA: 60 });
      s.loads = [
        { id: 'ring', class: 'socket-circuit', currentA: 40 },
        { id: 'pump', class: 'motor', label: 'Pump' },
      ];
    });
    const [car] = survey.proposals;
    if (!car) throw new Error('no charger');
    const { modes } = guardTable(survey, assess(survey, gbDefault), car, gbDefault);
    const holds = Object.fromEntries(modes.map(({ id, holds: answer }) => [id, answer]));
    // 40 + 32 A pass 60 A without the pump; 40 + 20 A may or may not with it.
    expect(holds).toMatchObject({ 'rate-32': false, 'rate-25': false, 'rate-20': null });
    expect(of((s) => Object.assign(s, survey))['full-rate']).toMatchObject({ holds: false });
    expect(of((s) => Object.assign(s, survey))['fixed-limit']).toMatchObject({ title: 'Held to 20 A', holds: null });
  });
});

describe('a looped service under management', () => {
  it('keeps the neighbour’s demand: 40 + 30 A next door, a set-point of 60 A, 100 A at most: 60 + 30 = 90 A', () => {
    const shared = (sharedRatingA: number) =>
      assess(
        settledSurvey((survey) => {
          survey.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 40 }];
          survey.intake.loop = {
            status: 'feeds-next-door',
            evidence: 'cable-traced',
            neighbours: 1,
            neighbourDemandA: 30,
            sharedRatingA,
          };
          const [car] = survey.proposals;
          if (car)
            car.limiter = {
              kind: 'clamp',
              clampNodeId: 'isolator',
              setPointA: 60,
              failSafeA: 6,
              fit: { conductor: 'line', arrowAlong: 'yes', insideSealed: 'no' },
            };
        }),
        gbDefault,
      );
    const service = (made: ReturnType<typeof shared>) => made.nodes.find(({ kind }) => kind === 'service');
    expect(service(shared(100))?.managed?.L1?.value).toBe(90);
    expect(service(shared(100))?.lost?.L1).toBe(76);
    // At its worst the clamp lets in (60 + 1) ÷ 0.98 = 62.2 A: 92.2 A.
    expect(service(shared(100))?.guard).toMatchObject({ holds: true });
    expect(service(shared(80))?.guard).toMatchObject({ holds: false });
    expect(shared(80).demand.limiter.holds).toBe(false);
  });
});

describe('what would change the answer covers', () => {
  const ids = (...changes: Change[]): string[] =>
    whatWouldChange(settledSurvey(...changes), gbDefault).map(({ id }) => id);
  const node =
    (kind: 'split-block' | 'rcd' | 'device', more: object = {}): Change =>
    (survey) => {
      survey.supply.nodes.push({ id: 'between', kind, fedFrom: 'isolator', ...more });
      nodeOf(survey, 'board').fedFrom = 'between';
    };
  it.each<[string, Change, string]>([
    ['a split block whose rating nobody read', node('split-block'), 'check-split-block between'],
    ['a device whose rating nobody read', node('device'), 'node-rating-not-known between'],
    [
      'a load without a size',
      (s) => s.loads.push({ id: 'oven', class: 'cooking', controlUnitsWithSocket: 0 }),
      'load-without-size oven',
    ],
    [
      'the line of a charger',
      (s) => {
        s.supply.phases = 3;
        s.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 90, phase: 'L1' }];
        s.proposals.forEach((each) => Object.assign(each, { phases: 1 }));
      },
      'charger-phase-not-known car',
    ],
    ['a board that may be of 32 A', (s) => delete nodeOf(s, 'board').ratingA, 'check-main-switch-rating board'],
    ['an intake that could not be seen', (s) => (s.intake.look = 'could-not-see'), 'condition-not-looked cut-out'],
  ])('%s', (_name, change, id) => {
    expect(ids(change).some((each) => each.startsWith(id.split(' ')[0] ?? '?') || each === id)).toBe(true);
  });
});

describe('why the first is first', () => {
  const option = (more: Partial<Option>): Option => ({
    id: 'full-rate',
    kind: 'full-rate',
    title: 'One',
    holds: true,
    why: '',
    grounds: [],
    already: [],
    weakest: null,
    route: 'fit-then-notify',
    charging: { powerKw: 7.4, leastKw: 7.4, neededKwh: null, hours: null, enough: null },
    whoMustAgree: '',
    waitWeeks: [0, 0],
    costBand: 'none',
    costWords: '',
    cautions: [],
    survey: settledSurvey(),
    ...more,
  });
  const slow = { powerKw: 1.4, leastKw: 1.4, neededKwh: 11, hours: 8, enough: false };
  it.each<[string, readonly Option[], Parameters<typeof whyFirst>[1], string]>([
    ['alone', [option({}), option({ holds: null })], 'soonest', '“One” is first because it alone holds at every node.'],
    [
      'truly soonest',
      [option({}), option({ waitWeeks: [2, 5] })],
      'soonest',
      '“One” is first because none that holds at every node has a shorter wait.',
    ],
    [
      'behind in the wait, ahead in what it charges',
      [option({ waitWeeks: [2, 5] }), option({ title: 'Two', charging: slow })],
      'soonest',
      '“One” is first of those that charge enough in the time there is; Two has the shortest wait and does not.',
    ],
    [
      'slow',
      [option({ charging: slow }), option({ charging: slow })],
      undefined,
      '“One” is first: it holds at every node and charges, though slowly, at 1.4 kW, without a wait; say what matters most to change the order.',
    ],
    ['none holds', [option({ holds: false })], undefined, 'None of them holds as things stand.'],
  ])('%s', (_name, found, priority, words) => {
    expect(whyFirst(found, priority)).toBe(words);
  });
});

describe('charging time, by hand', () => {
  const at = (mostA: number, lines: 1 | 3 = 1, leastA = mostA) => ({ mostA, leastA, lines });

  it.each<[string, number, 1 | 3, number, number]>([
    ['32 A: 7.36 kW; 40 miles × 0.28 = 11.2 kWh in 1.52 h', 32, 1, 7.36, 1.522],
    ['16 A: 3.68 kW; 11.2 kWh in 3.04 h', 16, 1, 3.68, 3.043],
    ['3 × 32 A: 22.08 kW; 11.2 kWh in 0.51 h', 32, 3, 22.08, 0.507],
  ])('%s', (_working, amperes, phases, kilowatts, hours) => {
    const made = chargingTime({ milesPerDay: 40, hoursThere: 3 }, at(amperes, phases), gbDefault);
    expect(made.powerKw).toBeCloseTo(kilowatts, 3);
    expect(made.hours).toBeCloseTo(hours, 3);
    expect(made.enough).toBe(hours <= 3);
  });
  it.each([
    ['40 miles are 11.2 kWh: 1.52 h at 32 A, within five cheap hours', 32, 0.5, 5.5, 12, true],
    ['at 6 A 8.1 h, more than five cheap ones', 6, 0.5, 5.5, 12, false],
    ['over midnight from 23 to 7 there are eight: 8.1 h are too many', 6, 23, 7, 12, false],
    ['it stands there for less than the cheap hours: 1.52 h in one', 32, 23, 7, 1, false],
  ] as const)('cheap hours: %s', (_name, amperes, cheapFromH, cheapToH, hoursThere, enough) => {
    const driver = { milesPerDay: 40, cheapFromH, cheapToH, hoursThere };
    expect(chargingTime(driver, at(amperes), gbDefault).enough).toBe(enough);
  });
  it('from 0 to 24 the hours are a day', () => {
    const driver = { milesPerDay: 100, cheapFromH: 0, cheapToH: 24, hoursThere: 10 };
    // 28 kWh at 7.36 kW take 3.8 h.
    expect(chargingTime(driver, at(32), gbDefault).enough).toBe(true);
  });
  it('below 6 A it is none', () => {
    expect(chargingTime({ milesPerDay: 10, hoursThere: 12 }, at(5), gbDefault)).toMatchObject({
      powerKw: 0,
      hours: null,
      enough: false,
    });
  });
  it('managed, between its most and what the others leave, only a trial can tell', () => {
    const driver = { milesPerDay: 100, hoursThere: 10 };
    // 28 kWh: at 32 A 3.8 h, at 10 A 12.2 h.
    expect(chargingTime(driver, at(32, 1, 10), gbDefault).enough).toBeNull();
    expect(chargingTime(driver, at(32, 1, 10), gbDefault, 3).enough).toBe(true);
    expect(chargingTime(driver, at(32, 1, 10), gbDefault, 40).enough).toBe(false);
    expect(chargingTime(driver, at(32, 1, 16), gbDefault).enough).toBe(true);
  });
  it('a three-phase charger on a single-phase supply is 7.36 kW', () => {
    const found = of((survey) => survey.proposals.forEach((each) => (each.phases = 3)));
    expect(found['full-rate']?.charging?.powerKw).toBeCloseTo(7.36, 2);
  });
  it('managed with 40 A of others under a set-point of 50 A has 10 A of them when everything runs: 2.3 kW', () => {
    expect(of(tight).managed?.charging).toMatchObject({ powerKw: 7.36, leastKw: 2.3 });
  });
  it('the vehicle’s own charger limits it, and without a need there is no time', () => {
    expect(chargingTime({ onboardA: 16 }, at(32), gbDefault)).toEqual({
      powerKw: 3.68,
      leastKw: 3.68,
      neededKwh: null,
      hours: null,
      enough: null,
    });
  });
});

describe('the guard table', () => {
  it('holds each setting against every node: 40 A and the charger against 60 and 100 A', () => {
    const survey = settledSurvey(tight);
    const [charger] = survey.proposals;
    if (!charger) throw new Error('no charger');
    const table = guardTable(survey, assess(survey, gbDefault), charger, gbDefault);
    expect(table.nodes.map(({ id }) => id)).toEqual(['cut-out', 'meter', 'isolator', 'board']);
    const left = Object.fromEntries(
      table.modes.map(({ name, cells, holds }) => [name, [cells[0]?.leftA, cells[3]?.leftA, holds]]),
    );
    expect(left['Full, 32 A']).toEqual([-12, 28, false]);
    expect(left['20 A']).toEqual([0, 40, true]);
    expect(left['25 A']).toEqual([-5, 35, false]);
  });
});

describe('the line-up with the charger run in one way', () => {
  it('shows what then flows at each node on the way, which hold and which is weakest', () => {
    const survey = settledSurvey(tight);
    const assessment = assess(survey, gbDefault);
    const [charger] = survey.proposals;
    const { nodes, modes } = guardTable(
      survey,
      assessment,
      charger ?? { id: '', kind: 'vehicle-charger', limiter: {} },
      gbDefault,
    );
    const under = (id: string) => {
      const mode = modes.find((each) => each.id === id);
      const flows = nodes.map((node, at) => ({ id: node.id, flowsA: [], leftA: null, ...mode?.cells[at] }));
      return new Map(lineupUnder(lineupOf(survey, assessment), flows).rows.map((row) => [row.id, row]));
    };
    // 40 + 32 = 72 A on 60; 40 + 16 = 56 A.
    expect(under('rate-32').get('cut-out')).toMatchObject({ afterA: 72, over: true, held: false, weakest: true });
    expect(under('rate-32').get('board')).toMatchObject({ afterA: 72, held: true, weakest: false });
    expect(under('rate-16').get('cut-out')).toMatchObject({ afterA: 56, held: true });
    expect(under('rate-16').get('service')?.held).toBeUndefined();
    const cell = modes.find(({ id }) => id === 'rate-32')?.cells[0];
    expect(cell?.says).toBe('40 A of everything else + 32 A = 72 A on 60 A');
    // A tick and a cross are drawn, and nothing where nothing is asked.
    const marks = (id: string) =>
      drawLineup({ ...lineupOf(survey, assessment), rows: [...under(id).values()] }, 800).rows.flatMap(
        (row) => row.marks,
      ).length;
    const bare = drawLineup(lineupOf(survey, assessment), 800).rows.flatMap((row) => row.marks).length;
    expect(marks('rate-16')).toBeGreaterThan(bare);
  });
});

describe('what would change the answer', () => {
  const ids = (...changes: Change[]): string[] =>
    whatWouldChange(settledSurvey(...changes), gbDefault).map(({ id, changes: what }) => `${id}: ${what.join(', ')}`);

  it('is nothing where everything is known', () => {
    expect(ids()).toEqual([]);
  });
  it('a fuse nobody read decides whether full rate holds and the route: 52.52 A pass 60, and 20.52 + 32 pass any', () => {
    const busy: Change = (survey) => survey.loads.push({ id: 'heat', class: 'motor', currentA: 30 });
    const unread: Change = (survey) => Object.assign(nodeOf(survey, 'cut-out'), { evidence: 'moulding' });
    const [fuse] = whatWouldChange(settledSurvey(busy, unread), gbDefault);
    // 20.52 + 30 + 32 = 82.52 A
    expect(fuse?.outcomes.map(({ answer, holds }) => [answer, holds])).toEqual([
      ['40 A', false],
      ['45 A', false],
      ['60 A', false],
      ['80 A', false],
      ['100 A', true],
    ]);
  });
  it('loop and condition decide the route alone, after what decides whether it holds', () => {
    const open: Change = (survey) => {
      survey.intake.loop = { status: 'unknown' };
      delete survey.intake.look;
      for (const proposal of survey.proposals) delete proposal.canExport;
    };
    // Each alone moves nothing while the others still ask first.
    expect(ids(open)).toEqual([]);
    expect(ids((survey) => (survey.intake.loop = { status: 'unknown' }))).toEqual(['loop-not-known: route']);
  });
});
