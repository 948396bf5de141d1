import type { PerPhase } from '../demand/per-phase-figures';
import { setPointWithin } from '../management/clamp-limit';
import { guard, heldAtWorst, type NodeFlow } from '../management/managed-demand';
import { momentWords, type Moment } from '../management/moments';
import { shown } from '../rules/rounding';
import type { Rules } from '../rules/rules';
import type { Phase } from '../survey/words/words';
import { exceeds } from '../worked';
import type { NodeAssessment } from './node-assessment';

/** What flows at a node on one line. */
export type PhaseFlow = NodeFlow & { readonly phase: Phase };

/** Whether a node is kept within its rating on every line, clamp working or lost, and what it allows of the settings. */
export function guardOf(
  ratingA: number | null,
  flows: readonly PhaseFlow[],
  after: PerPhase,
  moments: readonly Moment[],
  rules: Rules,
): NonNullable<NodeAssessment['guard']> {
  const unknown = Object.values(after).find(({ value, bound }) => value === null || bound === 'at-least');
  const bounds = boundsOf(ratingA, flows, rules);
  const hidden = flows.some(({ clamps }) => clamps.some(({ sourcesA }) => sourcesA === null));
  const verdicts =
    ratingA === null ? [] : flows.map((flow) => ({ phase: flow.phase, ...guard(ratingA, atLeast(flow)) }));
  const failing = verdicts.find(({ holds }) => !holds);
  const over = moments.find(({ within }) => !within);
  // What is known already to pass the rating fails, whatever else is not known.
  if (failing) {
    const on = flows.length > 1 ? ` on ${failing.phase}` : '';
    return failing.overA > 0
      ? { ...bounds, holds: false, why: `${shown(failing.overA)} A over its rating${on} with the clamp working.` }
      : {
          ...bounds,
          holds: false,
          why: `${shown(failing.failSafeOverA)} A over its rating${on} at the fail-safe current.`,
        };
  }
  if (over) return { ...bounds, holds: false, why: momentWords(over) };
  if (unknown) return { ...bounds, holds: null, why: unknown.why ?? 'The demand here is not known.' };
  if (ratingA === null) return { ...bounds, holds: null, why: 'Its rating is not recorded.' };
  if (hidden)
    return {
      ...bounds,
      holds: null,
      why: 'Not known what the clamp does not see, or what generation behind it gives.',
    };
  return { ...bounds, holds: true, why: 'Within its rating, clamp working or lost.' };
}

/** What flows at the least where it is not known what a clamp does not see. */
function atLeast(flow: PhaseFlow): PhaseFlow {
  return { ...flow, clamps: flow.clamps.map((clamp) => ({ ...clamp, sourcesA: clamp.sourcesA ?? 0 })) };
}

/** What a node allows of the settings: no set-point is too large where everything at once stays within its rating. */
function boundsOf(
  ratingA: number | null,
  flows: readonly PhaseFlow[],
  rules: Rules,
): { mostSetPointA: number | null; mostFailSafeA: number | null } {
  if (ratingA === null) return { mostSetPointA: null, mostFailSafeA: null };
  const carrying = flows.filter(({ limitA }) => limitA > 0);
  const setPoints = carrying
    .filter(({ unmanagedA }) => exceeds(unmanagedA, ratingA))
    // What another clamp of the controller keeps here the first need not.
    .filter(({ clamps }) => clamps.slice(1).every((clamp) => exceeds(heldAtWorst(clamp) ?? Infinity, ratingA)))
    .map(({ clamps: [first] }) => setPointWithin(ratingA - (first?.blind.value ?? 0) - (first?.sourcesA ?? 0), rules));
  const failSafes = carrying.map(({ other }) => ratingA - other.value);
  return {
    mostSetPointA: setPoints.length === 0 ? null : Math.min(...setPoints),
    mostFailSafeA: failSafes.length === 0 ? null : Math.min(...failSafes),
  };
}
