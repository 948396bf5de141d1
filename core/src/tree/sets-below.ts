import type { SupplyTree, TreeNode } from './supply-tree';

const NOTHING: readonly never[] = [];

/**
 * Everything that hangs below each node, by node id. A node that only passes on what one other node carries shares
 * that node's very list, so a reckoning can be kept per list and a chain of five nodes costs one. `same` may give a list of before in place of
 * one that holds the very same.
 */
export function setsBelow<T>(
  tree: SupplyTree,
  placed: ReadonlyMap<string, readonly T[]>,
  same: (nodeId: string, list: readonly T[]) => readonly T[] = (_nodeId, list) => list,
): Map<string, readonly T[]> {
  const sets = new Map<string, readonly T[]>();
  for (let at = tree.nodes.length - 1; at >= 0; at -= 1) {
    const here = tree.nodes[at];
    if (!here) continue;
    let set = placed.get(here.node.id) ?? NOTHING;
    let own = set.length > 0;
    for (const child of here.children) {
      const below = sets.get(child.node.id) ?? NOTHING;
      if (below.length === 0) continue;
      own ||= set.length > 0;
      set = set.length > 0 ? set.concat(below) : below;
    }
    // A list of another node's is that node's already.
    sets.set(here.node.id, own ? same(here.node.id, set) : set);
  }
  return sets;
}

/** Things gathered by the node each hangs from; those without a node of their own hang from the tree's `unplaced`. */
export function placedOn<T extends { readonly nodeId: string | undefined }>(
  tree: SupplyTree,
  things: readonly T[],
): Map<string, T[]> {
  const placed = new Map<string, T[]>();
  for (const thing of things) {
    const at = nodeOf(tree, thing.nodeId)?.node.id;
    if (at === undefined) continue;
    const here = placed.get(at);
    if (here) here.push(thing);
    else placed.set(at, [thing]);
  }
  return placed;
}

/** The node named, or where the unplaced hang. */
export function nodeOf(tree: SupplyTree, id: string | undefined): TreeNode | null {
  return (id === undefined ? undefined : tree.byId.get(id)) ?? tree.unplaced;
}
