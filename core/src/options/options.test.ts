import fc from 'fast-check';
import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { readSurvey } from '../survey/read';
import { nodeOf, settledSurvey, type Change } from '../testing/settled-survey';
import { chargingTime } from './charging-time';
import { drawLineup } from '../lineup/drawing';
import { lineupOf } from '../lineup/layout';
import { lineupUnder } from '../lineup/under';
import { guardTable } from './guard-table';
import { fits } from './fits';
import { options, whyFirst, type Option } from './options';
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
          if (option.kind !== 'managed') expect(fits(found).answer).toBe(option.holds);
          if (option.kind !== 'managed' && option.holds === true)
            expect(found.weakest?.headroomA ?? 0).toBeGreaterThanOrEqual(-1e-6);
        }
      }),
      { numRuns: 25 },
    );
  });
});

describe('charging time, by hand', () => {
  it.each<[string, number, 1 | 3, number, number]>([
    ['32 A: 7.36 kW; 40 miles × 0.28 = 11.2 kWh in 1.52 h', 32, 1, 7.36, 1.522],
    ['16 A: 3.68 kW; 11.2 kWh in 3.04 h', 16, 1, 3.68, 3.043],
    ['3 × 32 A: 22.08 kW; 11.2 kWh in 0.51 h', 32, 3, 22.08, 0.507],
  ])('%s', (_working, amperes, phases, kilowatts, hours) => {
    const made = chargingTime({ milesPerDay: 40, hoursThere: 3 }, amperes, phases, gbDefault);
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
    expect(chargingTime(driver, amperes, 1, gbDefault).enough).toBe(enough);
  });
  it('the vehicle’s own charger limits it, and without a need there is no time', () => {
    expect(chargingTime({ onboardA: 16 }, 32, 1, gbDefault)).toEqual({
      powerKw: 3.68,
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
