import { fc, lawRuns } from './testing/laws';
import { assess, decide } from './assess';
import type { Assessment } from './assessment';
import { RULE_SETS, ruleSet } from './rules/catalogue';
import { gbDefault } from './rules/gb-default';
import { readSurvey } from './survey/opening/read';
import type { Survey } from './survey/survey';
import { nodeOf, settledSurvey, WELL_PUT_ON, type Change } from './testing/settled-survey';
import { ANSWERS, ARRANGEMENTS, EVIDENCE, LOAD_CLASSES, LOOP_STATUSES, NODE_KINDS } from './survey/words/words';
import { completeSurveys } from './testing/random-surveys';

/** A home that may be fitted and notified: 100 A label, not looped, looked over, 20.4 A of loads, a 32 A charger. */
function settled(...changes: Change[]): Assessment {
  return assess(settledSurvey(...changes), gbDefault);
}

const charger = (of: Survey): Survey['proposals'][number] => {
  const [first] = of.proposals;
  if (!first) throw new Error('no charger');
  return first;
};
const triggerIds = ({ route }: Assessment): string[] => route.triggers.map(({ id, state }) => `${id} ${state}`);
const findingIds = ({ findings }: Assessment): string[] => findings.map(({ id }) => id);

describe('a home with room', () => {
  it('is fitted, then notified: 0.52 + 20 + 32 = 52.52 A of 100 A', () => {
    const made = settled();
    expect(made.route.way).toBe('fit-then-notify');
    expect(made.demand.before.L1?.value).toBeCloseTo(20.5165, 3);
    expect(made.demand.afterUnmanaged.L1?.value).toBeCloseTo(52.5165, 3);
    expect(made.demand.headroom.L1?.value).toBeCloseTo(47.4835, 3);
    expect(made.demand.afterKva.value).toBeCloseTo(12.0788, 3);
    expect(made.findings).toEqual([]);
  });
});

describe('default triggers, each alone', () => {
  it.each<[string, Change, string]>([
    ['looped', (s) => (s.intake.loop.status = 'feeds-next-door'), 'looped-or-unknown met'],
    ['loop not known', (s) => (s.intake.loop = {}), 'looped-or-unknown not-known'],
    ['not looped on signs alone', (s) => (s.intake.loop.evidence = 'signs-only'), 'looped-or-unknown not-known'],
    [
      'fault to put right',
      (s) => s.intake.faults.push({ id: 'f', fault: 'heat-damage', grade: 'before-load-added' }),
      'condition-first met',
    ],
    ['fault not graded', (s) => s.intake.faults.push({ id: 'f', fault: 'heat-damage' }), 'condition-first met'],
    ['nobody looked', (s) => delete s.intake.look, 'condition-first not-known'],
    [
      'danger',
      (s) => s.intake.faults.push({ id: 'f', fault: 'exposed-live-parts', grade: 'make-safe-now' }),
      'make-safe-now met',
    ],
    [
      '40 A equipment',
      (s) => {
        charger(s).ratedA = 36;
      },
      'equipment-above-32 met',
    ],
    ['not registered', (s) => (charger(s).typeTested = 'no'), 'equipment-not-registered met'],
    ['register not known', (s) => delete charger(s).typeTested, 'equipment-not-registered not-known'],
    [
      'can export',
      (s) => {
        charger(s).canExport = 'yes';
        charger(s).circuit = { ...charger(s).circuit, bothDirections: 'yes' };
      },
      'can-export met',
    ],
    ['export not known', (s) => (charger(s).canExport = 'unknown'), 'can-export not-known'],
    ['three-phase equipment on one phase', (s) => (charger(s).phases = 3), 'supply-change met'],
    ['fuse upgrade', (s) => (s.request.fuseUpgrade = true), 'supply-change met'],
    ['development', (s) => (s.request.installationsOnDevelopment = 2), 'several-on-development met'],
    ['import limitation', (s) => (s.request.importLimitation = true), 'import-limitation met'],
    ['61 A', (s) => s.loads.push({ id: 'hot', class: 'floor-warming', currentA: 8.5 }), 'demand-above-threshold met'],
    ['nothing proposed', (s) => (s.proposals = []), 'nothing-proposed not-known'],
    ['a load without a size', (s) => s.loads.push({ id: 'x', class: 'motor' }), 'demand-not-established not-known'],
    ['no loads', (s) => (s.loads = []), 'demand-not-established not-known'],
  ])('%s', (_name, change, expected) => {
    const made = settled(change);
    expect(triggerIds(made)).toEqual([expected]);
    expect(made.route.way).toBe(expected.startsWith('make-safe') ? 'hold' : 'ask-then-fit');
    expect(made.route.wouldMove).toMatch(/^One change would move it/);
  });

  it('exactly 60 A is not above 60 A', () => {
    const made = settled((s) => {
      s.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 28 }];
    });
    expect(made.demand.afterUnmanaged.L1?.value).toBe(60);
    expect(made.route.way).toBe('fit-then-notify');
  });

  it('a noted fault changes nothing', () => {
    const made = settled((s) => s.intake.faults.push({ id: 'f', fault: 'other', grade: 'note' }));
    expect(made.route.way).toBe('fit-then-notify');
    expect(findingIds(made)).toEqual(['condition-note']);
  });

  it('the house rule asks first whatever the arithmetic says', () => {
    const rules = ruleSet('gb-always-ask');
    expect(rules && triggerIds(assess(settledSurvey(), rules))).toEqual(['house-rule met']);
  });
});

