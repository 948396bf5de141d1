import type { Survey } from '../survey/survey';
import type { NodeKind } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { protects, type SupplyTree, type TreeNode } from '../tree/supply-tree';

/** Kinds whose rating is asked for here; the others have a check of the chain that asks, and a cable bears no marking. */
const ASKED_HERE: readonly NodeKind[] = ['device', 'feeder', 'switch-fuse', 'cut-out'];

/**
 * Nodes that carry something and have no rating recorded: nothing can be held against them, which is not the same as being fine. Fuses the new
 * equipment's current passes through have a question of their own.
 */
export function unratedNodes(survey: Survey, tree: SupplyTree): { readonly here: TreeNode; readonly onWay: boolean }[] {
  const wayOf = (things: readonly { nodeId?: string }[]): Set<TreeNode> => {
    const way = new Set<TreeNode>();
    // What is on the way of one thing already is on it with everything above.
    for (const { nodeId } of things)
      for (let at = nodeOf(tree, nodeId); at && !way.has(at); at = at.parent) way.add(at);
    return way;
  };
  const [carrying, loaded] = [wayOf(survey.proposals), wayOf(survey.loads)];
  return tree.nodes.flatMap((here) => {
    const { kind, ratingA } = here.node;
    const onWay = carrying.has(here);
    const asked = ASKED_HERE.includes(kind) && protects(here) && ratingA === undefined && here !== tree.device;
    const fuse = kind === 'switch-fuse' || kind === 'cut-out';
    return asked && (onWay ? !fuse : loaded.has(here)) ? [{ here, onWay }] : [];
  });
}
