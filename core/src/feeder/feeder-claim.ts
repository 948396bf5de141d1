import type { TreeNode } from '../tree/supply-tree';
import { exceeds, written } from '../worked';
import { currentOf, dropOf, dropTo, loopTo } from '../circuit/along';
import { linesAt, type CircuitFacts } from '../circuit/circuit-facts';
import { largestLoopForDevice } from '../cable/fault-loop';
import { cableCapacity } from './room';
import { shown } from '../rules/rounding';

/** Whether a feeder's device might be so large, after everything has been reckoned again. */
export interface ClaimVerdict {
  readonly claimedA: number;
  readonly holds: boolean | null;
  readonly reasons: readonly string[];
}

/**
 * What somebody believes a feeder's cable would carry, reckoned again: a thick cable may have been laid for volt drop or
 * for grouping, and says nothing of what may protect it.
 */
export function judgeClaim(here: TreeNode, claimedA: number, facts: CircuitFacts): ClaimVerdict {
  const rules = facts.rules.circuit;
  const capacity = cableCapacity(here, facts);
  const lines = linesAt(here, facts);
  const drop = dropOf(here, facts, currentOf(lines === 3 ? [claimedA, claimedA, claimedA] : [claimedA], lines));
  const before = dropTo(here.parent, facts);
  const loop = loopTo(here, facts);
  const largest = rules.largestDropPercent.value;
  const reasons: [boolean | null, string][] = [];
  reasons.push(
    capacity.ok
      ? [!exceeds(claimedA, capacity.value), `it carries ${shown(capacity.value)} A as it is laid`]
      : [null, capacity.says],
  );
  if (drop.ok && before.ok) {
    const total = drop.value.value + before.value.value;
    reasons.push([
      !exceeds(total, largest, '%'),
      `${written(total)} % volt drop at ${claimedA} A, ${largest} % at most`,
    ]);
  } else reasons.push([null, drop.ok ? (before.ok ? '' : before.says) : drop.says]);
  if (facts.survey.earthing.arrangement !== 'tt') {
    const curve = here.node.curve;
    const limit = curve && largestLoopForDevice(rules, facts.rules.nominalVoltageV.value, curve, claimedA);
    if (loop.ok && limit)
      reasons.push([
        !exceeds(loop.value.value, limit.value, 'Ω'),
        `loop impedance ${written(loop.value.value)} Ω, ${written(limit.value)} Ω at most for ${curve}${claimedA}`,
      ]);
    else reasons.push([null, loop.ok ? 'curve of its device not known' : loop.says]);
  }
  const verdicts = reasons.map(([holds]) => holds);
  return {
    claimedA,
    holds: verdicts.includes(false) ? false : verdicts.includes(null) ? null : true,
    reasons: reasons.map(([, says]) => says),
  };
}