describe('fuse rating', () => {
  it.each(EVIDENCE)('%s', (evidence) => {
    const made = settled((s) => (nodeOf(s, 'cut-out').evidence = evidence));
    const established = ['label', 'record', 'attended'].includes(evidence);
    expect(made.supply.ratingEstablished).toBe(established ? true : null);
    expect(made.supply.rating.value).toBe(established ? 100 : 60);
    expect(made.route.way).toBe(established ? 'fit-then-notify' : 'ask-then-fit');
  });
  it('falls back to no more than what was seen: a holder moulded 45 A cannot carry 60 A', () => {
    const made = settled((s) => {
      Object.assign(nodeOf(s, 'cut-out'), { evidence: 'moulding', holderMaximumA: 45 });
      delete nodeOf(s, 'cut-out').ratingA;
    });
    expect(made.supply.rating.value).toBe(45);
  });
  it('questions a fuse larger than its holder', () => {
    expect(findingIds(settled((s) => (nodeOf(s, 'cut-out').holderMaximumA = 80)))).toContain('fuse-above-holder');
  });
  it('reads the switch-fuse where there is no cut-out fuse', () => {
    const made = settled((s) => {
      s.supply.nodes = [
        { id: 'service', kind: 'service' },
        { id: 'sf', kind: 'switch-fuse', fedFrom: 'service', ratingA: 80, evidence: 'label' },
      ];
    });
    expect(made.supply.rating.value).toBe(80);
  });
});

