import { exceeds, reckon, written, type Worked } from '../worked';
import type { ClampSettings } from './limiter';

/** What flows at one node on one phase, part by part, in amperes. */
export interface NodeFlow {
  /** Demand of everything but the managed charger. */
  readonly other: Worked;
  /** The charger's own limit on this phase; 0 when it is not on it. */
  readonly limitA: number;
  /** Demand of the loads here that the clamp cannot see. */
  readonly blind: Worked;
}

/**
 * The most that can flow with the clamp working: the greater of the other demand alone, and the lesser of everything
 * at once and what the clamp allows plus what it cannot see. In amperes. Source: first principles, guide section 10.
 */
export function managedDemand(flow: NodeFlow, clamp: ClampSettings): Worked {
  const together = flow.other.value + flow.limitA;
  const held = clamp.setPointA + flow.blind.value;
  const value = Math.max(flow.other.value, Math.min(together, held));
  return reckon(
    'Maximum demand, managed',
    value,
    'A',
    () => ({
      expression:
        'greater of other demand and the lesser of (other + charger limit, set-point + loads the clamp cannot see)',
      substituted: `greater of ${written(flow.other.value)} and lesser of (${written(together)}, ${written(held)}) = ${written(value)} A`,
    }),
    [flow.other, flow.blind],
  );
}

/** Whether a node is kept within its rating on one phase, clamp working and clamp lost; and if not, by how much. */
export interface GuardVerdict {
  readonly holds: boolean;
  readonly overA: number;
  readonly failSafeOverA: number;
}

/** The guarantee at one node: managed demand, and other demand with the fail-safe current, both within the rating. */
export function guard(ratingA: number, flow: NodeFlow, clamp: ClampSettings): GuardVerdict {
  const managedA = managedDemand(flow, clamp).value;
  const failedA = flow.other.value + (flow.limitA === 0 ? 0 : Math.min(clamp.failSafeA, flow.limitA));
  return {
    holds: !exceeds(managedA, ratingA) && !exceeds(failedA, ratingA),
    overA: Math.max(0, managedA - ratingA),
    failSafeOverA: Math.max(0, failedA - ratingA),
  };
}
