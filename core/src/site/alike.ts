import type { Load } from '../survey/load';
import type { Survey } from '../survey/survey';
import { assumedLoad } from '../survey/assumed';
import { nodeOf } from '../tree/sets-below';
import { below, hangsFrom, supplyTree, type SupplyTree, type TreeNode } from '../tree/supply-tree';

/** The loads below a supply's fuse. */
function loadsBelow({ loads }: Survey, tree: SupplyTree, device: TreeNode): Load[] {
  return loads.filter(({ nodeId }) => hangsFrom(nodeOf(tree, nodeId), device));
}

/** The boards of a supply, from its fuse on. */
function boardsOf(device: TreeNode): TreeNode[] {
  return below(device).filter(({ node }) => node.kind === 'board');
}

/**
 * The survey with the loads of one dwelling at every other that has none recorded: each assumed until somebody confirms it there, board by board. What was read or seen at the other dwelling's own fuse,
 * meter and cables is not copied. Unchanged where there is nothing to copy, or nowhere.
 */
export function withAlikeDwellings(survey: Survey, likeId: string, otherIds: readonly string[]): Survey {
  const tree = supplyTree(survey);
  const like = tree.byId.get(likeId);
  if (!like) return survey;
  const copied = loadsBelow(survey, tree, like);
  const boards = boardsOf(like).map(({ node }) => node.id);
  const taken = new Set([...survey.loads, ...survey.proposals].map(({ id }) => id));
  const fresh = (id: string, to: string): string => {
    const base = `${id}-${to}`.slice(0, 56);
    for (let at = 0; ; at += 1) {
      const tried = at === 0 ? base : `${base}-${at}`;
      if (taken.has(tried)) continue;
      taken.add(tried);
      return tried;
    }
  };
  const added = otherIds.flatMap((otherId): Load[] => {
    const other = tree.byId.get(otherId);
    if (!other || other === like || loadsBelow(survey, tree, other).length > 0) return [];
    const to = boardsOf(other).map(({ node }) => node.id);
    return copied.map(({ phase: _line, ...load }) =>
      assumedLoad({
        ...load,
        id: fresh(load.id, otherId),
        nodeId: to[Math.max(0, boards.indexOf(load.nodeId ?? ''))] ?? to[0] ?? otherId,
      }),
    );
  });
  return added.length === 0 ? survey : { ...survey, loads: [...survey.loads, ...added] };
}

/** How the loads of one dwelling differ from those of another, by what each is called and how much it takes: what it has more, and what it has not. */
export function differencesOf(
  survey: Survey,
  likeId: string,
  otherId: string,
): { readonly more: readonly string[]; readonly less: readonly string[] } {
  const tree = supplyTree(survey);
  const [like, other] = [tree.byId.get(likeId), tree.byId.get(otherId)];
  if (!like || !other) return { more: [], less: [] };
  const here = loadsBelow(survey, tree, other).map(wordsOf);
  const there = loadsBelow(survey, tree, like).map(wordsOf);
  return { more: without(here, there), less: without(there, here) };
}

function wordsOf({ label, class: kind, powerW, currentA, apparentVA, quantity }: Load): string {
  const size =
    powerW !== undefined
      ? `${powerW} W`
      : currentA !== undefined
        ? `${currentA} A`
        : apparentVA !== undefined
          ? `${apparentVA} VA`
          : '';
  return [label ?? kind, size, quantity === undefined ? '' : `× ${quantity}`].filter((part) => part !== '').join(' ');
}

/** The members of one list that are not in another, as often as they are more. */
function without(list: readonly string[], other: readonly string[]): string[] {
  const left = [...other];
  return list.filter((each) => {
    const at = left.indexOf(each);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
}
