import { HAIR } from '../rules/rounding';
import type { Connected } from '../demand/connected';
import { inBasis, type PhaseDemand } from '../demand/maximum-demand';
import type { ListBasis } from '../survey/words/words';
import { below, type SupplyTree } from '../tree/supply-tree';
import { placedOn, setsBelow } from '../tree/sets-below';
import { isFeeder } from './feeder-nodes';

const OTHER: Readonly<Record<ListBasis, ListBasis>> = { circuits: 'appliances', appliances: 'circuits' };

/**
 * By how much, on each phase, what hangs at a feeder and below it takes more in the other list basis than in the one
 * used. By circuits an appliance counts only through the socket circuit it is on; in an outbuilding that circuit is often
 * not recorded, and the feeder carries the appliance all the same. Nodes where nothing is missing are left out.
 */
export function uncountedAtFeeders(
  tree: SupplyTree,
  loads: readonly Connected[],
  used: ListBasis,
  reckon: (loads: readonly Connected[]) => readonly PhaseDemand[],
): ReadonlyMap<string, readonly number[]> {
  const found = new Map<string, readonly number[]>();
  const feeders = tree.nodes.filter(isFeeder);
  if (feeders.length === 0) return found;
  const sets = setsBelow(tree, placedOn(tree, loads));
  for (const { node } of feeders.flatMap((feeder) => below(feeder))) {
    const here = sets.get(node.id) ?? [];
    const counted = reckon(inBasis(here, used));
    const otherwise = reckon(inBasis(here, OTHER[used]));
    const more = counted.map(({ worked }, at) => Math.max(0, (otherwise[at]?.worked.value ?? 0) - worked.value));
    if (more.some((amperes) => amperes > HAIR)) found.set(node.id, more);
  }
  return found;
}
