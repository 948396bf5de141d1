import { nodeName } from '../survey/words/words';
import { isRcd, rcdsAbove } from '../protection/rcds-above';
import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import { below, type SupplyTree, type TreeNode } from '../tree/supply-tree';

/** Whether every circuit of a board on a TT supply has an RCD before it. */
export interface BoardCover {
  readonly boardId: string;
  readonly label: string;
  readonly state: 'covered' | 'not-covered' | 'not-known';
  /** The RCD that covers it, nearest the street, or the circuits that stand without one. */
  readonly by: string;
}

/** RCD cover of every board below the limiting device, found from the tree; empty unless the supply is TT. */
export function rcdCover(survey: Survey, tree: SupplyTree): BoardCover[] {
  if (survey.earthing.arrangement !== 'tt') return [];
  const start = tree.device ?? tree.root;
  if (!start) return [];
  const cover = below(start)
    .filter(({ node }) => node.kind === 'board')
    .map((board) => coverOf(board));
  // Where RCDs are recorded before some boards, a board without one is not merely unrecorded.
  const some = cover.some(({ state }) => state === 'covered');
  return some ? cover.map((each) => (each.state === 'not-known' ? { ...each, state: 'not-covered' } : each)) : cover;
}

function coverOf(board: TreeNode): BoardCover {
  const about = { boardId: board.node.id, label: nodeName(board.node) };
  const outermost = rcdsAbove(board).at(-1);
  if (outermost) return { ...about, state: 'covered', by: nodeName(outermost.here.node) };
  // A board further on is judged for itself.
  const circuits = board.children.filter(({ node }) => node.kind !== 'board');
  const bare = circuits.filter((circuit) => !isRcd(circuit));
  if (circuits.length > 0 && bare.length === 0) return { ...about, state: 'covered', by: 'an RCD on every circuit' };
  if (bare.length > 0)
    return { ...about, state: 'not-covered', by: bare.map((circuit) => nodeName(circuit.node)).join(', ') };
  return { ...about, state: 'not-known', by: '' };
}

/** On TT every circuit needs an RCD; one at the origin that covers only some boards is the usual mistake. */
export function rcdCoverFindings(survey: Survey, tree: SupplyTree, rules: Rules): Statement[] {
  const cover = rcdCover(survey, tree);
  const covering = cover.find(({ state }) => state === 'covered');
  const { source } = rules.circuit.touchLimitV;
  const about = { station: 'earthing', on: 'earthing', source } as const;
  const remedy = 'A time-delayed 100 mA RCD at the origin, before any split, that covers every board.';
  return cover.flatMap(({ boardId, label, state, by }): Statement[] => {
    if (state === 'covered') return [];
    if (state === 'not-covered' && by !== '')
      return [
        {
          ...about,
          id: 'tt-circuit-without-rcd',
          grade: 'act',
          title: `${label}: on TT, and no RCD before ${by}.`,
          remedy,
          subjectId: boardId,
        },
      ];
    if (state === 'not-covered')
      return [
        {
          ...about,
          id: 'tt-board-not-covered',
          grade: 'act',
          title: `${label}: on TT, and not covered; ${covering?.by ?? 'an RCD'} covers only ${covering?.label ?? 'others'}.`,
          remedy,
          subjectId: boardId,
        },
      ];
    return [];
  });
}

/** RCDs of a TT supply whose residual current nobody has recorded: what one allows of the electrode follows from it. */
export function rcdsWithoutResidual(survey: Survey, tree: SupplyTree): TreeNode[] {
  if (survey.earthing.arrangement !== 'tt') return [];
  return tree.nodes.filter((here) => isRcd(here) && here.node.residualMa === undefined);
}
