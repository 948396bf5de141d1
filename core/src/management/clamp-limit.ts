import type { Assessment, NodeAssessment } from '../assessment';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { below, towardsStreet, type SupplyTree, type TreeNode } from '../tree/supply-tree';
import { chargerLimitA, clampSettings } from './limiter';
import { sourcesOn, type Source } from './sources';

/** One clamp of the controller: what it is held to, and the nodes whose loads it sees. */
export interface Clamp {
  readonly node: TreeNode;
  readonly setPointA: number;
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

/**
 * The clamp limit, when the settings of every clamped charger are complete and all of them have the same clamps: then
 * they share what is left. Chargers on clamps of their own would each fill the same room; for those it is null.
 */
export function clampLimit(survey: Survey, tree: SupplyTree): ClampLimit | null {
  const clamped = survey.proposals.filter(({ limiter }) => limiter.kind === 'clamp');
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
      return [{ node: at, setPointA, seenNodes, sources: sources.filter((each) => seenNodes.has(each.node.node.id)) }];
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

/** Whether the way the new equipment is limited can be relied on, at every node to the street. */
export function limiterVerdict(
  survey: Survey,
  limit: ClampLimit | null,
  nodes: readonly NodeAssessment[],
): Assessment['demand']['limiter'] {
  const kinds = survey.proposals.map(({ limiter }) => limiter.kind ?? 'none');
  if (kinds.includes('clamp')) {
    if (!limit) return { kind: 'clamp', holds: false, why: 'The clamp’s settings are not complete.' };
    if (!limit.seesChargers)
      return {
        kind: 'clamp',
        holds: false,
        why: 'The clamp does not carry the charger’s current: it misleads the controller.',
      };
    const failing = nodes.find(({ guard }) => guard && !guard.holds);
    if (failing?.guard) return { kind: 'clamp', holds: false, why: `${failing.label}: ${failing.guard.why}` };
    return {
      kind: 'clamp',
      holds: true,
      why: 'Every node between the street and the charger stays within its rating.',
    };
  }
  if (!kinds.includes('fixed')) return { kind: 'none', holds: false, why: 'No limiter.' };
  const set = survey.proposals.every(({ limiter }) => limiter.kind !== 'fixed' || limiter.fixedA !== undefined);
  return set
    ? { kind: 'fixed', holds: true, why: 'A fixed setting, counted in full.' }
    : { kind: 'fixed', holds: false, why: 'The setting is not known; the full rating is counted.' };
}
