import { staying } from '../../tree/going';
import { nodeOf } from '../../tree/sets-below';
import type { WayPlan } from '../../survey/words/circuit-words';
import { hangsFrom, protects, below, type TreeNode } from '../../tree/supply-tree';
import { exceeds, written } from '../../worked';
import { HOLDS, type CheckFacts, type CheckRule } from './check';

/** Whether the device of new equipment is to go into this very board: not where it is to have a board of its own. */
function takesNewDevice(here: TreeNode, { survey, tree }: CheckFacts): boolean {
  return (
    here.node.planned !== true &&
    survey.proposals.some(
      ({ nodeId, way }) => nodeOf(tree, nodeId) === here && !ELSEWHERE.includes(way?.plan ?? 'spare-way'),
    )
  );
}

/** Plans that put the new device somewhere else than in the board that is there. */
const ELSEWHERE: readonly WayPlan[] = ['small-board', 'larger-board', 'outdoor-board'];

export const spareWay: CheckRule = {
  id: 'spare-way',
  on: 'workmanship',
  question: 'Is there a spare way for the new circuit?',
  source: 'the board itself',
  askOf: 'surveyor',
  ownUse: true,
  applies: (here, facts) => here.node.kind === 'board' && takesNewDevice(here, facts),
  judge: (here, facts) => {
    const { node } = here;
    if (node.spareWays === undefined)
      return {
        state: 'not-known',
        says: 'how many spare ways are there?',
        remedy: 'Count them at the board front.',
        field: 'supply.nodes.spareWays',
      };
    // What the work takes out frees its way.
    if (node.spareWays > 0 || here.children.some(({ node: { goes, kind } }) => goes && kind === 'device')) return HOLDS;
    // Whether two circuits can share one is judged with the plan.
    if (sharesWays(here, facts)) return HOLDS;
    return {
      state: 'fails',
      grade: 'act',
      says: 'no spare way for the new circuit',
      remedy: 'A small board of its own beside it, ways shared where the circuits allow, or a larger board.',
    };
  },
};

function sharesWays(here: TreeNode, { survey, tree }: CheckFacts): boolean {
  return survey.proposals.every(({ nodeId, way }) => nodeOf(tree, nodeId) !== here || way?.plan === 'share-ways');
}

export const acceptsNewDevice: CheckRule = {
  id: 'accepts-new-device',
  on: 'circuit',
  question: 'Does the board’s maker allow the new device in it?',
  source: 'BS 7671 536.4.203; board maker’s instructions',
  askOf: 'surveyor',
  ownUse: true,
  applies: (here, facts) => here.node.kind === 'board' && takesNewDevice(here, facts),
  judge: ({ node }) => {
    if (node.acceptsNewDevice === 'yes') return HOLDS;
    if (node.acceptsNewDevice === 'no')
      return {
        state: 'fails',
        grade: 'act',
        says: 'its maker does not allow the new device',
        remedy: 'A device of the family the maker names, or a small board of its own.',
      };
    return {
      state: 'not-known',
      says: 'does its maker allow the new device in it?',
      remedy: 'Read the maker’s list; families are not mixed.',
      field: 'supply.nodes.acceptsNewDevice',
    };
  },
};

export const enclosure: CheckRule = {
  id: 'enclosure',
  on: 'workmanship',
  question: 'Is the enclosure of metal, as a dwelling’s should be?',
  source: 'BS 7671 421.1.201',
  askOf: 'surveyor',
  ownUse: true,
  applies: ({ node }, { survey }) =>
    node.kind === 'board' && node.planned !== true && survey.place.premises === 'household',
  judge: ({ node }) => {
    if (node.enclosure === undefined)
      return {
        state: 'not-known',
        says: 'what is its enclosure made of?',
        remedy: 'Look at the board front.',
        field: 'supply.nodes.enclosure',
      };
    if (node.enclosure !== 'plastic') return HOLDS;
    return {
      state: 'fails',
      grade: 'note',
      says: 'plastic enclosure in a dwelling',
      remedy: 'Not against the rules of its day; a replacement is of non-combustible material.',
    };
  },
};

export const boardPlace: CheckRule = {
  id: 'board-place',
  on: 'workmanship',
  question: 'Is the board indoors and dry?',
  source: 'BS 7671 512.2',
  askOf: 'surveyor',
  ownUse: true,
  applies: ({ node }) => node.kind === 'board' && node.planned !== true,
  judge: ({ node }) => {
    if (node.place === undefined)
      return {
        state: 'not-known',
        says: 'where is it?',
        remedy: 'Record whether it is indoors or out.',
        field: 'supply.nodes.place',
      };
    if (node.place !== 'outdoors') return HOLDS;
    return {
      state: 'fails',
      grade: 'note',
      says: 'outdoors, where boards corrode',
      remedy: 'A last resort: look for a place indoors before it is used for more.',
    };
  },
};

/** Standing protective-conductor current below an RCD in mA; null where one of those below has none recorded. */
function standingLeakage(here: TreeNode, { survey, tree }: CheckFacts): number | null {
  const hung = [
    ...staying(survey.loads).map((load) => ({ ...load })),
    ...survey.proposals.map((each) => ({ ...each, quantity: 1 })),
  ];
  let total = 0;
  for (const { nodeId, leakageMa, quantity } of hung) {
    if (!hangsFrom(nodeOf(tree, nodeId), here)) continue;
    if (leakageMa === undefined) return null;
    total += leakageMa * (quantity ?? 1);
  }
  return total;
}

export const rcdShared: CheckRule = {
  id: 'rcd-shared',
  on: 'circuit',
  question: 'Has the new equipment an RCD to itself?',
  source: 'BS 7671 722.531.3, 531.3.2',
  askOf: 'surveyor',
  ownUse: true,
  applies: (here, { survey, tree }) =>
    here.node.kind === 'rcd' && survey.proposals.some(({ nodeId }) => hangsFrom(nodeOf(tree, nodeId), here)),
  judge: (here, facts) => {
    const { survey, tree, rules } = facts;
    const loads = staying(survey.loads).filter(({ nodeId }) => hangsFrom(nodeOf(tree, nodeId), here)).length;
    const way = survey.proposals.map(({ nodeId }) => nodeOf(tree, nodeId));
    const others = below(here).filter(
      (each) => protects(each) && each.node.goes !== true && !way.some((node) => hangsFrom(node, each)),
    ).length;
    if (loads + others === 0) return HOLDS;
    const says = 'the new equipment would share this RCD with other circuits';
    const remedy = 'Give it a 30 mA RCD of its own, breaking all live conductors.';
    const { sharedReason, residualMa } = here.node;
    if (!sharedReason) return { state: 'fails', grade: 'act', says, remedy };
    const standing = standingLeakage(here, facts);
    if (standing === null || residualMa === undefined)
      return {
        state: 'not-known',
        says: `${says} (${sharedReason}), and its standing leakage is not known`,
        remedy: 'Record the standing current of everything on it, and its residual current.',
        field: 'loads.leakageMa',
        needsFigure: true,
      };
    const { leakageSharePercent } = rules.circuit.rcd.value;
    const mostMa = (residualMa * leakageSharePercent) / 100;
    const sum = `${written(standing)} mA of standing leakage, ${written(mostMa)} mA at most`;
    if (exceeds(standing, mostMa)) return { state: 'fails', grade: 'act', says: `${says}: ${sum}`, remedy };
    return {
      state: 'fails',
      grade: 'note',
      says: `${says} (${sharedReason}): ${sum}`,
      remedy: 'Recorded as an exception.',
    };
  },
};