describe('limiting', () => {
  const busy: Change = (s) => {
    nodeOf(s, 'cut-out').ratingA = 60;
    s.loads = [{ id: 'ring', class: 'socket-circuit', currentA: 40 }];
  };
  const clamp =
    (setPointA: number, failSafeA: number, clampNodeId = 'isolator'): Change =>
    (s) => {
      charger(s).limiter = { kind: 'clamp', setPointA, failSafeA, clampNodeId, fit: WELL_PUT_ON };
    };
  it('full rate: 40 + 32 = 72 A against 60 A', () => {
    const made = settled(busy);
    expect(triggerIds(made)).toEqual(['demand-above-threshold met', 'demand-above-fuse met']);
    expect(findingIds(made)).toEqual(['node-over-rating']);
    expect(made.weakest).toEqual({ nodeId: 'cut-out', headroomA: -12 });
  });
  it('a fixed 20 A setting makes 60 A and may be fitted', () => {
    const made = settled(busy, (s) => (charger(s).limiter = { kind: 'fixed', fixedA: 20 }));
    expect(made.demand.afterUnmanaged.L1?.value).toBe(60);
    expect(made.route.way).toBe('fit-then-notify');
  });
  it('a setting below 6 A is questioned', () => {
    expect(findingIds(settled((s) => (charger(s).limiter = { kind: 'fixed', fixedA: 5 })))).toContain(
      'setting-below-least',
    );
  });
  it('managed at 50 A: greater of 40 and lesser of (72, 50) = 50 A; the fuse holds, the unmanaged figure still asks', () => {
    const made = settled(busy, clamp(50, 6));
    expect(made.demand.limiter.holds).toBe(true);
    expect(made.demand.afterManaged.L1?.value).toBe(50);
    expect(triggerIds(made)).toEqual(['demand-above-threshold met']);
  });
  it('an operator that judges the managed figure lets the same home be fitted', () => {
    const rules = ruleSet('gb-managed-figure');
    expect(rules && assess(settledSurvey(busy, clamp(50, 6)), rules).route.way).toBe('fit-then-notify');
  });
  it('an operator that does not accept limiting judges the unmanaged figure against the fuse', () => {
    const rules = ruleSet('gb-no-limiting');
    expect(rules && triggerIds(assess(settledSurvey(busy, clamp(50, 6)), rules))).toContain('demand-above-fuse met');
  });
  it('does not hold when the fail-safe alone overloads: 40 + 32 at full fail-safe', () => {
    const made = settled(busy, clamp(50, 32));
    expect(made.demand.limiter).toMatchObject({
      holds: false,
      why: 'Cut-out: 12 A over its rating at the fail-safe current.',
    });
    expect(made.demand.afterManaged.L1?.value).toBe(72);
  });
  it('counts what the clamp cannot see: set-point 50 + 25 A on the other side of the split = 75 A', () => {
    const split: Change = (s) => {
      s.supply.nodes.push(
        { id: 'split', kind: 'split-block', fedFrom: 'main', ratingA: 100 },
        { id: 'main', kind: 'isolator', fedFrom: 'meter', ratingA: 100 },
        { id: 'annexe', kind: 'board', fedFrom: 'split', ratingA: 63 },
      );
      nodeOf(s, 'isolator').fedFrom = 'split';
      s.loads = [
        { id: 'hot', class: 'floor-warming', currentA: 15, nodeId: 'board' },
        { id: 'annexe-heat', class: 'floor-warming', currentA: 25, nodeId: 'annexe' },
      ];
      charger(s).nodeId = 'board';
    };
    const blind = settled(busy, split, clamp(50, 6, 'isolator'));
    expect(blind.demand.limiter.why).toBe('Cut-out: 12 A over its rating with the clamp working.');
    const seeing = settled(busy, split, clamp(50, 6, 'main'));
    expect(seeing.demand.limiter.holds).toBe(true);
    const wrongSide = settled(busy, split, clamp(50, 6, 'annexe'));
    expect(wrongSide.demand.limiter.holds).toBe(false);
  });
});

describe('the tree', () => {
  it('reckons each node from the loads below it, not from its children’s sums', () => {
    const made = settled((s) => {
      s.supply.nodes.push({ id: 'garage', kind: 'board', fedFrom: 'board', ratingA: 40 });
      s.loads = [
        { id: 'ring', class: 'socket-circuit', currentA: 32, nodeId: 'board' },
        { id: 'garage-ring', class: 'socket-circuit', currentA: 20, nodeId: 'garage' },
      ];
      charger(s).nodeId = 'garage';
    });
    const at = (id: string) => made.nodes.find((each) => each.id === id);
    expect(at('garage')?.before.L1?.value).toBe(20);
    expect(at('board')?.before.L1?.value).toBe(40);
    expect(at('service')?.before.L1?.value).toBe(40);
    expect(made.weakest).toEqual({ nodeId: 'garage', headroomA: -12 });
  });
});

describe('nodes without a rating', () => {
  it('are asked about where the charger’s current passes, and nowhere else', () => {
    const made = settled((s) => {
      delete nodeOf(s, 'isolator').ratingA;
      s.supply.nodes.push(
        { id: 'feeder', kind: 'feeder', fedFrom: 'board' },
        { id: 'shed', kind: 'board', fedFrom: 'feeder', ratingA: 40, enclosure: 'metal', place: 'indoors' },
      );
      charger(s).nodeId = 'board';
    });
    expect(made.findings.map(({ id, subjectId }) => [id, subjectId])).toEqual([
      ['check-isolator-rating', 'isolator'],
      ['check-main-switch-rating', 'shed'],
    ]);
    expect(made.questions.filter(({ on }) => on === 'intake').map(({ subjectId }) => subjectId)).toEqual(['isolator']);
    expect(made.route.way).toBe('ask-then-fit');
  });
});

