/** Cases of judgement, each worked by hand: what the engine knows has to reach the answer. */
import { assess } from '../assess';
import type { Assessment } from '../assessment';
import { gbDefault } from '../rules/gb-default';
import type { Load } from '../survey/load';
import type { ClampFit, LimiterTest, Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeOf, settledSurvey, WELL_PUT_ON, type Change } from '../testing/settled-survey';
import type { VerdictId } from './verdict-ids';

const of = (...changes: Change[]): Assessment => assess(settledSurvey(...changes), gbDefault);
const verdict = ({ verdicts }: Assessment, id: VerdictId): boolean | null | undefined =>
  verdicts.find((each) => each.id === id)?.answer;
const ids = ({ findings }: Assessment): string[] => findings.map(({ id }) => id);

function car(survey: Survey): Proposal {
  const [found] = survey.proposals;
  if (!found) throw new Error('no charger');
  return found;
}

const onCar =
  (values: Partial<Proposal>): Change =>
  (survey) => {
    Object.assign(car(survey), values);
  };
const load = (id: string, values: Partial<Load>): Load => ({ id, class: 'heating-and-power', ...values });

/** A kiln counts in full: 20.52 A and its 50 A make 70.52 A; with 32 A more 102.52 A, over the 100 A fuse unless a clamp holds it to 90 A. */
const kiln: Change = (survey) => {
  survey.loads.push({ id: 'kiln', class: 'hot-tub-sauna-kiln-welder', currentA: 50 });
};

const clamp =
  (fit: Partial<ClampFit> = {}, more: Partial<Proposal> = {}, test?: LimiterTest): Change =>
  (survey) => {
    Object.assign(car(survey), {
      limiter: {
        kind: 'clamp',
        clampNodeId: 'isolator',
        setPointA: 90,
        failSafeA: 6,
        fit: { ...WELL_PUT_ON, seesExport: 'no', ...fit },
        ...(test ? { test } : {}),
      },
      clampLinks: ['wired'],
      failSafesA: [0, 6],
      stepsA: [6, 10, 16, 32],
      dataLink: { clamp: 'wired', network: 'wired', lengthM: 10 },
      ...more,
    });
  };

/** Known load of 12 A: the reading rises 12. Held at 89 A with the charger down to 10; lead pulled, 6 A. */
const PASSED: LimiterTest = {
  knownLoadA: 12,
  readingRoseA: 12,
  heldAtA: 89,
  chargerThenA: 10,
  pulledA: 6,
  setPointSetA: 90,
  failSafeSetA: 6,
};

describe('the settled survey is Fit, then notify', () => {
  it('with everything met', () => {
    const found = of();
    expect(found.route.way).toBe('fit-then-notify');
    expect(found.verdicts.filter(({ answer }) => answer !== true)).toEqual([]);
    expect(found.questions.filter(({ taken }) => taken === undefined)).toEqual([]);
  });
});

