import type { Assessment, NodeAssessment } from '../assessment';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { below, towardsStreet, type SupplyTree, type TreeNode } from '../tree/supply-tree';
import { chargerLimitA, clampSettings, type ClampSettings } from './limiter';

/** One charger kept by one clamp: where the clamp sits, what the settings are, which nodes it must protect. */
export interface ClampLimit {
  readonly proposal: Proposal;
  readonly settings: ClampSettings;
  readonly limitA: number;
  /** From the charger's node to the street. */
  readonly way: ReadonlySet<TreeNode>;
  /** Ids of the nodes whose loads the clamp sees. */
  readonly seenNodes: ReadonlySet<string>;
  /** A clamp that does not carry the charger's own current misleads its controller. */
  readonly seesCharger: boolean;
}

/** The clamp limit, when exactly one charger has one and its settings are complete; otherwise null. */
export function clampLimit(survey: Survey, tree: SupplyTree): ClampLimit | null {
  const clamped = survey.proposals.filter(({ limiter }) => limiter.kind === 'clamp');
  const [proposal] = clamped;
  if (!proposal || clamped.length > 1) return null;
  const settings = clampSettings(proposal);
  const limitA = chargerLimitA(proposal);
  const chargerNode = nodeOf(tree, proposal.nodeId);
  if (!settings || 'missing' in settings || limitA === null || !chargerNode) return null;
  const clampNode = tree.byId.get(settings.clampNodeId);
  if (!clampNode) return null;
  const way = new Set(towardsStreet(chargerNode));
  const seenNodes = new Set(below(clampNode).map(({ node }) => node.id));
  return { proposal, settings, limitA, way, seenNodes, seesCharger: way.has(clampNode) };
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
    if (!limit.seesCharger)
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
