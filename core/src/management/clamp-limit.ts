import type { Rules } from '../rules/rules';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { below, towardsStreet, type SupplyTree, type TreeNode } from '../tree/supply-tree';
import { chargerLimitA, clampSettings, takesClamp } from './limiter';
import { sourcesOn, type Source } from './sources';

/** One clamp of the controller: what it is held to, and the nodes whose loads it sees. */
export interface Clamp {
  readonly node: TreeNode;
  readonly setPointA: number;
  /** What that becomes at the clamp's worst: read low by its error, cut off to its steps. */
  readonly worstA: number;
  readonly seenNodes: ReadonlySet<string>;
  /** Generation it sees: what that gives, the clamp does not count. */
  readonly sources: readonly Source[];
}

/** One charger the controller holds back. */
export interface ManagedCharger {
  readonly proposal: Proposal;
  readonly limitA: number;
  readonly failSafeA: number;
  readonly node: TreeNode;
}

/** Chargers kept by one controller: its clamps, who gives way, and the nodes it must protect. */
export interface ClampLimit {
  readonly chargers: readonly ManagedCharger[];
  readonly clamps: readonly Clamp[];
  /** From the chargers to the street. */
  readonly way: ReadonlySet<TreeNode>;
  /** Every charger's own current passes through one of the clamps; one that does not misleads the controller. */
  readonly seesChargers: boolean;
}

/** What a set-point becomes where the clamp errs, in amperes: (S + step) ÷ (1 − error). Source: guide section 10. */
export function worstSetPointA(setPointA: number, rules: Rules): number {
  return (setPointA + rules.clampStepA.value) / (1 - rules.clampErrorPercent.value / 100);
}

/** The largest set-point whose worst does not pass a bound, in amperes: the inverse of `worstSetPointA`. */
export function setPointWithin(boundA: number, rules: Rules): number {
  return boundA * (1 - rules.clampErrorPercent.value / 100) - rules.clampStepA.value;
}

/**
 * The clamp limit, when the settings of every clamped charger are complete and all of them have the same clamps: then
 * they share what is left. Chargers on clamps of their own would each fill the same room; for those it is null. Equipment that takes no
 * clamp is held by none and counts in full.
 */
export function clampLimit(survey: Survey, tree: SupplyTree, rules: Rules): ClampLimit | null {
  const clamped = survey.proposals.filter((each) => each.limiter.kind === 'clamp' && takesClamp(each));
  if (clamped.length === 0) return null;
  const chargers: ManagedCharger[] = [];
  const keys = new Set<string>();
  let clamps: Clamp[] = [];
  const sources = sourcesOn(survey, tree);
  for (const proposal of clamped) {
    const settings = clampSettings(proposal);
    const limitA = chargerLimitA(proposal);
    const node = nodeOf(tree, proposal.nodeId);
    if (!settings || 'missing' in settings || limitA === null || !node) return null;
    clamps = settings.clamps.flatMap(({ nodeId, setPointA }) => {
      const at = tree.byId.get(nodeId);
      if (!at) return [];
      const seenNodes = new Set(below(at).map((each) => each.node.id));
      return [
        {
          node: at,
          setPointA,
          worstA: worstSetPointA(setPointA, rules),
          seenNodes,
          sources: sources.filter((each) => seenNodes.has(each.node.node.id)),
        },
      ];
    });
    if (clamps.length < settings.clamps.length) return null;
    chargers.push({ proposal, limitA, failSafeA: Math.min(settings.failSafeA, limitA), node });
    keys.add(
      settings.clamps
        .map(({ nodeId, setPointA }) => `${nodeId} ${setPointA}`)
        .sort()
        .join(', '),
    );
  }
  if (keys.size > 1) return null;
  return {
    chargers,
    clamps,
    way: new Set(chargers.flatMap(({ node }) => towardsStreet(node))),
    seesChargers: chargers.every(({ node }) => clamps.some(({ seenNodes }) => seenNodes.has(node.node.id))),
  };
}
