import type { Statement } from '../finding';
import { supplyPhases } from '../demand/connected';
import { isCharger, isGeneration, equipmentName } from '../survey/words/kinds';
import type { Survey } from '../survey/survey';
import { GENERATION_NAMES, NODE_NAMES, type Phase } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { hangsFrom, phaseAt, protects, towardsStreet, type SupplyTree, type TreeNode } from '../tree/supply-tree';
import { exceeds } from '../worked';
import { shown } from '../rules/rounding';

/** Generation or storage, where it feeds in and how much it may give on each of its lines. */
export interface Source {
  readonly id: string;
  readonly label: string;
  readonly node: TreeNode;
  /** Null while not known. */
  readonly ratedA: number | null;
  readonly phases: readonly Phase[];
}

/** Everything on the premises that sends power back, on the tree. One of unknown phase may give on any. */
export function sourcesOn(survey: Survey, tree: SupplyTree): Source[] {
  const supply = supplyPhases(survey.supply.phases);
  const there = (survey.generation ?? []).map((each) => ({ ...each, name: each.label ?? GENERATION_NAMES[each.kind] }));
  // What is to be fitted gives as much as what is there. A vehicle's charger is one machine with the clamp that minds it.
  const fitted = survey.proposals
    .filter((each) => isGeneration(each) && !isCharger(each))
    .map((each) => ({ ...each, name: equipmentName(each) }));
  return [...there, ...fitted].flatMap(({ id, name, nodeId, ratedA, phases, phase }) => {
    const node = nodeOf(tree, nodeId);
    if (!node) return [];
    const line = phase ?? phaseAt(node);
    return [
      {
        id,
        label: name,
        node,
        ratedA: ratedA ?? null,
        phases: phases === 3 || line === undefined || line === 'all' ? supply : [line],
      },
    ];
  });
}

/** What sources may give on a line together; null where that of one is not known. */
export function givenOn(sources: readonly Source[], phase: Phase): number | null {
  let total = 0;
  for (const { phases, ratedA } of sources)
    if (phases.includes(phase)) {
      if (ratedA === null) return null;
      total += ratedA;
    }
  return total;
}

/**
 * A board fed from the supply and from generation may carry both at once: what the device before it lets in and what the
 * generation gives together have to stay within the board's own rating. Source: BS 7671 section 551.
 */
export function sourceFindings(survey: Survey, tree: SupplyTree): Statement[] {
  const sources = sourcesOn(survey, tree);
  const boards = new Set(
    sources.flatMap(({ node }) => towardsStreet(node).filter((each) => each.node.kind === 'board')),
  );
  return [...boards].flatMap((board): Statement[] => {
    const ratingA = board.node.ratingA;
    const before = towardsStreet(board.parent).flatMap((here) =>
      protects(here) && here.node.ratingA !== undefined ? [here.node.ratingA] : [],
    );
    if (ratingA === undefined || before.length === 0) return [];
    const inA = Math.min(...before);
    const here = sources.filter(({ node }) => hangsFrom(node, board));
    const worst = Math.max(...supplyPhases(3).map((phase) => givenOn(here, phase) ?? 0));
    if (!exceeds(inA + worst, ratingA)) return [];
    return [
      {
        id: 'board-fed-from-both',
        grade: 'act',
        on: 'nodes',
        station: 'line-up',
        title: `${board.node.label ?? NODE_NAMES.board}: ${shown(inA)} A from the supply and ${shown(worst)} A from generation may meet on a board rated ${shown(ratingA)} A.`,
        remedy: 'A board rated for both together, a smaller device before it, or the generation connected elsewhere.',
        subjectId: board.node.id,
        source: 'BS 7671 section 551',
      },
    ];
  });
}
