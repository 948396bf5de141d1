/** A board that is to be fitted with the work, as part of the supply tree: what is planned is what is drawn and assessed. */
import type { WayPlan } from '../survey/words/circuit-words';
import type { Survey } from '../survey/survey';
import { addBelow, insertAbove, removeNode } from './edit';
import { nodeOf } from './sets-below';
import { supplyTree } from './supply-tree';

/** Plans that put a new board beside the one there is. */
const NEW_BOARD: readonly (WayPlan | undefined)[] = ['small-board', 'outdoor-board'];

/**
 * The survey with where the new device goes decided. A board of its own is added beside the board there was, behind the same fuse, and the
 * equipment moved onto it; any other plan takes such a board away again. Ids for what is added come from `fresh`.
 */
export function withWayPlan(
  survey: Survey,
  proposalId: string,
  plan: WayPlan | undefined,
  fresh: (kind: string) => string,
): Survey {
  const before = withoutPlannedBoard(survey, proposalId);
  const planned: Survey = {
    ...before,
    proposals: before.proposals.map((each) => {
      if (each.id !== proposalId) return each;
      const { plan: _plan, ...way } = each.way ?? {};
      return { ...each, way: plan === undefined ? way : { ...way, plan } };
    }),
  };
  return NEW_BOARD.includes(plan) ? withBoard(planned, proposalId, plan, fresh) : planned;
}

function withBoard(
  survey: Survey,
  proposalId: string,
  plan: WayPlan | undefined,
  fresh: (kind: string) => string,
): Survey {
  const proposal = survey.proposals.find(({ id }) => id === proposalId);
  const from = proposal && nodeOf(supplyTree(survey), proposal.nodeId);
  if (from?.node.kind !== 'board' || from.parent === null) return survey;
  const id = fresh('board');
  const board = {
    id,
    kind: 'board',
    label: plan === 'outdoor-board' ? 'New board outdoors' : 'New small board',
    planned: true,
    ...(plan === 'outdoor-board' ? { place: 'outdoors' as const } : {}),
  } as const;
  const { parent } = from;
  // Two boards on one line need something to divide it; a block that is there already, or a fuse that feeds several, does.
  const divided = parent.node.kind === 'split-block' || parent.children.length > 1;
  const block = { id: fresh('block'), kind: 'split-block', planned: true } as const;
  const withIt = divided
    ? addBelow(survey, parent.node.id, board)
    : addBelow(insertAbove(survey, from.node.id, block), block.id, board);
  return hung(withIt, proposalId, id);
}

/** The survey without the board planned for this equipment alone; the equipment is back on the board beside it. */
function withoutPlannedBoard(survey: Survey, proposalId: string): Survey {
  const proposal = survey.proposals.find(({ id }) => id === proposalId);
  const tree = supplyTree(survey);
  const here = proposal && nodeOf(tree, proposal.nodeId);
  if (here?.node.kind !== 'board' || here.node.planned !== true || here.parent === null) return survey;
  const shared =
    here.children.length > 0 ||
    survey.loads.some(({ nodeId }) => nodeId === here.node.id) ||
    survey.proposals.some(({ id, nodeId }) => id !== proposalId && nodeId === here.node.id);
  const beside = here.parent.children.find((each) => each !== here && each.node.kind === 'board');
  if (shared || !beside) return survey;
  const moved = removeNode(hung(survey, proposalId, beside.node.id), here.node.id);
  const block = here.parent;
  return block.node.planned === true && block.children.length === 2 ? removeNode(moved, block.node.id) : moved;
}

function hung(survey: Survey, proposalId: string, nodeId: string): Survey {
  return {
    ...survey,
    proposals: survey.proposals.map((each) => (each.id === proposalId ? { ...each, nodeId } : each)),
  };
}
