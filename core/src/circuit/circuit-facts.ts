import type { NodeAssessment } from '../nodes/node-assessment';
import type { PerPhase } from '../demand/per-phase-figures';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import { type Phase } from '../survey/words/words';
import { phaseAt, type SupplyTree, type TreeNode } from '../tree/supply-tree';
import { found, notKnown, type Lookup } from '../cable/lookup';

/** Everything circuits and feeders are judged from. */
export interface CircuitFacts {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly tree: SupplyTree;
  readonly nodes: ReadonlyMap<string, NodeAssessment>;
  readonly phases: readonly Phase[];
  /** The limiter holds, so that nodes it keeps are reckoned with what it keeps them to. */
  readonly limiterHolds: boolean;
  /** What feeders carry on each phase beyond the basis used, by node id; see `uncountedAtFeeders`. */
  readonly uncountedA: ReadonlyMap<string, readonly number[]>;
}

/** How many lines a node is on: three unless the supply, or the node, is on one. */
export function linesAt(here: TreeNode | null, { phases }: CircuitFacts): 1 | 3 {
  return phases.length === 3 && phaseAt(here) === undefined ? 3 : 1;
}

/** The demand a node is held to after the work: the managed one where the limiter holds. */
export function demandAfter(node: NodeAssessment, { limiterHolds }: Pick<CircuitFacts, 'limiterHolds'>): PerPhase {
  return limiterHolds && node.managed ? node.managed : node.after;
}

/** Demand of each phase in amperes; a lower bound is not a demand. */
export function amperesOf(demand: PerPhase): Lookup<readonly number[]> {
  const amperes: number[] = [];
  for (const { value, bound, why } of Object.values(demand)) {
    if (value === null || bound === 'at-least') return notKnown(`the demand it carries is not known (${why ?? '?'})`);
    amperes.push(value);
  }
  return found(amperes);
}
