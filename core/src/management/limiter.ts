import { isCharger, isLoad } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';

/** Whether equipment can be held to a current at all: a charger by its nature, anything else where its maker gives it an input for it. */
function takesFixedLimit(proposal: Proposal): boolean {
  return isCharger(proposal) || (proposal.stepsA?.length ?? 0) > 0;
}

/** Whether equipment gives way to a clamp: a charger unless it is known to take none, anything else only where it is known to. */
export function takesClamp(proposal: Proposal): boolean {
  if (proposal.clampLinks === undefined) return isCharger(proposal);
  return proposal.clampLinks.length > 0;
}

/** Whether it has the fixed setting recorded; where its steps are not recorded those usually met are taken. */
function hasSetting({ limiter: { fixedA }, ratedA, stepsA }: Proposal): boolean {
  return fixedA === undefined || fixedA === ratedA || !stepsA?.length || stepsA.includes(fixedA);
}

/** A limit the equipment cannot keep, and why; what it is counted at then is its full rating. */
export interface LimitFault {
  readonly id: 'cannot-be-limited' | 'setting-no-step' | 'cannot-manage' | 'fail-safe-no-step';
  readonly says: string;
}

/** Everything the way it is to be limited asks of the equipment and the equipment does not have. */
export function limitFaults(proposal: Proposal): LimitFault[] {
  const { limiter, ratedA, failSafesA } = proposal;
  const { kind, fixedA, failSafeA } = limiter;
  if (!isLoad(proposal) || kind === undefined || kind === 'none') return [];
  const lowered = fixedA !== undefined && (ratedA === undefined || fixedA < ratedA);
  const faults: (LimitFault | false)[] = [
    lowered &&
      !takesFixedLimit(proposal) && {
        id: 'cannot-be-limited',
        says: 'it has no setting that holds it to a lower current, so its full rating counts',
      },
    !hasSetting(proposal) && { id: 'setting-no-step', says: `it cannot be set to ${fixedA ?? '?'} A` },
    kind === 'clamp' && !takesClamp(proposal) && { id: 'cannot-manage', says: 'this equipment takes no clamp' },
    kind === 'clamp' &&
      failSafeA !== undefined &&
      failSafesA !== undefined &&
      !failSafesA.includes(failSafeA) && {
        id: 'fail-safe-no-step',
        says: `its fail-safe cannot be set to ${failSafeA} A`,
      },
  ];
  return faults.filter((each) => each !== false);
}

/**
 * The most equipment may draw per phase, in amperes, whatever a clamp does: its rating, or its own lower setting where it has one to be set
 * to. Null while the rating is not known; nothing for what only gives. A setting above the rating limits nothing.
 */
export function chargerLimitA(proposal: Proposal): number | null {
  if (!isLoad(proposal)) return 0;
  if (proposal.ratedA === undefined) return null;
  const { kind, fixedA } = proposal.limiter;
  if (kind === undefined || kind === 'none' || fixedA === undefined) return proposal.ratedA;
  if (!takesFixedLimit(proposal) || !hasSetting(proposal)) return proposal.ratedA;
  return Math.min(proposal.ratedA, fixedA);
}

/** A clamp limiter with everything a guarantee needs said. */
export interface ClampSettings {
  readonly failSafeA: number;
  /** The first is the one at the intake, or wherever the controller's own clamp sits. */
  readonly clamps: readonly { readonly nodeId: string; readonly setPointA: number }[];
}

/** Every clamp of a limiter as recorded, the controller's own first; what is left out is not known. None where it manages by no clamp. */
export function clampsOf({ limiter }: Pick<Proposal, 'limiter'>): readonly {
  readonly nodeId: string | undefined;
  readonly setPointA: number | undefined;
}[] {
  const { kind, clampNodeId, setPointA, moreClamps = [] } = limiter;
  if (kind !== 'clamp') return [];
  return [
    { nodeId: clampNodeId, setPointA },
    ...moreClamps.map((more) => ({ nodeId: more.nodeId, setPointA: more.setPointA })),
  ];
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
