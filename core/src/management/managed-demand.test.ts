import { fc } from '../testing/laws';
import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { settledSurvey, WELL_PUT_ON, type Change } from '../testing/settled-survey';
import { given } from '../worked';
import { guard, managedDemand, guardedA, lostA, type NodeFlow } from './managed-demand';
import { setPointWithin, worstSetPointA } from './clamp-limit';
import { chargerLimitA, clampSettings } from './limiter';

interface Parts {
  readonly otherA: number;
  readonly limitA: number;
  readonly blindA: number;
}
const flow = (otherA: number, limitA: number, blindA = 0): Parts => ({ otherA, limitA, blindA });
/** A flow under one clamp. */
const under = ({ otherA, limitA, blindA }: Parts, setPointA: number, failSafeA = 6): NodeFlow => ({
  other: given('other', otherA, 'A'),
  unmanagedA: otherA + limitA,
  limitA,
  failSafeA: Math.min(failSafeA, limitA),
  // A clamp that errs by nothing: what its error does is tried by itself.
  clamps: [{ setPointA, worstA: setPointA, blind: given('blind', blindA, 'A'), sourcesA: 0 }],
});

const clamped =
  (limiter: object, nodeId?: string): Change =>
  (survey) => {
    for (const proposal of survey.proposals)
      Object.assign(proposal, {
        limiter: { kind: 'clamp', failSafeA: 6, ...limiter },
        ...(nodeId ? { nodeId } : {}),
      });
  };
const second =
  (limiter: object): Change =>
  (survey) => {
    const [first] = survey.proposals;
    if (first) survey.proposals.push({ ...first, id: 'car-2', limiter: { ...first.limiter, ...limiter } });
  };

describe('managed demand', () => {
  it.each<[string, ReturnType<typeof flow>, number, number]>([
    ['room for everything: 20 + 32 = 52 under a set-point of 70', flow(20, 32), 70, 52],
    ['held to the set-point: lesser of (40 + 32, 50) = 50', flow(40, 32), 50, 50],
    ['others alone above it: the charger pauses, 55 flows', flow(55, 32), 50, 55],
    ['loads the clamp cannot see come on top: 50 + 15 = 65', flow(40, 32, 15), 50, 65],
    ['but never more than everything at once: 40 + 32 = 72, not 50 + 30', flow(40, 32, 30), 50, 72],
  ])('%s', (_working, parts, setPointA, expected) => {
    expect(managedDemand(under(parts, setPointA)).value).toBe(expected);
  });

  it('is between the other demand and the unmanaged demand', () => {
    const amperes = fc.integer({ min: 0, max: 100 });
    fc.assert(
      fc.property(amperes, amperes, amperes, amperes, (otherA, limitA, blindA, setPointA) => {
        const value = managedDemand(under(flow(otherA, limitA, Math.min(blindA, otherA)), setPointA)).value;
        expect(value).toBeGreaterThanOrEqual(otherA);
        expect(value).toBeLessThanOrEqual(otherA + limitA);
      }),
    );
  });
});

