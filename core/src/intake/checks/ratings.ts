import { nodeOf } from '../../tree/sets-below';
import { below, protects, type TreeNode } from '../../tree/supply-tree';
import { exceeds, type Step } from '../../worked';
import { HOLDS, upstreamOf, type CheckFacts, type CheckRule, type CheckVerdict, type Upstream } from './check';

function unread(what: string): CheckVerdict {
  return {
    state: 'not-known',
    says: `what is its ${what}?`,
    remedy: 'Read it off its face.',
    field: 'supply.nodes.ratingA',
    needsFigure: true,
  };
}

/** Whether what the current passes through may carry all that the device before it lets through. */
function againstUpstream(here: TreeNode, facts: CheckFacts, what: string): CheckVerdict {
  const { ratingA } = here.node;
  if (ratingA === undefined) return unread(what);
  const upstream = upstreamOf(here, facts);
  if (!upstream)
    return {
      state: 'not-known',
      says: `${ratingA} A, and the rating of the device before it is not known`,
      remedy: 'Read the device before it.',
      needsFigure: true,
    };
  if (!exceeds(upstream.amperes, ratingA)) return HOLDS;
  if (!upstream.sure)
    return {
      state: 'not-known',
      says: `${ratingA} A, and the fuse before it may be as large as ${upstream.amperes} A`,
      remedy: 'Confirm the fuse rating.',
      needsFigure: true,
    };
  return {
    state: 'fails',
    grade: 'act',
    says: `${ratingA} A behind ${upstream.name} of ${upstream.amperes} A`,
    remedy: 'Whoever owns it changes it before more load is added; the fuse may not be larger than what it feeds.',
    working: [comparison(ratingA, upstream)],
  };
}

function comparison(ratingA: number, { name, amperes }: Upstream): Step {
  return {
    label: 'Rating against what protects it',
    expression: `its rating at least that of ${name}`,
    substituted: `${ratingA} A < ${amperes} A`,
    value: ratingA - amperes,
    unit: 'A',
  };
}

export const meterRating: CheckRule = {
  id: 'meter-rating',
  on: 'intake',
  question: 'Does the meter’s maximum current suit the fuse before it?',
  source: 'meter’s own marking; supplier’s terms',
  askOf: 'surveyor',
  applies: ({ node }) => node.kind === 'meter' || node.kind === 'check-meter',
  judge: (here, facts) => againstUpstream(here, facts, 'maximum current'),
};

export const isolator: CheckRule = {
  id: 'isolator',
  on: 'workmanship',
  question: 'Is there an isolator after the meter?',
  source: 'suppliers’ and operators’ usual terms; BS 7671 462',
  askOf: 'surveyor',
  applies: ({ node }) => node.kind === 'meter',
  judge: (here) =>
    below(here).some(({ node }) => node.kind === 'isolator')
      ? HOLDS
      : {
          state: 'not-known',
          says: 'no isolator after it is recorded',
          remedy: 'Look for one, and add it to the line-up.',
        },
  absent: {
    says: 'no isolator after it',
    remedy: 'The tails cannot be worked on without the supplier or operator: ask for one, and allow for the visit.',
  },
};

export const isolatorRating: CheckRule = {
  id: 'isolator-rating',
  on: 'intake',
  question: 'Does the isolator’s rating suit the fuse before it?',
  source: 'isolator’s own marking; BS 7671 536.4.202',
  askOf: 'surveyor',
  applies: ({ node }) => node.kind === 'isolator',
  judge: (here, facts) => againstUpstream(here, facts, 'rating'),
};

export const splitBlockRating: CheckRule = {
  id: 'split-block-rating',
  on: 'intake',
  question: 'Does the split block’s rating suit the fuse before it?',
  source: 'block’s own marking',
  askOf: 'surveyor',
  applies: ({ node }) => node.kind === 'split-block',
  judge: (here, facts) => againstUpstream(here, facts, 'rating'),
};

/**
 * The devices a switch or RCD feeds: the first ones met on each way down, with those of the new circuits that start here, and whether all
 * of them have a rating.
 */
function devicesBelow(
  here: TreeNode,
  { survey, tree }: CheckFacts,
): { readonly count: number; readonly sumA: number; readonly known: boolean } {
  let [count, sumA, known] = [0, 0, true];
  const add = (ratingA: number | undefined): void => {
    count += 1;
    if (ratingA === undefined) known = false;
    else sumA += ratingA;
  };
  const queue = [here, ...here.children];
  for (const each of queue) {
    if (each !== here && protects(each)) {
      add(each.node.ratingA);
      continue;
    }
    for (const { nodeId, circuit, kind } of survey.proposals)
      if (nodeOf(tree, nodeId) === each && kind !== 'pv') add(circuit?.deviceRatingA);
    if (each !== here) queue.push(...each.children);
  }
  return { count, sumA, known };
}

/**
 * A switch or RCD may not rest on diversity: its rating has to be at least that of the device upstream of it, or of the
 * devices downstream of it added up, whichever is smaller.
 */
function notOnDiversity(here: TreeNode, facts: CheckFacts, grade: 'act' | 'note', what: string): CheckVerdict {
  const { ratingA } = here.node;
  if (ratingA === undefined) return unread(what);
  const upstream = upstreamOf(here, facts);
  if (upstream && !exceeds(upstream.amperes, ratingA)) return HOLDS;
  const { count, sumA, known } = devicesBelow(here, facts);
  if (count > 0 && known && !exceeds(sumA, ratingA)) return HOLDS;
  // Devices that are known already to come to more are enough to tell.
  if (!upstream?.sure || count === 0 || (!known && !exceeds(sumA, ratingA)))
    return {
      state: 'not-known',
      says: upstream
        ? `${ratingA} A, with up to ${upstream.amperes} A before it and the devices it feeds not all recorded`
        : `${ratingA} A, and neither what protects it nor the devices it feeds are all recorded`,
      remedy: 'Record the ratings of the devices it feeds, and confirm the fuse rating.',
      needsFigure: true,
    };
  const smaller = Math.min(upstream.amperes, sumA);
  return {
    state: 'fails',
    grade,
    says: `${ratingA} A rests on diversity alone: ${smaller} A may flow`,
    remedy: 'Fit one of a larger rating, or a smaller device before it; the maker’s instructions decide.',
    working: [
      {
        label: 'Least rating it may have',
        expression: 'the smaller of the device upstream and the devices downstream added up',
        substituted: `smaller of ${upstream.amperes} and ${sumA} = ${smaller} A; its rating is ${ratingA} A`,
        value: smaller,
        unit: 'A',
      },
    ],
  };
}

export const mainSwitchRating: CheckRule = {
  id: 'main-switch-rating',
  on: 'intake',
  question: 'Does the main switch’s rating suit what protects it?',
  source: 'BS 7671 536.4.202; maker’s instructions',
  askOf: 'surveyor',
  applies: ({ node }) => node.kind === 'board',
  judge: (here, facts) => notOnDiversity(here, facts, 'note', 'main switch rating'),
};

export const rcdRating: CheckRule = {
  id: 'rcd-rating',
  on: 'intake',
  question: 'Is the RCD’s rated current enough without diversity?',
  source: 'BS 7671 536.4.202',
  askOf: 'surveyor',
  applies: ({ node }) => node.kind === 'rcd',
  judge: (here, facts) => notOnDiversity(here, facts, 'act', 'rated current'),
};
