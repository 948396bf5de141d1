import { exceeds, reckon, written, type Worked } from '../worked';

/** One clamp as it bears on a node: what the controller holds it to, and what flows at the node that it cannot see. */
export interface ClampAtNode {
  readonly setPointA: number;
  /** What the set-point becomes where the clamp reads low by its error and its reading is cut off to its steps. */
  readonly worstA: number;
  /** Demand of the loads here, and limits of managed chargers here, that this clamp cannot see. */
  readonly blind: Worked;
  /** What sources this clamp sees give elsewhere: it lets in so much more here. Null where that is not known. */
  readonly sourcesA: number | null;
}

/** What flows at one node on one phase, part by part, in amperes. */
export interface NodeFlow {
  /** Demand of everything but the managed chargers. */
  readonly other: Worked;
  /** Demand with the chargers free to draw their limits; what cannot run together counts once. */
  readonly unmanagedA: number;
  /** The limits of the managed chargers here on this phase, added up; 0 where none is on it. */
  readonly limitA: number;
  /** What they drop to when a clamp or its link is lost, added up, none above its limit. */
  readonly failSafeA: number;
  readonly clamps: readonly ClampAtNode[];
}

/**
 * The most that can flow with the clamps working: the greater of the other demand alone, and the lesser of everything at
 * once and what the strictest clamp allows plus what it cannot see; never more than unmanaged. In amperes. Source: first principles,
 * guide section 10.
 */
export function managedDemand(flow: NodeFlow): Worked {
  const { other, unmanagedA, clamps } = flow;
  const held = clamps.map((clamp) => heldBy(clamp) ?? Infinity);
  const value = heldTo(flow, held);
  return reckon(
    'Maximum demand, managed',
    value,
    'A',
    () => ({
      expression:
        'greater of other demand and the least of (other + charger limit, each set-point + what its clamp cannot see + what generation it sees gives elsewhere)',
      substituted: `greater of ${written(other.value)} and least of (${[unmanagedA, ...held].map(written).join(', ')}) = ${written(value)} A`,
    }),
    [other, ...clamps.map(({ blind }) => blind)],
  );
}

function heldTo({ other, unmanagedA }: NodeFlow, held: readonly number[]): number {
  return Math.min(unmanagedA, Math.max(other.value, Math.min(unmanagedA, ...held)));
}

/** The most a working clamp lets flow at a node, in amperes; null where it is not known. Source: first principles. */
export function heldBy({ setPointA, blind, sourcesA }: ClampAtNode): number | null {
  return sourcesA === null ? null : setPointA + blind.value + sourcesA;
}

/** The same for a clamp that reads as low as it may. */
export function heldAtWorst({ worstA, blind, sourcesA }: ClampAtNode): number | null {
  return sourcesA === null ? null : worstA + blind.value + sourcesA;
}

/** What flows with the clamps working as badly as they may, for a house that takes so much at that moment; in amperes. */
export function guardedA(flow: NodeFlow, houseA = flow.other.value): number {
  const held = flow.clamps.map((clamp) => heldAtWorst(clamp) ?? Infinity);
  const freeA = houseA + flow.unmanagedA - flow.other.value;
  return heldTo({ ...flow, other: { ...flow.other, value: houseA }, unmanagedA: freeA }, held);
}

/** What flows with a clamp or its link lost: everything else and the fail-safe currents, in amperes. */
export function lostA({ other, failSafeA, unmanagedA }: NodeFlow): number {
  return Math.min(unmanagedA, other.value + failSafeA);
}

/** Whether a node is kept within its rating on one phase, clamps working and lost; and if not, by how much. */
export interface GuardVerdict {
  readonly holds: boolean;
  readonly overA: number;
  readonly failSafeOverA: number;
}

/** The guarantee at one node: managed demand, and other demand with the fail-safe current, both within the rating. */
export function guard(ratingA: number, flow: NodeFlow): GuardVerdict {
  const managedA = guardedA(flow);
  const failedA = lostA(flow);
  return {
    holds: !exceeds(managedA, ratingA) && !exceeds(failedA, ratingA),
    overA: Math.max(0, managedA - ratingA),
    failSafeOverA: Math.max(0, failedA - ratingA),
  };
}