describe('several clamps and several chargers', () => {
  it('the strictest clamp decides: feeder 20 + 0, intake 90 + 0, 12 A of other load → 20 A', () => {
    const two = {
      ...under(flow(12, 32), 20),
      clamps: [...under(flow(12, 32), 20).clamps, ...under(flow(12, 32), 90).clamps],
    };
    expect(managedDemand(two).value).toBe(20);
  });

  const annexe: Change = (survey) => {
    survey.supply.nodes.push(
      { id: 'feeder', kind: 'feeder', fedFrom: 'board', ratingA: 20, label: 'Feeder' },
      { id: 'shed', kind: 'board', fedFrom: 'feeder', ratingA: 40, label: 'Shed' },
    );
    survey.loads.push({ id: 'there', class: 'motor', currentA: 8, nodeId: 'shed' });
  };
  const guards = (...changes: Change[]) =>
    Object.fromEntries(
      assess(settledSurvey(...changes), gbDefault).nodes.flatMap(({ id, guard: found }) =>
        found ? [[id, found.holds]] : [],
      ),
    );

  it('one clamp at the intake leaves the feeder unguarded; a second on the feeder holds it: 18 A, read 2 % low and cut off to whole amperes, are 19.39 of 20 A', () => {
    const intake = { clampNodeId: 'isolator', setPointA: 90, fit: WELL_PUT_ON };
    expect(guards(annexe, clamped(intake, 'shed'))).toMatchObject({ feeder: false, 'cut-out': true });
    const both = { ...intake, moreClamps: [{ id: 'far', nodeId: 'feeder', setPointA: 18 }] };
    expect(guards(annexe, clamped(both, 'shed'))).toMatchObject({ feeder: true, shed: true, 'cut-out': true });
    // At the rating itself: (20 + 1) ÷ 0.98 = 21.43 A.
    const atRating = { ...intake, moreClamps: [{ id: 'far', nodeId: 'feeder', setPointA: 20 }] };
    expect(guards(annexe, clamped(atRating, 'shed'))).toMatchObject({ feeder: false });
    // Clamp lost: 8 + 14 = 22 A on a 20 A device.
    expect(guards(annexe, clamped({ ...both, failSafeA: 14 }, 'shed'))).toMatchObject({ feeder: false });
  });

  it('two chargers on the same clamp share it: 20.52 + 64 A is held to 50 A, clamp lost 20.52 + 12 A', () => {
    const made = assess(
      settledSurvey(clamped({ clampNodeId: 'isolator', setPointA: 50, fit: WELL_PUT_ON }), second({})),
      gbDefault,
    );
    expect(made.demand.limiter.holds).toBe(true);
    expect(made.demand.afterManaged.L1?.value).toBe(50);
    expect(made.demand.afterUnmanaged.L1?.value).toBeCloseTo(84.52, 2);
  });
  it('two chargers on clamps of their own would each fill the same room, and are said to', () => {
    const made = assess(
      settledSurvey(clamped({ clampNodeId: 'isolator', setPointA: 50, fit: WELL_PUT_ON }), second({ setPointA: 40 })),
      gbDefault,
    );
    expect(made.demand.limiter.holds).toBe(false);
    expect(made.findings.map(({ id }) => id)).toContain('several-clamps');
  });
  it('a clamp lost counts every charger’s fail-safe: 90 A of other load, 2 × 6 A, 100 A fuse', () => {
    const busy: Change = (survey) => survey.loads.push({ id: 'heat', class: 'motor', currentA: 69.48 });
    const made = assess(
      settledSurvey(busy, clamped({ clampNodeId: 'isolator', setPointA: 95, fit: WELL_PUT_ON }), second({})),
      gbDefault,
    );
    expect(made.demand.limiter.why).toMatch(/^Cut-out: 2(\.00)? A over its rating at the fail-safe current\.$/);
  });
});

describe('a clamp at its worst', () => {
  it('a set-point of 50 A read 2 % low in whole amperes becomes (50 + 1) ÷ 0.98 = 52.04 A, and 58.8 − 1 = 57.8 A keep 60 A', () => {
    expect(worstSetPointA(50, gbDefault)).toBeCloseTo(52.04, 2);
    expect(setPointWithin(60, gbDefault)).toBeCloseTo(57.8, 9);
  });
  it('is what the guard is held to, and not the demand: 60 A demanded, 62.24 A guarded, never more than unmanaged', () => {
    const [clamp] = under(flow(40, 32), 60).clamps;
    const erring = { ...under(flow(40, 32), 60), clamps: clamp ? [{ ...clamp, worstA: 62.24 }] : [] };
    expect(managedDemand(erring).value).toBe(60);
    expect(guardedA(erring)).toBeCloseTo(62.24, 9);
    expect(guard(60, erring)).toMatchObject({ holds: false });
    expect(guardedA({ ...erring, unmanagedA: 61 })).toBe(61);
    expect(lostA({ ...erring, unmanagedA: 44 })).toBe(44);
  });
  it('chargers that cannot run together come out no higher managed than unmanaged: the interlock counts once', () => {
    const locked: Change = (survey) => {
      for (const each of survey.proposals) each.interlock = 'one at a time';
    };
    const { demand, nodes } = assess(
      settledSurvey(clamped({ clampNodeId: 'isolator', setPointA: 90, fit: WELL_PUT_ON }), second({}), locked),
      gbDefault,
    );
    // 20.52 + 32 = 52.52 A, not 20.52 + 64 A.
    expect(demand.afterUnmanaged.L1?.value).toBeCloseTo(52.52, 2);
    expect(demand.afterManaged.L1?.value).toBeCloseTo(52.52, 2);
    for (const { managed, after } of nodes)
      expect(managed?.L1?.value ?? 0).toBeLessThanOrEqual((after.L1?.value ?? 0) + 1e-9);
  });
});

