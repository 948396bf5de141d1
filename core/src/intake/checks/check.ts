import type { AskOf } from '../../finding';
import type { FieldPath } from '../../survey/schema/field-path';
import type { Standing } from '../../grounds/verdict-ids';
import type { Rules } from '../../rules/rules';
import type { Survey } from '../../survey/survey';
import { type Check, nodeName } from '../../survey/words/words';
import { protectiveAbove, type SupplyTree, type TreeNode } from '../../tree/supply-tree';
import type { Step } from '../../worked';
import type { FuseRating } from '../fuse-rating';

/** Everything a check of the chain is judged from. */
export interface CheckFacts {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly tree: SupplyTree;
  readonly fuse: FuseRating;
}

/** What the record says of one check of one node. */
export type CheckVerdict =
  | { readonly state: 'holds' }
  | {
      readonly state: 'fails';
      readonly grade: 'act' | 'note';
      readonly says: string;
      readonly remedy: string;
      readonly working?: readonly Step[];
    }
  | {
      readonly state: 'not-known';
      readonly says: string;
      readonly remedy: string;
      readonly field?: FieldPath;
      /** A size, length or rating decides it: looking and finding it fine does not settle it, recording that does. */
      readonly needsFigure?: boolean;
    };

/** One check of section 3 of the survey: where it applies, what it asks, how it is judged. */
export interface CheckRule {
  readonly id: Check;
  /** What the surveyor is to look at, as a question. */
  readonly question: string;
  readonly source: string;
  /** The verdict it stands on where the new equipment's current passes. */
  readonly on: Standing;
  readonly askOf: AskOf;
  /** The operator has no use for the answer; the firm does. */
  readonly ownUse?: boolean;
  readonly applies: (here: TreeNode, facts: CheckFacts) => boolean;
  readonly judge: (here: TreeNode, facts: CheckFacts) => CheckVerdict;
  /** What it means when the surveyor answers that there is none; without it, none is no trouble. */
  readonly absent?: { readonly says: string; readonly remedy: string };
}

export const HOLDS: CheckVerdict = { state: 'holds' };

/** What stands upstream of a node, in amperes per phase, and whether that is sure. */
export interface Upstream {
  readonly name: string;
  readonly amperes: number;
  readonly sure: boolean;
}

/**
 * The device that protects a node. A fuse whose rating is not established is taken as the largest it may be, since here
 * the danger is a fuse larger than what stands behind it. Null where a rating is not recorded.
 */
export function upstreamOf(here: TreeNode, { rules, tree, fuse }: CheckFacts): Upstream | null {
  const above = protectiveAbove(here);
  if (!above) return null;
  if (above !== tree.device)
    return above.node.ratingA === undefined
      ? null
      : { name: nodeName(above.node), amperes: above.node.ratingA, sure: true };
  if (fuse.established) return { name: 'the fuse', amperes: fuse.ratingA, sure: true };
  const amperes = above.node.holderMaximumA ?? rules.largestUsualFuseA.value;
  return { name: 'the largest fuse it may be', amperes, sure: false };
}