describe('the limiter', () => {
  it('will keep the supply within its rating, put on and set like this; commissioning confirms it', () => {
    const before = of(kiln, clamp());
    expect(before.demand.limiter).toMatchObject({ holds: true, commissioned: 'not-begun' });
    expect(before.demand.limiter.why).toContain('if it is put on and set like this');
    expect(of(kiln, clamp({}, {}, PASSED)).demand.limiter).toMatchObject({ holds: true, commissioned: 'passed' });
  });

  it.each<[string, Partial<ClampFit>]>([
    ['the arrow is against the current', { arrowAlong: 'no' }],
    ['it is on the neutral with the arrow along', { conductor: 'neutral', arrowAlong: 'yes' }],
    ['it sits inside sealed equipment', { insideSealed: 'yes' }],
    ['power passes back and it cannot tell which way', { seesExport: 'yes', signedReading: 'no' }],
  ])('fails where %s', (_name, fit) => {
    const roof: Change = (survey) => {
      if (fit.seesExport === 'yes') survey.generation = [{ id: 'roof', kind: 'pv', ratedA: 10, phases: 1 }];
    };
    const found = of(kiln, clamp(fit), roof);
    expect(found.demand.limiter.holds).toBe(false);
    expect(found.route.way).not.toBe('fit-then-notify');
  });

  it.each<[string, Partial<ClampFit>]>([
    ['the arrow', { arrowAlong: 'unknown' }],
    ['whether it is sealed in', { insideSealed: 'unknown' }],
  ])('is not known while %s is not', (_name, fit) => {
    expect(of(kiln, clamp(fit)).demand.limiter.holds).toBeNull();
  });

  it('works on the neutral with its arrow against the current, as an electrician turns it', () => {
    expect(of(kiln, clamp({ conductor: 'neutral', arrowAlong: 'no' })).demand.limiter.holds).toBe(true);
  });

  it('fails on another line than the charger’s', () => {
    const three: Change = (survey) => {
      survey.supply.phases = 3;
      for (const each of survey.loads) each.phase = 'L1';
      car(survey).phase = 'L1';
    };
    expect(of(three, kiln, clamp({ phase: 'L2' })).demand.limiter.holds).toBe(false);
  });

  it.each<[string, Partial<LimiterTest>]>([
    ['the reading fell', { readingRoseA: -12 }],
    ['the charger gave no way', { chargerThenA: 32, heldAtA: 110 }],
    ['the lead was pulled and the current stayed', { pulledA: 32 }],
    ['it is set above what was reckoned with', { setPointSetA: 100 }],
    ['its fail-safe is set above what was reckoned with', { failSafeSetA: 16 }],
  ])('fails where on commissioning %s', (_name, seen) => {
    const found = of(kiln, clamp({}, {}, { ...PASSED, ...seen }));
    expect(found.demand.limiter).toMatchObject({ holds: false, commissioned: 'failed' });
    expect(found.route.way).not.toBe('fit-then-notify');
  });

  it.each<[string, Partial<Proposal>]>([
    ['takes no clamp', { clampLinks: [] }],
    ['has not that fail-safe', { failSafesA: [10, 16] }],
  ])('fails where the equipment %s', (_name, data) => {
    expect(of(kiln, clamp({}, data)).demand.limiter.holds).toBe(false);
  });

  it('fails at a fixed setting the equipment has not, and is OK at one it has', () => {
    const fixed = (stepsA: number[]) => of(onCar({ limiter: { kind: 'fixed', fixedA: 13 }, stepsA })).demand.limiter;
    expect(fixed([6, 10, 16, 32]).holds).toBe(false);
    expect(fixed([6, 10, 13, 16, 32]).holds).toBe(true);
  });

  it('a set-point whose worst reading passes the rating is not within it', () => {
    // 2 % low and a step of 1 A: 98 A may be (98 + 1)/0.98 = 101.0 A; 96 A at most 99.0 A.
    const setTo = (setPointA: number) =>
      of(kiln, clamp(), (survey) => Object.assign(car(survey).limiter, { setPointA }));
    expect(setTo(98).demand.limiter.holds).toBe(false);
    expect(setTo(96).demand.limiter.holds).toBe(true);
  });

  it('is not known while a rating on the way is unread', () => {
    const found = of(kiln, clamp(), (survey) => {
      delete nodeOf(survey, 'meter').ratingA;
    });
    expect(found.demand.limiter.holds).toBeNull();
    expect(verdict(found, 'nodes')).not.toBe(true);
  });

  it('a heat pump without such an input counts in full whatever limit is written on it', () => {
    const pump = onCar({
      kind: 'heat-pump',
      ratedA: 20,
      limiter: { kind: 'fixed', fixedA: 6 },
      clampLinks: [],
      stepsA: [],
    });
    const found = of(pump);
    expect(found.demand.limiter.holds).not.toBe(true);
    expect(found.demand.afterUnmanaged.L1?.value).toBeCloseTo(40.52, 2);
  });
});

describe('the loop', () => {
  it.each<[string, Change]>([
    ['no evidence', (survey) => (survey.intake.loop = { status: 'not-looped' })],
    ['signs alone', (survey) => (survey.intake.loop = { status: 'not-looped', evidence: 'signs-only' })],
    ['status not recorded', (survey) => (survey.intake.loop = {})],
  ])('is not known on %s', (_name, change) => {
    const found = of(change);
    expect(verdict(found, 'loop')).toBeNull();
    expect(found.route.way).toBe('ask-then-fit');
  });

  it.each(['two-service-cables', 'cable-through-party-wall'] as const)('is not believed against the sign %s', (id) => {
    const found = of((survey) => {
      survey.intake.loop.signs = [{ id, answer: 'not-fine' }];
    });
    expect(verdict(found, 'loop')).not.toBe(true);
    expect(found.route.way).toBe('ask-then-fit');
  });
});

