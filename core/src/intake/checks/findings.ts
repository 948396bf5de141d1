import type { Statement } from '../../finding';
import type { FieldPath } from '../../survey/schema/field-path';
import type { NodeCheck } from '../../survey/supply';
import type { Check } from '../../survey/words/words';
import { nodeOf } from '../../tree/sets-below';
import { below, hangsFrom, towardsStreet, type TreeNode } from '../../tree/supply-tree';
import { acceptsNewDevice, boardPlace, enclosure, rcdShared, spareWay } from './boards';
import { type CheckFacts, type CheckRule, type CheckVerdict } from './check';
import { nodeName } from '../../survey/words/words';
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

/** One check of one node as the record and the surveyor have it. */
export interface CheckOutcome {
  readonly here: TreeNode;
  readonly rule: CheckRule;
  readonly verdict: CheckVerdict;
  readonly answered: NodeCheck | undefined;
}

/** Every check below the limiting device, judged once for everybody who asks. */
export function checkOutcomes(facts: CheckFacts): CheckOutcome[] {
  const { tree } = facts;
  const chain = tree.device ? below(tree.device).slice(1) : tree.nodes;
  return chain.flatMap((here) =>
    checksOf(here, facts).map((rule) => ({
      here,
      rule,
      verdict: rule.judge(here, facts),
      answered: here.node.checks?.find(({ id }) => id === rule.id),
    })),
  );
}

/**
 * What the checks of the chain find. What the record shows to fail stands, whatever was answered; what was looked at and is not fine
 * stands too.
 */
export function checkFindings(outcomes: readonly CheckOutcome[]): Statement[] {
  return outcomes.flatMap(({ here, rule, verdict, answered }): Statement[] => {
    const about = {
      id: `check-${rule.id}`,
      station: 'line-up',
      subjectId: here.node.id,
      check: rule.id,
      on: rule.on,
      source: rule.source,
      ...(rule.ownUse ? { ownUse: true } : {}),
    } as const;
    const title = (says: string): string =>
      `${nodeName(here.node)}: ${says}.${answered?.note ? ` ${answered.note}` : ''}`;
    if (verdict.state === 'fails')
      return [
        {
          ...about,
          grade: verdict.grade,
          title: title(`${verdict.says}${answered?.answer === 'fine' ? ', although answered “looked, fine”' : ''}`),
          remedy: verdict.remedy,
          ...(verdict.working ? { working: verdict.working } : {}),
        },
      ];
    if (answered?.answer === 'not-fine')
      return [
        {
          ...about,
          grade: 'act',
          title: title(`looked at and not fine: “${rule.question}”`),
          remedy: 'Put it right, or say in the note what is to be done about it.',
        },
      ];
    if (answered?.answer === 'not-there' && rule.absent)
      return [{ ...about, grade: 'act', title: title(rule.absent.says), remedy: rule.absent.remedy }];
    return [];
  });
}

/** A check neither the record nor a look has settled. */
export interface OpenCheck {
  readonly rule: CheckRule;
  readonly nodeId: string;
  readonly title: string;
  readonly remedy: string;
  readonly field: FieldPath | undefined;
  /** Only a size, a length or a rating settles it. */
  readonly needsFigure: boolean;
  /** The new equipment's current passes here. */
  readonly onWay: boolean;
}

/**
 * Checks still open. One that needs a size, a length or a rating is settled by recording that and by nothing else; any other by looking.
 */
export function openChecks(facts: Pick<CheckFacts, 'survey' | 'tree'>, outcomes: readonly CheckOutcome[]): OpenCheck[] {
  const way = new Set(facts.survey.proposals.flatMap(({ nodeId }) => towardsStreet(nodeOf(facts.tree, nodeId))));
  return outcomes.flatMap(({ here, rule, verdict, answered }): OpenCheck[] => {
    if (verdict.state !== 'not-known' || isAnothers(here, facts)) return [];
    const answer = answered?.answer;
    if (answer === 'not-fine' || (answer === 'not-there' && rule.absent)) return [];
    if (!verdict.needsFigure && (answer === 'fine' || answer === 'not-there')) return [];
    const unseen = answer === 'could-not-see' ? ' (could not be seen)' : '';
    return [
      {
        rule,
        nodeId: here.node.id,
        title: `${nodeName(here.node)}: ${ended(verdict.says + unseen)}${answered?.note ? ` ${answered.note}` : ''}`,
        remedy: verdict.remedy,
        field: verdict.field,
        needsFigure: verdict.needsFigure === true,
        onWay: way.has(here),
      },
    ];
  });
}

/** Whether a check of a node can be settled by looking alone, so that it may be ticked together with others. */
export function settledByLooking(here: TreeNode, rule: CheckRule, facts: CheckFacts): boolean {
  const verdict = rule.judge(here, facts);
  return verdict.state === 'not-known' && !verdict.needsFigure;
}

/** Behind a fuse of another supply than the one that is to feed the new equipment: a neighbour's flat is not asked about. */
function isAnothers(here: TreeNode, { survey, tree }: Pick<CheckFacts, 'survey' | 'tree'>): boolean {
  if (survey.proposals.length === 0) return false;
  const own = towardsStreet(here).find(({ node }) => node.kind === 'switch-fuse' || node.kind === 'cut-out');
  if (!own || own === tree.device) return false;
  return !survey.proposals.some(({ nodeId }) => hangsFrom(nodeOf(tree, nodeId), own));
}

/** A sentence with its end: a question has its own. */
function ended(says: string): string {
  return says.endsWith('?') ? says : `${says}.`;
}