describe('a guard', () => {
  it('says by how much it fails, clamp working and clamp lost', () => {
    expect(guard(60, under(flow(40, 32), 50))).toEqual({ holds: true, overA: 0, failSafeOverA: 0 });
    expect(guard(60, under(flow(40, 32, 15), 50))).toMatchObject({ holds: false, overA: 5, failSafeOverA: 0 });
    expect(guard(60, under(flow(58, 32), 50, 6))).toMatchObject({ holds: false, overA: 0, failSafeOverA: 4 });
  });
  it('counts no more fail-safe current than the charger can draw, and none on a phase it is not on', () => {
    expect(guard(60, under(flow(45, 10), 50, 32)).failSafeOverA).toBe(0);
    expect(guard(60, under(flow(58, 0), 50, 32)).holds).toBe(true);
  });
  it('that holds stays held when the limit, the set-point or the fail-safe is lowered', () => {
    const amperes = fc.integer({ min: 0, max: 80 });
    fc.assert(
      fc.property(amperes, amperes, amperes, amperes, amperes, (ratingA, otherA, limitA, setPointA, failSafeA) => {
        if (!guard(ratingA, under(flow(otherA, limitA), setPointA, failSafeA)).holds) return;
        expect(guard(ratingA, under(flow(otherA, Math.floor(limitA / 2)), setPointA, failSafeA)).holds).toBe(true);
        expect(guard(ratingA, under(flow(otherA, limitA), Math.floor(setPointA / 2), failSafeA)).holds).toBe(true);
        expect(guard(ratingA, under(flow(otherA, limitA), setPointA, Math.floor(failSafeA / 2))).holds).toBe(true);
      }),
    );
  });
});

describe('what a charger may draw', () => {
  const proposal = (limiter: object, ratedA?: number) =>
    ({ id: 'c', kind: 'vehicle-charger', limiter, ...(ratedA === undefined ? {} : { ratedA }) }) as const;
  it('is its rating or its own lower setting; a setting above the rating limits nothing', () => {
    expect(chargerLimitA(proposal({}, 32))).toBe(32);
    expect(chargerLimitA(proposal({ kind: 'fixed', fixedA: 16 }, 32))).toBe(16);
    expect(chargerLimitA(proposal({ kind: 'fixed', fixedA: 40 }, 32))).toBe(32);
    expect(chargerLimitA(proposal({ kind: 'clamp', fixedA: 20 }, 32))).toBe(20);
    expect(chargerLimitA(proposal({ kind: 'none', fixedA: 16 }, 32))).toBe(32);
    expect(chargerLimitA(proposal({ kind: 'fixed', fixedA: 16 }))).toBeNull();
  });
  it('by clamp needs place, set-point and fail-safe, and names what is missing; 0 is a fail-safe', () => {
    expect(clampSettings(proposal({ kind: 'fixed' }))).toBeNull();
    expect(clampSettings(proposal({ kind: 'clamp' }))).toEqual({ missing: 'where the clamp sits' });
    expect(clampSettings(proposal({ kind: 'clamp', clampNodeId: 'm' }))).toEqual({ missing: 'the set-point' });
    expect(clampSettings(proposal({ kind: 'clamp', clampNodeId: 'm', setPointA: 50 }))).toEqual({
      missing: 'the fail-safe current',
    });
    expect(clampSettings(proposal({ kind: 'clamp', clampNodeId: 'm', setPointA: 50, failSafeA: 0 }))).toMatchObject({
      failSafeA: 0,
    });
  });
});
