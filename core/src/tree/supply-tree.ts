import type { Survey } from '../survey/survey';
import type { SupplyNode } from '../survey/supply';
import type { NodeKind, Phase } from '../survey/words/words';

/** What hangs at one point of the tree: the node, what it feeds, and the ids of loads and new equipment on it. */
export interface TreeNode {
  readonly node: SupplyNode;
  readonly parent: TreeNode | null;
  readonly children: TreeNode[];
}

/** The supply from the street to the boards, with the way to find any part of it. */
export interface SupplyTree {
  readonly root: TreeNode | null;
  /** Street first, each node before those it feeds. */
  readonly nodes: readonly TreeNode[];
  readonly byId: ReadonlyMap<string, TreeNode>;
  /** What limits this supply: the cut-out's fuse, or the switch-fuse after a solid link. */
  readonly device: TreeNode | null;
  /** Where a load counts when nobody has said what it hangs from: the point every board below the device hangs from. */
  readonly unplaced: TreeNode | null;
}

/** The tree of a valid survey's supply. A survey without nodes gives an empty tree. */
export function supplyTree({ supply, proposals }: Pick<Survey, 'supply' | 'proposals'>): SupplyTree {
  return treeOf(supply.nodes, equipmentAt(proposals), supply.deviceId);
}

/** What the new equipment hangs from, as far as anybody has said so: that decides which fuse limits it. */
export function equipmentAt(proposals: Survey['proposals']): string | undefined {
  return proposals.find(({ nodeId }) => nodeId)?.nodeId;
}

/** The tree of these nodes, its limiting device the one that is said to be it, or else the one that feeds the node named. */
export function treeOf(supply: readonly SupplyNode[], equipment: string | undefined, said?: string): SupplyTree {
  const made = new Map<string, TreeNode & { parent: TreeNode | null }>();
  for (const node of supply) made.set(node.id, { node, parent: null, children: [] });
  let root: TreeNode | null = null;
  for (const here of made.values()) {
    const parent = here.node.fedFrom === undefined ? undefined : made.get(here.node.fedFrom);
    if (parent) {
      here.parent = parent;
      parent.children.push(here);
    } else root ??= here;
  }
  const nodes = root ? below(root) : [];
  const named = made.get(said ?? '');
  // What limits nothing, such as a solid link, is no limiting device whoever says so.
  const device = named && isFuse(named) ? named : limitingDevice(nodes, made.get(equipment ?? '') ?? null);
  const boards = (device ? below(device) : nodes).filter(({ node }) => node.kind === 'board');
  return { root, nodes, byId: made, device, unplaced: commonFeeder(boards) ?? device ?? root };
}

/** A node and everything under it, each before what it feeds. */
export function below(start: TreeNode): TreeNode[] {
  const found = [start];
  for (const here of found) found.push(...here.children);
  return found;
}

/** A node and everything between it and the street, the node first. */
export function towardsStreet(start: TreeNode | null): TreeNode[] {
  const way: TreeNode[] = [];
  for (let at = start; at; at = at.parent) way.push(at);
  return way;
}

/** The node furthest from the street that feeds (or is) every one of these. */
function commonFeeder(nodes: readonly TreeNode[]): TreeNode | null {
  const [first, ...others] = nodes.map((node) => towardsStreet(node));
  return first?.find((candidate) => others.every((way) => way.includes(candidate))) ?? null;
}

/**
 * What limits the supply that feeds the new equipment: the fuse nearest the street on its way, whichever cut-out or switch-fuse that is. While
 * nobody has said what the equipment hangs from, the first fuse of the tree. A head with a solid link and nothing after it is still where to
 * ask.
 */
function limitingDevice(nodes: readonly TreeNode[], equipment: TreeNode | null): TreeNode | null {
  const first = nodes.find(({ node }) => node.kind === 'cut-out' || node.kind === 'switch-fuse');
  return outermostFuse(equipment) ?? nodes.find(isFuse) ?? first ?? null;
}

function isFuse(here: TreeNode): boolean {
  return (here.node.kind === 'cut-out' || here.node.kind === 'switch-fuse') && protects(here);
}

/** The cut-out or switch-fuse nearest the street between a node and it; null where there is none on the way. */
export function outermostFuse(node: TreeNode | null): TreeNode | null {
  return towardsStreet(node).filter(isFuse).at(-1) ?? null;
}

/** Whether a node hangs from another, or is it. */
export function hangsFrom(node: TreeNode | null, above: TreeNode): boolean {
  for (let at = node; at; at = at.parent) if (at === above) return true;
  return false;
}

/** The line a node hangs from: its own, or that of the nearest node above it that has one. */
export function phaseAt(node: TreeNode | null): Phase | undefined {
  for (let at = node; at; at = at.parent) if (at.node.phase !== undefined) return at.node.phase;
  return undefined;
}

/** Kinds of node that stop a current above their rating. */
const PROTECTIVE: readonly NodeKind[] = ['cut-out', 'switch-fuse', 'device', 'feeder'];

/** Whether a node stops a current above its rating; a solid link does not. */
export function protects({ node }: TreeNode): boolean {
  return PROTECTIVE.includes(node.kind) && node.head !== 'solid-link';
}

/** The nearest protective node between a node and the street, itself left out. */
export function protectiveAbove(node: TreeNode): TreeNode | null {
  return towardsStreet(node.parent).find(protects) ?? null;
}