describe('declaring by appliances', () => {
  const appliances: Change = (s) => {
    s.loads.push({ id: 'kettle', class: 'socket-appliance', powerW: 2300 });
    s.declaration = { basis: 'appliances', reason: 'List agreed with the customer.' };
  };
  it('replaces the socket circuits: 0.52 + 10 + 32', () => {
    expect(settled(appliances).demand.afterUnmanaged.L1?.value).toBeCloseTo(42.5165, 3);
  });
  it('needs a reason; without one the circuits stand', () => {
    const made = settled(appliances, (s) => delete s.declaration.reason);
    expect(made.demand.basis).toBe('circuits');
    expect(findingIds(made)).toEqual(['declaration-without-reason']);
  });
});

/** Surveys of all sorts, mostly incomplete. */
const anySurvey = fc
  .record({
    phases: fc.option(fc.constantFrom<1 | 3>(1, 3), { nil: undefined }),
    nodes: fc.array(
      fc.record({
        kind: fc.constantFrom(...NODE_KINDS),
        parent: fc.nat(20),
        ratingA: fc.option(fc.integer({ min: 1, max: 200 }), { nil: undefined }),
      }),
      { maxLength: 8 },
    ),
    loads: fc.array(
      fc.record({
        class: fc.constantFrom(...LOAD_CLASSES),
        powerW: fc.option(fc.nat(12000), { nil: undefined }),
        at: fc.option(fc.nat(20), { nil: undefined }),
        interlock: fc.option(fc.constantFrom('a', 'b'), { nil: undefined }),
      }),
      { maxLength: 8 },
    ),
    chargers: fc.array(
      fc.record({
        ratedA: fc.option(fc.integer({ min: 1, max: 63 }), { nil: undefined }),
        at: fc.nat(20),
        clampAt: fc.nat(20),
        kind: fc.constantFrom('none', 'fixed', 'clamp'),
      }),
      { maxLength: 2 },
    ),
    loop: fc.constantFrom(undefined, ...LOOP_STATUSES),
    arrangement: fc.constantFrom(undefined, ...ARRANGEMENTS),
    answer: fc.constantFrom(undefined, ...ANSWERS),
  })
  .map(({ phases, nodes, loads, chargers, loop, arrangement, answer }) => {
    const nodeAt = (n: number | undefined): string | undefined =>
      n === undefined || nodes.length === 0 ? undefined : `n${n % nodes.length}`;
    return {
      format: 'keen-gauge-survey',
      version: 1,
      supply: {
        phases,
        nodes: nodes.map(({ parent, ...rest }, i) => ({
          id: `n${i}`,
          ...rest,
          ...(i > 0 ? { fedFrom: `n${parent % i}` } : {}),
        })),
      },
      intake: { loop: { status: loop } },
      earthing: { arrangement },
      loads: loads.map(({ at, ...rest }, i) => ({ id: `l${i}`, nodeId: nodeAt(at), ...rest })),
      proposals: chargers.map(({ at, clampAt, kind, ratedA }, i) => ({
        id: `p${i}`,
        kind: 'vehicle-charger',
        ratedA,
        nodeId: nodeAt(at),
        typeTested: answer,
        limiter: { kind, fixedA: 16, setPointA: 50, failSafeA: 6, clampNodeId: nodeAt(clampAt) },
      })),
    };
  });

