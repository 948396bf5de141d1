import type { Statement } from '../finding';
import type { Connected } from '../demand/connected';
import { clampFit } from './clamp-fit';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { type NodeKind, nodeName } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { below, hangsFrom, type SupplyTree, type TreeNode } from '../tree/supply-tree';

/** A load or new equipment that a clamp cannot see, and where it hangs. */
export interface BlindLoad {
  readonly id: string;
  readonly label: string;
  readonly at: string;
}

/** Everything below the limiting device that a clamp on a node’s incoming conductor does not see. */
export function blindTo(clamp: TreeNode, things: readonly Connected[], tree: SupplyTree): BlindLoad[] {
  return things.flatMap(({ id, label, nodeId }) => {
    const at = nodeOf(tree, nodeId);
    if (!at || hangsFrom(at, clamp)) return [];
    if (tree.device && !hangsFrom(at, tree.device)) return [];
    return [{ id, label, at: nodeName(at.node) }];
  });
}

/** Whether a clamp sits where its charger’s current passes, sees what it should, and is put on the right way. */
export function placementFindings(survey: Survey, tree: SupplyTree, existing: readonly Connected[]): Statement[] {
  return survey.proposals
    .filter(({ limiter }) => limiter.kind === 'clamp')
    .flatMap((proposal) => [
      ...whereFindings(proposal, tree, existing),
      ...clampFit(proposal, survey, tree).wrong.map(({ id, says, remedy, field }): Statement => ({
        id,
        grade: 'act',
        on: 'limiter',
        station: 'limit',
        subjectId: proposal.id,
        title: `${equipmentName(proposal)}: ${says}.`,
        remedy,
        field,
      })),
    ]);
}

/** Nodes whose incoming conductor is the operator’s or the meter operator’s. */
export const BEFORE_THE_METER: readonly NodeKind[] = ['service', 'cut-out', 'meter'];

/** Of a way towards the street, what is on the customer’s side: everything up to the meter, and nothing that stands before it. */
export function customersSide(way: readonly TreeNode[]): TreeNode[] {
  const meter = way.findIndex(({ node }) => node.kind === 'meter');
  return (meter < 0 ? way : way.slice(0, meter)).filter(({ node }) => !BEFORE_THE_METER.includes(node.kind));
}

/** The node a clamp sits on, where its conductor is not the customer’s. */
export function beforeMeter(clampNodeId: string | undefined, tree: SupplyTree): TreeNode | undefined {
  const clamp = clampNodeId === undefined ? undefined : tree.byId.get(clampNodeId);
  return clamp && BEFORE_THE_METER.includes(clamp.node.kind) ? clamp : undefined;
}

function whereFindings(proposal: Proposal, tree: SupplyTree, existing: readonly Connected[]): Statement[] {
  const clamp = tree.byId.get(proposal.limiter.clampNodeId ?? '');
  const charger = nodeOf(tree, proposal.nodeId);
  if (!clamp || !charger) return [];
  const name = equipmentName(proposal);
  const about = {
    station: 'limit',
    on: 'limiter',
    subjectId: clamp.node.id,
    field: 'proposals.limiter.clampNodeId',
  } as const;
  const seesIt = [clamp.node.id, ...(proposal.limiter.moreClamps ?? []).map(({ nodeId }) => nodeId)].some((id) => {
    const at = id === undefined ? undefined : tree.byId.get(id);
    return at !== undefined && hangsFrom(charger, at);
  });
  if (!seesIt)
    return [
      {
        ...about,
        id: 'clamp-wrong-side',
        grade: 'act',
        title: `${nodeName(clamp.node)}: the clamp here does not carry ${name}’s own current, so its controller works with a false figure.`,
        remedy: 'On the line tail after the meter and before any split, where it carries the charger and every board.',
      },
    ];
  const found: Statement[] = BEFORE_THE_METER.includes(clamp.node.kind)
    ? [
        {
          ...about,
          id: 'clamp-before-meter',
          grade: 'act',
          title: `${nodeName(clamp.node)}: the clamp here sits before the meter, on conductors that are not the customer’s.`,
          remedy: 'On the line tail after the meter and before any split: it sees the same there.',
        },
      ]
    : [];
  const blind = blindTo(clamp, existing, tree);
  if (blind.length === 0) return found;
  const places = [...new Set(blind.map(({ at }) => at))].join(', ');
  return [
    ...found,
    {
      ...about,
      id: 'clamp-blind',
      grade: 'note',
      title: `${nodeName(clamp.node)}: the clamp here is blind to ${blind.length} load${blind.length === 1 ? '' : 's'} at ${places}.`,
      remedy: 'What it cannot see comes on top of the set-point. Before the split it would see every board.',
    },
  ];
}

/** What a clamp sees, for the line-up to light up: every node below it. */
export function seenBy(clampNodeId: string | undefined, tree: SupplyTree): ReadonlySet<string> {
  const clamp = clampNodeId === undefined ? undefined : tree.byId.get(clampNodeId);
  return new Set(clamp ? below(clamp).map(({ node }) => node.id) : []);
}