describe('fuses', () => {
  it('a label above what its holder is moulded for is not believed', () => {
    const found = of((survey) => {
      nodeOf(survey, 'cut-out').holderMaximumA = 60;
    });
    expect(found.supply.ratingEstablished).toBe(false);
    expect(verdict(found, 'fuse')).toBe(false);
    expect(found.route.way).toBe('ask-then-fit');
  });

  it.each<[string, Partial<Survey['supply']['nodes'][number]>, boolean | null]>([
    ['assumed', { ratingA: 60, evidence: 'assumed' }, null],
    ['unread', {}, null],
    ['overloaded', { ratingA: 20, evidence: 'label' }, false],
  ])('a switch-fuse to the second dwelling that is %s stops the charger behind it', (_name, fuse, answer) => {
    const found = of((survey) => {
      survey.supply.nodes.push(
        { id: 'block', kind: 'split-block', fedFrom: 'isolator', ratingA: 100 },
        { id: 'annexe-fuse', kind: 'switch-fuse', fedFrom: 'block', ...fuse },
        { id: 'annexe', kind: 'board', fedFrom: 'annexe-fuse', ratingA: 100 },
      );
      nodeOf(survey, 'board').fedFrom = 'block';
      car(survey).nodeId = 'annexe';
    });
    expect(answer === null ? verdict(found, 'fuse') : verdict(found, 'nodes')).toBe(answer);
    expect(found.route.way).not.toBe('fit-then-notify');
  });

  it('a charger behind another cut-out is reckoned there, and that cut-out is judged', () => {
    const found = of((survey) => {
      survey.supply.nodes.push(
        { id: 'second', kind: 'cut-out', fedFrom: 'service', ratingA: 60, evidence: 'assumed' },
        { id: 'second-board', kind: 'board', fedFrom: 'second', ratingA: 100 },
      );
      for (const each of survey.loads) each.nodeId = 'board';
      survey.loads.push({ id: 'oven', class: 'hot-tub-sauna-kiln-welder', currentA: 10, nodeId: 'second-board' });
      car(survey).nodeId = 'second-board';
    });
    expect(found.nodes.find(({ id }) => id === 'second')?.after.L1?.value).toBe(42);
    expect(verdict(found, 'fuse')).toBeNull();
    expect(found.route.way).toBe('ask-then-fit');
  });
});

describe('demand', () => {
  it('by measurement with no loads listed is what was measured, now and after', () => {
    const found = of((survey) => {
      survey.loads = [];
      survey.declaration = { basis: 'measurement', reason: 'Logged over winter.' };
      survey.measurements = [log('log', 30)];
    });
    expect(found.demand.before.L1?.value).toBeCloseTo(31, 2);
    expect(found.demand.afterUnmanaged.L1?.value).toBeCloseTo(63, 2);
  });

  it.each<[string, Change]>([
    [
      'a reading',
      (survey) => survey.readings.push({ id: 'r', kind: 'clamp-current', value: 44, nodeId: 'isolator', phase: 'L1' }),
    ],
    [
      'a spot measurement',
      (survey) => survey.measurements.push({ id: 's', kind: 'spot', phases: [{ id: 'L1', peakA: 44 }] }),
    ],
  ])('is at least what was seen, entered as %s', (_name, seen) => {
    // The list comes to 20.52 A; 44 A was seen.
    const found = of(seen);
    expect(found.demand.before.L1).toMatchObject({ value: 44, bound: 'at-least' });
    expect(verdict(found, 'demand')).toBe(false);
    expect(found.route.way).not.toBe('fit-then-notify');
  });

  it('takes the greatest of several logs, not the first', () => {
    const found = of((survey) => {
      survey.declaration = { basis: 'measurement', reason: 'Logged twice.' };
      survey.measurements = [log('summer', 10), log('winter', 34)];
    });
    expect(found.demand.before.L1?.value).toBeCloseTo(35, 2);
  });

  it('a guard goes by the warming of its fuse: a short time is judged by itself, whatever its half hour is', () => {
    // 12 A in the half hour and a ten-minute mean of 43 A: with 32 A more 75 A, 1.25 times a 60 A fuse, which carries that for an hour.
    // A ten-minute mean of 90 A makes 122 A, twice its rating, which it does not.
    const over = (mean10A: number): Assessment =>
      of((survey) => {
        nodeOf(survey, 'cut-out').ratingA = 60;
        const phases = [{ id: 'L1' as const, mean30A: 12, mean10A, mean1A: mean10A, peakA: mean10A }];
        survey.measurements = [{ ...log('log', 12), phases }];
      });
    const moments = ({ nodes }: Assessment) => nodes.find(({ id }) => id === 'cut-out')?.moments ?? [];
    expect(moments(over(43)).map(({ within }) => within)).not.toContain(false);
    expect(moments(over(90)).map(({ within }) => within)).toContain(false);
    expect(verdict(over(90), 'nodes')).toBe(false);
    expect(over(90).route.way).not.toBe('fit-then-notify');
  });

  it('asks what the premises are rather than using the household table', () => {
    const found = of((survey) => {
      delete survey.place.premises;
    });
    expect(ids(found)).toContain('premises-not-said');
    expect(verdict(found, 'demand')).toBeNull();
  });

  it('counts a load on no named line once in kVA, and lighting on three lines once', () => {
    const three: Change = (survey) => {
      survey.supply.phases = 3;
      for (const each of survey.loads) each.phase = 'L1';
      car(survey).phase = 'L1';
    };
    const kva = (values: Partial<Load>) =>
      of(three, (survey) => survey.loads.push(load('heater', { powerW: 2300, ...values }))).demand.beforeKva.value ?? 0;
    // 2 300 W is 10 A on one line: 2.3 kVA, whichever line it turns out to be.
    expect(kva({})).toBeCloseTo(kva({ phase: 'L2' }), 6);
    // 30 points of 100 W on three lines are 3 000 W in all, 66 % of it: 30 × 100 / 3 / 230 × 0.66 = 2.87 A a line.
    const lit = of(three, (survey) => {
      survey.loads = [load('points', { class: 'lighting', powerW: 100, quantity: 30, phase: 'all', fixedLed: true })];
      survey.loads.push(load('ring', { class: 'socket-circuit', currentA: 20, phase: 'L1' }));
    });
    expect(lit.demand.before.L2?.value).toBeCloseTo(2.87, 2);
  });

  it('interlocked chargers are never more managed than unmanaged', () => {
    const { demand } = of(kiln, clamp(), (survey) => {
      car(survey).interlock = 'one';
      survey.proposals.push({ ...structuredClone(car(survey)), id: 'car-2' });
    });
    expect(demand.afterManaged.L1?.value ?? 0).toBeLessThanOrEqual(demand.afterUnmanaged.L1?.value ?? 0);
  });
});