describe('assess is total', () => {
  it('says something of every valid survey under every pack, and never calls an incomplete one fit to notify', () => {
    fc.assert(
      fc.property(anySurvey, fc.constantFrom(...RULE_SETS), (document, rules) => {
        const read = readSurvey(JSON.parse(JSON.stringify(document)));
        if ('faults' in read) throw new Error(JSON.stringify(read.faults));
        const made = assess(read.survey, rules);
        expect(made.route.way).not.toBe('fit-then-notify');
        expect(made.nodes).toHaveLength(read.survey.supply.nodes.length);
        expect(() => JSON.stringify(made)).not.toThrow();
        for (const here of made.nodes)
          if (here.guard && here.managed)
            for (const [phase, figure] of Object.entries(here.managed))
              expect(figure.value ?? 0).toBeLessThanOrEqual((here.after[phase as 'L1']?.value ?? 0) + 1e-6);
      }),
      { numRuns: lawRuns(300) },
    );
  });

  it('finds the weakest link where least is left, at any shape, and every node takes no less than any part below it', () => {
    fc.assert(
      fc.property(anySurvey, (document) => {
        const read = readSurvey(JSON.parse(JSON.stringify(document)));
        if ('faults' in read) throw new Error(JSON.stringify(read.faults));
        const { nodes, weakest } = assess(read.survey, gbDefault);
        const left = nodes.flatMap(({ headroom }) => Object.values(headroom).flatMap(({ value }) => value ?? []));
        expect(weakest?.headroomA ?? null).toBe(left.length === 0 ? null : Math.min(...left));
        const byId = new Map(nodes.map((each) => [each.id, each]));
        // A shared service carries the neighbours' demand as well, which hangs from nothing above it here.
        for (const { fedFrom, before, after } of nodes.filter(({ kind }) => kind !== 'service'))
          for (const phase of ['L1', 'L2', 'L3'] as const) {
            const above = byId.get(fedFrom ?? '');
            const grows = (own: number | null | undefined, whole: number | null | undefined): void => {
              if (above && own != null && whole != null) expect(whole).toBeGreaterThanOrEqual(own - 1e-6);
            };
            grows(before[phase]?.value, above?.before[phase]?.value);
            grows(after[phase]?.value, above?.after[phase]?.value);
          }
      }),
      { numRuns: lawRuns(300) },
    );
  });

  it('a shared service takes what this property takes and what the neighbour does, no more and no less', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 90 }), (ownA, nextDoorA) => {
        const made = settled((s) => {
          s.loads = [{ id: 'hot', class: 'floor-warming', currentA: ownA }];
          s.intake.loop = { status: 'feeds-next-door', neighbourDemandA: nextDoorA, sharedRatingA: 100 };
        });
        const [own, both] = [made.demand.before.L1?.value ?? NaN, made.supply.sharedService?.before.L1?.value ?? NaN];
        expect(both).toBeCloseTo(own + nextDoorA, 9);
      }),
    );
  });

  it('a shared service carries what hangs beside this supply’s fuse as well: 12 + 9 here, 30 next door', () => {
    const made = settled((s) => {
      s.supply.nodes = [
        { id: 'service', kind: 'service' },
        { id: 'head', kind: 'cut-out', head: 'solid-link', fedFrom: 'service' },
        { id: 'own', kind: 'switch-fuse', fedFrom: 'head', ratingA: 60, evidence: 'label' },
        { id: 'beside', kind: 'switch-fuse', fedFrom: 'head', ratingA: 60 },
      ];
      s.loads = [
        { id: 'a', class: 'motor', currentA: 12, nodeId: 'own' },
        { id: 'b', class: 'motor', currentA: 9, nodeId: 'beside' },
      ];
      s.proposals = [];
      s.intake.loop = { status: 'feeds-next-door', neighbourDemandA: 30 };
    });
    expect(made.demand.before.L1?.value).toBe(12);
    expect(made.nodes[0]?.before.L1?.value).toBe(51);
  });

  it('a guard that holds stays held when every rating rises', () => {
    fc.assert(
      fc.property(
        // No further than cut-outs usually hold: above that a label alone is not believed.
        fc.integer({ min: 10, max: 60 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 6, max: 100 }),
        fc.integer({ min: 0, max: 32 }),
        fc.integer({ min: 0, max: 40 }),
        (ratingA, otherA, setPointA, failSafeA, riseA) => {
          const holds = (rating: number): boolean =>
            settled((s) => {
              nodeOf(s, 'cut-out').ratingA = rating;
              s.loads = [{ id: 'ring', class: 'socket-circuit', currentA: otherA }];
              charger(s).limiter = {
                kind: 'clamp',
                setPointA,
                failSafeA,
                clampNodeId: 'isolator',
                fit: WELL_PUT_ON,
              };
            }).demand.limiter.holds === true;
          if (holds(ratingA)) expect(holds(ratingA + riseA)).toBe(true);
        },
      ),
    );
  });
});

describe('what is decided without asking', () => {
  it('law: is what the whole assessment says, for any survey under any rules', () => {
    fc.assert(
      fc.property(completeSurveys(), fc.constantFrom(...RULE_SETS), (survey, rules) => {
        const {
          format: _format,
          version: _version,
          rules: _rules,
          questions: _questions,
          findings: _findings,
          ...whole
        } = assess(survey, rules);
        expect(JSON.stringify(decide(survey, rules))).toBe(JSON.stringify(whole));
      }),
      { numRuns: lawRuns(150) },
    );
  });
});
