import { protectiveAbove, protects, towardsStreet, type TreeNode } from '../../tree/supply-tree';
import { exceeds, written } from '../../worked';
import { HOLDS, upstreamOf, type CheckFacts, type CheckRule, type CheckVerdict } from './check';
import { nodeName } from '../../survey/words/words';

/** Boards and switch-fuses whose tails nothing but the cut-out fuse protects; elsewhere tails are judged if recorded. */
function endsTails(here: TreeNode, { tree }: CheckFacts): boolean {
  return (here.node.kind === 'board' || here.node.kind === 'switch-fuse') && isUnprotected(here, tree.device);
}

function isUnprotected(here: TreeNode, device: TreeNode | null): boolean {
  return device !== null && protectiveAbove(here) === device;
}

function judgeSize(here: TreeNode, facts: CheckFacts): CheckVerdict {
  const { rules } = facts;
  const { sizeMm2, laid } = here.node.cable ?? {};
  if (sizeMm2 === undefined)
    return {
      state: 'not-known',
      says: 'what size are the tails into it?',
      remedy: 'Read the size off the sheath, or measure it; 25 mm² is usual.',
      field: 'supply.nodes.cable.sizeMm2',
      needsFigure: true,
    };
  const limitA = rules.tailsLimitA.value[sizeMm2];
  if (limitA === undefined)
    return {
      state: 'fails',
      grade: 'act',
      says: `tails of ${sizeMm2} mm² are not in the table`,
      remedy: 'Read the size again; the table is not interpolated.',
    };
  const upstream = upstreamOf(here, facts);
  if (!upstream) return HOLDS;
  const working = [
    {
      label: 'Tails against the fuse',
      expression: `largest fuse for ${sizeMm2} mm², clipped direct`,
      substituted: `${limitA} A against ${upstream.amperes} A`,
      value: limitA - upstream.amperes,
      unit: 'A' as const,
      source: rules.tailsLimitA.source,
    },
  ];
  if (exceeds(upstream.amperes, limitA)) {
    if (upstream.sure)
      return {
        state: 'fails',
        grade: 'act',
        says: `tails of ${sizeMm2} mm² behind ${upstream.amperes} A, ${limitA} A at most`,
        remedy: 'Larger tails, with the supplier or operator where theirs are concerned.',
        working,
      };
    return {
      state: 'not-known',
      says: `tails of ${sizeMm2} mm² suit ${limitA} A, and the fuse may be as large as ${upstream.amperes} A`,
      remedy: 'Confirm the fuse rating.',
      needsFigure: true,
    };
  }
  if (laid !== undefined && laid !== 'clipped')
    return {
      state: 'fails',
      grade: 'note',
      says: `tails of ${sizeMm2} mm² are not clipped direct, which the ${limitA} A stands for`,
      remedy: 'Work out what they may carry as they are laid.',
      working,
    };
  const { fromA, sizeMm2: expected } = rules.expectedTails.value;
  if (upstream.amperes >= fromA && sizeMm2 < expected)
    return {
      state: 'fails',
      grade: 'note',
      says: `tails of ${sizeMm2} mm²; ${expected} mm² is expected behind ${upstream.amperes} A`,
      remedy: 'Larger tails when they are next worked on.',
      working,
    };
  return HOLDS;
}

/** The conductors between the first meter after the device and here, nearest the street last. */
export function consumerLinks(here: TreeNode, device: TreeNode | null): TreeNode[] {
  const way = towardsStreet(here);
  const end = way.findIndex(({ node }) => node.kind === 'meter');
  const stop = end >= 0 ? end : device ? way.indexOf(device) : way.length;
  return way.slice(0, stop);
}

function judgeLength(here: TreeNode, { rules, tree }: CheckFacts): CheckVerdict {
  const links = consumerLinks(here, tree.device);
  const lengths = links.flatMap(({ node }) => node.cable?.lengthM ?? []);
  const totalM = lengths.reduce((sum, length) => sum + length, 0);
  const { value: longest, source } = rules.longestTailsM;
  if (exceeds(totalM, longest))
    return {
      state: 'fails',
      grade: 'act',
      says: `tails of ${written(totalM)} m without protection of their own, ${longest} m at most`,
      remedy: 'A switch-fuse at the meter end.',
      working: [
        {
          label: 'Length of the tails',
          expression: 'from the meter to here',
          substituted: `${lengths.map(written).join(' + ')} = ${written(totalM)} m`,
          value: totalM,
          unit: 'm',
          source,
        },
      ],
    };
  const unknown = links.filter(({ node }) => node.cable?.lengthM === undefined);
  if (unknown.length === 0) return HOLDS;
  return {
    state: 'not-known',
    says: `how long are the tails into ${unknown
      .map(({ node }) => nodeName(node))
      .reverse()
      .join(' and ')}?`,
    remedy: `Measure along them; over ${longest} m they need protection of their own.`,
    field: 'supply.nodes.cable.lengthM',
    needsFigure: true,
  };
}

export const tailsSize: CheckRule = {
  id: 'tails-size',
  on: 'intake',
  question: 'Are the tails large enough for the fuse?',
  source: 'BS 7671 433.1, 434.5; the rules’ limits',
  askOf: 'surveyor',
  applies: (here, facts) =>
    endsTails(here, facts) ||
    // A device's or feeder's cable is the one it protects itself.
    (!protects(here) && here.node.cable?.sizeMm2 !== undefined && isUnprotected(here, facts.tree.device)),
  judge: judgeSize,
};

export const tailsLength: CheckRule = {
  id: 'tails-length',
  on: 'intake',
  question: 'Are the tails short enough to need no protection of their own?',
  source: 'BS 7671 433.2.2, 434.2.1; operators’ usual terms',
  askOf: 'surveyor',
  ownUse: true,
  applies: endsTails,
  judge: judgeLength,
};
