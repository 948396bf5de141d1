import { isLoad } from '../survey/kinds';
import type { Proposal } from '../survey/proposal';

/**
 * The most a charger may draw per phase, in amperes, whatever a clamp does: its rating, or its own lower setting.
 * Null while the rating is not known; nothing for what only gives. A setting above the rating limits nothing.
 */
export function chargerLimitA(proposal: Proposal): number | null {
  if (!isLoad(proposal)) return 0;
  if (proposal.ratedA === undefined) return null;
  const { kind, fixedA } = proposal.limiter;
  if (kind === undefined || kind === 'none' || fixedA === undefined) return proposal.ratedA;
  return Math.min(proposal.ratedA, fixedA);
}

/** A clamp limiter with everything a guarantee needs said. */
export interface ClampSettings {
  readonly failSafeA: number;
  /** The first is the one at the intake, or wherever the controller's own clamp sits. */
  readonly clamps: readonly { readonly nodeId: string; readonly setPointA: number }[];
}

/** The clamp's settings, or which of them is missing. Null when the charger has no clamp. */
export function clampSettings(proposal: Proposal): ClampSettings | { readonly missing: string } | null {
  const { kind, setPointA, failSafeA, clampNodeId, moreClamps = [] } = proposal.limiter;
  if (kind !== 'clamp') return null;
  if (clampNodeId === undefined) return { missing: 'where the clamp sits' };
  if (setPointA === undefined) return { missing: 'the set-point' };
  if (failSafeA === undefined) return { missing: 'the fail-safe current' };
  const clamps = [{ nodeId: clampNodeId, setPointA }];
  for (const more of moreClamps) {
    if (more.nodeId === undefined) return { missing: 'where the second clamp sits' };
    if (more.setPointA === undefined) return { missing: 'the set-point of the second clamp' };
    clamps.push({ nodeId: more.nodeId, setPointA: more.setPointA });
  }
  return { failSafeA, clamps };
}
