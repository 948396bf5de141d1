import type { Survey } from '../survey/survey';
import type { SupplyNode } from '../survey/supply';

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
  /** Where a load counts when nobody has said what it hangs from. */
  readonly unplaced: TreeNode | null;
}

/** The tree of a valid survey's supply. A survey without nodes gives an empty tree. */
export function supplyTree(survey: Survey): SupplyTree {
  const made = new Map<string, TreeNode & { parent: TreeNode | null }>();
  for (const node of survey.supply.nodes) made.set(node.id, { node, parent: null, children: [] });
  let root: TreeNode | null = null;
  for (const here of made.values()) {
    const parent = here.node.fedFrom === undefined ? undefined : made.get(here.node.fedFrom);
    if (parent) {
      here.parent = parent;
      parent.children.push(here);
    } else root ??= here;
  }
  const nodes = root ? below(root) : [];
  return { root, nodes, byId: made, unplaced: commonFeeder(nodes.filter(({ node }) => node.kind === 'board')) ?? root };
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

/** The origin's cut-out, or the first switch-fuse where the head holds a solid link. */
export function limitingDevice(tree: SupplyTree): TreeNode | undefined {
  return (
    tree.nodes.find(({ node }) => node.kind === 'cut-out') ?? tree.nodes.find(({ node }) => node.kind === 'switch-fuse')
  );
}
