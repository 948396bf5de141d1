import fc from 'fast-check';
import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { settledSurvey, type Change } from '../testing/settled-survey';
import { given } from '../worked';
import { guard, managedDemand, type NodeFlow } from './managed-demand';
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
  limitA,
  failSafeA: Math.min(failSafeA, limitA),
  clamps: [{ setPointA, blind: given('blind', blindA, 'A'), sourcesA: 0 }],
});

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
  const clamped =
    (limiter: object, nodeId?: string): Change =>
    (survey) => {
      for (const proposal of survey.proposals)
        Object.assign(proposal, {
          limiter: { kind: 'clamp', failSafeA: 6, ...limiter },
          ...(nodeId ? { nodeId } : {}),
        });
    };
  const guards = (...changes: Change[]) =>
    Object.fromEntries(
      assess(settledSurvey(...changes), gbDefault).nodes.flatMap(({ id, guard: found }) =>
        found ? [[id, found.holds]] : [],
      ),
    );

  it('one clamp at the intake leaves the feeder unguarded; a second on the feeder holds it: 8 + 12 = 20 A', () => {
    const intake = { clampNodeId: 'meter', setPointA: 90 };
    expect(guards(annexe, clamped(intake, 'shed'))).toMatchObject({ feeder: false, 'cut-out': true });
    const both = { ...intake, moreClamps: [{ id: 'far', nodeId: 'feeder', setPointA: 20 }] };
    expect(guards(annexe, clamped(both, 'shed'))).toMatchObject({ feeder: true, shed: true, 'cut-out': true });
    // Clamp lost: 8 + 14 = 22 A on a 20 A device.
    expect(guards(annexe, clamped({ ...both, failSafeA: 14 }, 'shed'))).toMatchObject({ feeder: false });
  });

  const second =
    (limiter: object): Change =>
    (survey) => {
      const [first] = survey.proposals;
      if (first) survey.proposals.push({ ...first, id: 'car-2', limiter: { ...first.limiter, ...limiter } });
    };
  it('two chargers on the same clamp share it: 20.52 + 64 A is held to 50 A, clamp lost 20.52 + 12 A', () => {
    const made = assess(settledSurvey(clamped({ clampNodeId: 'meter', setPointA: 50 }), second({})), gbDefault);
    expect(made.demand.limiter.holds).toBe(true);
    expect(made.demand.afterManaged.L1?.value).toBe(50);
    expect(made.demand.afterUnmanaged.L1?.value).toBeCloseTo(84.52, 2);
  });
  it('two chargers on clamps of their own would each fill the same room, and are said to', () => {
    const made = assess(
      settledSurvey(clamped({ clampNodeId: 'meter', setPointA: 50 }), second({ setPointA: 40 })),
      gbDefault,
    );
    expect(made.demand.limiter.holds).toBe(false);
    expect(made.findings.map(({ id }) => id)).toContain('several-clamps');
  });
  it('a clamp lost counts every charger’s fail-safe: 90 A of other load, 2 × 6 A, 100 A fuse', () => {
    const busy: Change = (survey) => survey.loads.push({ id: 'heat', class: 'motor', currentA: 69.48 });
    const made = assess(settledSurvey(busy, clamped({ clampNodeId: 'meter', setPointA: 100 }), second({})), gbDefault);
    expect(made.demand.limiter.why).toMatch(/^Cut-out: 2(\.00)? A over its rating at the fail-safe current\.$/);
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
