import type { Finding } from '../../finding';
import type { Check } from '../../survey/words';
import { nodeOf } from '../../tree/sets-below';
import { below, hangsFrom, towardsStreet, type TreeNode } from '../../tree/supply-tree';
import { acceptsNewDevice, boardPlace, enclosure, rcdShared, spareWay } from './boards';
import { nameOf, type CheckFacts, type CheckRule } from './check';
import { isolator, isolatorRating, mainSwitchRating, meterRating, rcdRating, splitBlockRating } from './ratings';
import { tailsLength, tailsSize } from './tails';

/** Every check of the chain, in the order it is walked. */
export const CHECK_RULES: readonly CheckRule[] = [
  meterRating,
  isolator,
  isolatorRating,
  tailsSize,
  tailsLength,
  splitBlockRating,
  mainSwitchRating,
  rcdRating,
  rcdShared,
  spareWay,
  acceptsNewDevice,
  enclosure,
  boardPlace,
];

/** The question a check asks. */
export function checkQuestion(id: Check): string {
  return CHECK_RULES.find((rule) => rule.id === id)?.question ?? id;
}

/** The checks that apply to a node. */
export function checksOf(here: TreeNode, facts: CheckFacts): CheckRule[] {
  return CHECK_RULES.filter((rule) => rule.applies(here, facts));
}

/**
 * What the checks of the chain find, below the limiting device. What the record shows to fail stands, whatever was
 * answered; a check nobody could settle and nobody has looked at stays a question.
 */
export function checkFindings(facts: CheckFacts): Finding[] {
  const { tree } = facts;
  const chain = tree.device ? below(tree.device).slice(1) : tree.nodes;
  return chain.flatMap((here) =>
    checksOf(here, facts)
      .flatMap((rule) => findingOf(here, rule, facts) ?? [])
      .filter(({ grade }) => grade !== 'ask' || !isAnothers(here, facts)),
  );
}

/** Behind a fuse of another supply than the one that is to feed the new equipment: a neighbour's flat is not asked about. */
function isAnothers(here: TreeNode, { survey, tree }: CheckFacts): boolean {
  if (survey.proposals.length === 0) return false;
  const own = towardsStreet(here).find(({ node }) => node.kind === 'switch-fuse' || node.kind === 'cut-out');
  if (!own || own === tree.device) return false;
  return !survey.proposals.some(({ nodeId }) => hangsFrom(nodeOf(tree, nodeId), own));
}

function findingOf(here: TreeNode, rule: CheckRule, facts: CheckFacts): Finding | null {
  const verdict = rule.judge(here, facts);
  const answered = here.node.checks?.find(({ id }) => id === rule.id);
  const about = {
    id: `check-${rule.id}`,
    station: 'line-up',
    subjectId: here.node.id,
    check: rule.id,
    source: rule.source,
    ...(rule.ownUse ? { ownUse: true } : {}),
  } as const;
  const title = (says: string): string => `${nameOf(here)}: ${says}.${answered?.note ? ` ${answered.note}` : ''}`;
  if (verdict.state === 'fails')
    return {
      ...about,
      grade: verdict.grade,
      title: title(`${verdict.says}${answered?.answer === 'fine' ? ', although answered “looked, fine”' : ''}`),
      remedy: verdict.remedy,
      ...(verdict.working ? { working: verdict.working } : {}),
    };
  if (answered?.answer === 'not-fine')
    return {
      ...about,
      grade: 'act',
      title: title(`looked at and not fine: “${rule.question}”`),
      remedy: 'Put it right, or say in the note what is to be done about it.',
    };
  if (answered?.answer === 'not-there' && rule.absent)
    return { ...about, grade: 'act', title: title(rule.absent.says), remedy: rule.absent.remedy };
  if (verdict.state === 'holds' || answered?.answer === 'fine' || answered?.answer === 'not-there') return null;
  const unseen = answered?.answer === 'could-not-see' ? ' (could not be seen)' : '';
  return {
    ...about,
    grade: 'ask',
    title: title(`${verdict.says}${unseen}`),
    remedy: verdict.remedy,
    askOf: rule.askOf,
    ...(verdict.field ? { field: verdict.field } : {}),
  };
}
