import fc from 'fast-check';
import { given } from '../worked';
import { guard, managedDemand } from './managed-demand';
import { chargerLimitA, clampSettings } from './limiter';

const flow = (otherA: number, limitA: number, blindA = 0) => ({
  other: given('other', otherA, 'A'),
  limitA,
  blind: given('blind', blindA, 'A'),
});
const clamp = (setPointA: number, failSafeA = 6) => ({ setPointA, failSafeA, clampNodeId: 'meter' });

describe('managed demand', () => {
  it.each<[string, ReturnType<typeof flow>, number, number]>([
    ['room for everything: 20 + 32 = 52 under a set-point of 70', flow(20, 32), 70, 52],
    ['held to the set-point: lesser of (40 + 32, 50) = 50', flow(40, 32), 50, 50],
    ['others alone above it: the charger pauses, 55 flows', flow(55, 32), 50, 55],
    ['loads the clamp cannot see come on top: 50 + 15 = 65', flow(40, 32, 15), 50, 65],
    ['but never more than everything at once: 40 + 32 = 72, not 50 + 30', flow(40, 32, 30), 50, 72],
  ])('%s', (_working, parts, setPointA, expected) => {
    expect(managedDemand(parts, clamp(setPointA)).value).toBe(expected);
  });

  it('is between the other demand and the unmanaged demand', () => {
    const amperes = fc.integer({ min: 0, max: 100 });
    fc.assert(
      fc.property(amperes, amperes, amperes, amperes, (otherA, limitA, blindA, setPointA) => {
        const value = managedDemand(flow(otherA, limitA, Math.min(blindA, otherA)), clamp(setPointA)).value;
        expect(value).toBeGreaterThanOrEqual(otherA);
        expect(value).toBeLessThanOrEqual(otherA + limitA);
      }),
    );
  });
});

describe('a guard', () => {
  it('says by how much it fails, clamp working and clamp lost', () => {
    expect(guard(60, flow(40, 32), clamp(50))).toEqual({ holds: true, overA: 0, failSafeOverA: 0 });
    expect(guard(60, flow(40, 32, 15), clamp(50))).toMatchObject({ holds: false, overA: 5, failSafeOverA: 0 });
    expect(guard(60, flow(58, 32), clamp(50, 6))).toMatchObject({ holds: false, overA: 0, failSafeOverA: 4 });
  });
  it('counts no more fail-safe current than the charger can draw, and none on a phase it is not on', () => {
    expect(guard(60, flow(45, 10), clamp(50, 32)).failSafeOverA).toBe(0);
    expect(guard(60, flow(58, 0), clamp(50, 32)).holds).toBe(true);
  });
  it('that holds stays held when the limit, the set-point or the fail-safe is lowered', () => {
    const amperes = fc.integer({ min: 0, max: 80 });
    fc.assert(
      fc.property(amperes, amperes, amperes, amperes, amperes, (ratingA, otherA, limitA, setPointA, failSafeA) => {
        if (!guard(ratingA, flow(otherA, limitA), clamp(setPointA, failSafeA)).holds) return;
        expect(guard(ratingA, flow(otherA, Math.floor(limitA / 2)), clamp(setPointA, failSafeA)).holds).toBe(true);
        expect(guard(ratingA, flow(otherA, limitA), clamp(Math.floor(setPointA / 2), failSafeA)).holds).toBe(true);
        expect(guard(ratingA, flow(otherA, limitA), clamp(setPointA, Math.floor(failSafeA / 2))).holds).toBe(true);
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
