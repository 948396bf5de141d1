import { decide } from '../assess';
import type { Decided } from '../assessment';
import type { NodeAssessment } from '../nodes/node-assessment';
import type { Rules } from '../rules/rules';
import type { PoolOutlet } from '../survey/pool';
import type { Survey } from '../survey/survey';
import { nodeName, type Phase } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { hangsFrom, protects, supplyTree, towardsStreet, type SupplyTree, type TreeNode } from '../tree/supply-tree';
import type { SharedPart } from './guarantees';
import type { Outlet } from './pool-year';
import { turnedAlong } from './rotation';

/** A pool as it stands in the survey: its outlets on their lines, and the parts it shares, whatever is still missing. */
export interface PoolOnSupply {
  readonly outlets: readonly Outlet[];
  readonly parts: readonly SharedPart[];
}

const LINES: readonly Phase[] = ['L1', 'L2', 'L3'];
/** Taken where the outlet does not say. */
const USUAL_OUTLET_A = 32;

/** What an outlet may draw, in amperes. */
export function outletA({ mostA = USUAL_OUTLET_A }: PoolOutlet): number {
  return mostA;
}

/**
 * The outlets of a survey’s pool on their lines, as recorded or as proposed, and every part of the supply between them and its own fuse, each with what else is to be
 * connected there, the survey’s new equipment included.
 */
export function poolOnSupply(survey: Survey, assessment: Decided, rules: Rules): PoolOnSupply {
  const pool = survey.pool ?? { outlets: [] };
  const tree = supplyTree(survey);
  const lines = assessment.supply.phases;
  const beside = withoutOutlets(survey, tree);
  const { nodes: found } = beside === survey ? assessment : decide(beside, rules);
  const nodes = new Map(found.map((each) => [each.id, each]));
  const top = tree.device ?? tree.root;
  const way = towardsStreet(pool.nodeId === undefined ? top : nodeOf(tree, pool.nodeId)).filter(
    // Of what stands before this supply’s own fuse, the other fuses are shared as well.
    (here: TreeNode) => top === null || hangsFrom(here, top) || protects(here),
  );
  const clamps = clampedAt(survey, tree);
  const unseen = clamps === null ? null : nodesWithout(beside, tree, clamps, rules);
  const parts = way.flatMap((here): SharedPart[] => {
    const { node } = here;
    const found = nodes.get(node.id);
    // What bears no rating and breaks nothing is asked about by the checks of the chain, as for any other equipment.
    if (!found || (found.ratingA === null && !protects(here))) return [];
    const sees = clamps === null || hangsFrom(here, clamps);
    return [
      {
        id: node.id,
        label: nodeName(node),
        ratingA: found.ratingA,
        otherA: demandOn(found),
        unseenA: sees || unseen === null ? { L1: 0, L2: 0, L3: 0 } : demandOn(unseen.get(node.id)),
      },
    ];
  });
  return { outlets: onLines(pool.outlets, lines, parts.at(-1)?.otherA), parts };
}

/** The survey without the outlets of its row among the new equipment: an outlet that is there already bears the same id. The limiting device stays the one it is. */
function withoutOutlets(survey: Survey, tree: SupplyTree): Survey {
  const outlets = new Set(survey.pool?.outlets.map(({ id }) => id));
  const proposals = survey.proposals.filter(({ id }) => !outlets.has(id));
  if (proposals.length === survey.proposals.length) return survey;
  return {
    ...survey,
    supply: { ...survey.supply, ...(tree.device ? { deviceId: tree.device.node.id } : {}) },
    proposals,
  };
}

/** The part a row’s clamps sit on: as recorded, or where the row hangs. */
export function clampedAt({ pool }: Survey, tree: SupplyTree): TreeNode | null {
  return tree.byId.get(pool?.clampNodeId ?? pool?.nodeId ?? '') ?? tree.device ?? tree.root;
}

/** What every part carries of what does not pass the clamps; null where nothing passes them by. */
function nodesWithout(
  survey: Survey,
  tree: SupplyTree,
  clamps: TreeNode,
  rules: Rules,
): Map<string, NodeAssessment> | null {
  const passes = ({ nodeId }: { readonly nodeId?: string }): boolean => !hangsFrom(nodeOf(tree, nodeId), clamps);
  const [loads, proposals] = [survey.loads.filter(passes), survey.proposals.filter(passes)];
  if (loads.length + proposals.length === 0) return null;
  const { nodes } = decide(
    {
      ...survey,
      // The limiting device stays the one it is, whatever equipment is left.
      supply: { ...survey.supply, ...(tree.device ? { deviceId: tree.device.node.id } : {}) },
      loads,
      proposals,
    },
    rules,
  );
  return new Map(nodes.map((each) => [each.id, each]));
}

/** What a part carries on each line; a demand with something missing is a lower bound, and nothing is guaranteed beside it. */
function demandOn(node: NodeAssessment | undefined): SharedPart['otherA'] {
  const of = (line: Phase): number | null => {
    const figure = node?.after[line];
    return figure === undefined || figure.bound === 'at-least' ? null : figure.value;
  };
  return { L1: of('L1'), L2: of('L2'), L3: of('L3') };
}

function onLines(
  outlets: readonly PoolOutlet[],
  lines: readonly Phase[],
  otherA: SharedPart['otherA'] | undefined,
): Outlet[] {
  if (lines.length < 3) return outlets.map((each) => ({ id: each.id, lines: lines.slice(0, 1), mostA: outletA(each) }));
  const present = { L1: otherA?.L1 ?? 0, L2: otherA?.L2 ?? 0, L3: otherA?.L3 ?? 0 };
  const { lines: proposed } = turnedAlong(
    outlets.map((each) => ({ id: each.id, phases: each.phases ?? 3, mostA: outletA(each) })),
    present,
  );
  return outlets.map((each) => {
    const order = proposed.get(each.id) ?? [];
    const first = LINES.indexOf(each.firstLine ?? order[0] ?? 'L1');
    const turned = [0, 1, 2].map((step) => LINES[(first + step) % 3] ?? 'L1');
    return { id: each.id, lines: (each.phases ?? 3) === 3 ? turned : turned.slice(0, 1), mostA: outletA(each) };
  });
}
