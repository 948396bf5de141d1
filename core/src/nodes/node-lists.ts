import type { Connected } from '../demand/connected';
import type { SupplyDemand } from '../demand/supply-demand';
import type { ClampLimit } from '../management/clamp-limit';
import type { Steps } from '../memory';
import { nodeOf, placedOn, setsBelow } from '../tree/sets-below';
import type { SupplyTree, TreeNode } from '../tree/supply-tree';

/** What hangs below one node, list by list; a list that did not change is the very one of before. */
export interface NodeLists {
  readonly before: readonly Connected[];
  readonly after: readonly Connected[];
  /** Loads that count in the other basis only, and that nothing listed in this one stands for. */
  readonly leavesOut: boolean;
  /** With a clamp limiter: everything but the chargers it holds, those chargers, and what each clamp cannot see. */
  readonly others: readonly Connected[];
  readonly held: readonly Connected[];
  readonly unseen: readonly (readonly Connected[])[];
}

const NOTHING: readonly Connected[] = [];

/** The lists below every node of the tree: folds over the sets of loads that hang from each. */
export function nodeLists(
  tree: SupplyTree,
  {
    countedAnywhere: counted,
    stayingAnywhere: staying,
    proposed,
    leftOut,
  }: Pick<SupplyDemand, 'countedAnywhere' | 'stayingAnywhere' | 'proposed' | 'leftOut'>,
  limit: ClampLimit | null,
  { same }: Pick<Steps, 'same'>,
): (here: TreeNode) => NodeLists {
  const everything = [...staying, ...proposed];
  const goes = staying !== counted;
  const managed = new Set(limit?.chargers.map((each) => each.proposal.id));
  const below = (name: string, loads: readonly Connected[]): ((id: string) => readonly Connected[]) => {
    if (loads.length === 0) return () => NOTHING;
    const sets = setsBelow(tree, placedOn(tree, loads), (id, list) => same(`${name} ${id}`, list));
    return (id) => sets.get(id) ?? NOTHING;
  };
  const before = below('before', counted);
  const added = below('added', proposed);
  const together = below('together', everything);
  const others = below('others', limit ? everything.filter(({ id }) => !managed.has(id)) : NOTHING);
  const held = below('held', limit ? proposed.filter(({ id }) => managed.has(id)) : NOTHING);
  const unseen = (limit?.clamps ?? []).map(({ seenNodes }, at) =>
    below(
      `unseen ${at}`,
      everything.filter(({ nodeId }) => !seenNodes.has(nodeOf(tree, nodeId)?.node.id ?? '')),
    ),
  );
  const out = below('left out', leftOut);
  return ({ node: { id } }) => ({
    before: before(id),
    // Where nothing is added or taken away the very list of before serves, and with it the demand already found.
    after: goes || added(id).length > 0 ? together(id) : before(id),
    leavesOut: out(id).length > 0,
    others: others(id),
    held: held(id),
    unseen: same(
      `unseen ${id}`,
      unseen.map((each) => each(id)),
    ),
  });
}