function log(id: string, mean30A: number): Survey['measurements'][number] {
  return {
    id,
    kind: 'logger',
    days: 20,
    winterDays: 20,
    intervalS: 60,
    coveragePercent: 99,
    from: '2026-01-05T00:00:00.000Z',
    to: '2026-01-25T00:00:00.000Z',
    phases: [
      { id: 'L1', mean30A, mean10A: mean30A, mean1A: mean30A, peakA: mean30A, onceAYearA: mean30A + 1, baseA: 1 },
    ],
  };
}

describe('logs', () => {
  it.each<[string, Partial<Survey['measurements'][number]>]>([
    ['nought', { phases: [{ id: 'L1', mean30A: 0, mean10A: 0, mean1A: 0, peakA: 0, baseA: 0 }] }],
    ['noise', { phases: [{ id: 'L1', mean30A: 0.05, mean10A: 0.06, mean1A: 0.08, peakA: 0.1, baseA: 0.01 }] }],
    ['one frozen value', { phases: [{ id: 'L1', mean30A: 7, mean10A: 7, mean1A: 7, peakA: 7, baseA: 7 }] }],
    ['another unit', { doubts: ['unit'] }],
  ])('of %s gives no figure until it is said how that was settled', (_name, values) => {
    const measured: Change = (survey) => {
      survey.declaration = { basis: 'measurement', reason: 'Logged.' };
      survey.measurements = [{ ...log('log', 12), ...values }];
    };
    const found = of(measured);
    expect(verdict(found, 'demand')).not.toBe(true);
    expect(found.demand.byMeasurement.L1?.value ?? null).toBeNull();
    expect(found.route.way).not.toBe('fit-then-notify');
  });
});

describe('generation', () => {
  const solar = (values: Partial<Proposal>): Change =>
    onCar({ kind: 'pv', label: 'PV', ratedA: 20, limiter: {}, canExport: 'yes', ...values });

  it('goes by its capacity: an export limit is a scheme of its own that is applied for', () => {
    // 20 A of capacity held to 3.68 A: above the 16 A of EREC G98 whatever it exports.
    const found = of(solar({ exportA: 3.68 }));
    expect(found.route.way).toBe('ask-then-fit');
    expect(verdict(found, 'generation')).toBe(false);
    expect(found.route.triggers.some(({ id, state }) => /export/.test(id) && state === 'met')).toBe(true);
  });

  it('what is known and already over the limit is met, not “not known”', () => {
    const found = of(solar({ ratedA: 20 }), (survey) => {
      survey.generation = [{ id: 'more', kind: 'battery' }];
    });
    expect(verdict(found, 'generation')).toBe(false);
  });

  it('a wish for a larger fuse is a request of the operator', () => {
    expect(of((survey) => (survey.request.fuseUpgrade = true)).route.way).toBe('ask-then-fit');
    expect(of((survey) => (survey.request.wantedFuseA = 100)).route.way).toBe('ask-then-fit');
  });
});

describe('protection and circuit', () => {
  it('an RCD carries the new circuit’s own current', () => {
    const found = of((survey) => {
      survey.supply.nodes.push({ id: 'rcd', kind: 'rcd', fedFrom: 'board', ratingA: 25, rcdType: 'A', residualMa: 30 });
      car(survey).nodeId = 'rcd';
    });
    expect(verdict(found, 'nodes') === true && verdict(found, 'circuit') === true).toBe(false);
    expect(found.route.way).not.toBe('fit-then-notify');
  });

  it('a cable that carries less than the equipment draws does not pass behind a device too small for it', () => {
    const found = of((survey) => {
      Object.assign(car(survey).circuit ?? {}, { deviceRatingA: 16, sizeMm2: 1.5 });
    });
    expect(verdict(found, 'circuit')).toBe(false);
  });

  it('armoured cable is sized by its 70 °C figures unless both ends are declared for 90 °C', () => {
    const size = (terminalsFor90?: 'yes' | 'no') =>
      of((survey) => {
        const { circuit } = car(survey);
        if (!circuit) return;
        circuit.cableType = 'armoured';
        circuit.cpc = 'core';
        delete circuit.sizeMm2;
        circuit.deviceRatingA = 50;
        car(survey).ratedA = 40;
        if (terminalsFor90) circuit.terminalsFor90 = terminalsFor90;
      }).circuits[0]?.search?.smallestMm2 ?? 0;
    expect(size()).toBe(size('no'));
    expect(size('yes')).toBeLessThanOrEqual(size());
  });

  it('a second earth path spoils open-PEN protection that is built in', () => {
    const pme: Change = (survey) => {
      survey.earthing.arrangement = 'tn-c-s';
      Object.assign(car(survey), {
        openPen: 'built-in',
        pen: { declared: 'yes', detection: 'voltage-window', secondEarthPath: 'yes', reason: 'In its data.' },
      });
    };
    const found = of(pme);
    expect(verdict(found, 'open-pen')).toBe(false);
    expect(found.route.way).not.toBe('fit-then-notify');
  });

  it('a three-phase charger on a single-phase supply is questioned', () => {
    const found = of(onCar({ phases: 3 }));
    expect(found.route.way).not.toBe('fit-then-notify');
  });

  it('a main switch that is over its rating now stops new equipment on it', () => {
    const found = of((survey) => {
      nodeOf(survey, 'board').ratingA = 63;
      survey.loads.push({ id: 'kiln', class: 'hot-tub-sauna-kiln-welder', currentA: 55 });
      car(survey).limiter = { kind: 'fixed', fixedA: 6 };
      car(survey).stepsA = [6, 16, 32];
    });
    // 20.52 + 55 = 75.52 A now behind 63 A: 12.52 A over before anything is added.
    expect(verdict(found, 'nodes')).toBe(false);
    expect(found.route.way).not.toBe('fit-then-notify');
  });
});

describe('contradictions of what is recorded', () => {
  it.each<[string, VerdictId, Change]>([
    [
      'a fault seen',
      'intake',
      (survey) => survey.intake.faults.push({ id: 'f', fault: 'heat-damage', grade: 'before-load-added' }),
    ],
    ['the look itself', 'intake', (survey) => (survey.intake.look = 'not-fine')],
    [
      'an electrode seen on TN-S',
      'earthing',
      (survey) => (survey.earthing.signs = [{ id: 'conductor-to-rod', answer: 'yes' }]),
    ],
    [
      'a loop impedance no TN-S has',
      'earthing',
      (survey) => survey.readings.push({ id: 'ze', kind: 'loop-impedance-external', value: 60, nodeId: 'cut-out' }),
    ],
    [
      'a check that is not fine',
      'intake',
      (survey) => (nodeOf(survey, 'board').checks = [{ id: 'tails-size', answer: 'not-fine' }]),
    ],
  ])('%s leaves %s at anything but yes', (_name, id, change) => {
    const found = of(change);
    expect(verdict(found, id)).not.toBe(true);
    expect(found.route.way).not.toBe('fit-then-notify');
  });
});
