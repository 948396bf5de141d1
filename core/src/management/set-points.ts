import { HAIR, wholeBelow } from '../rules/rounding';
import type { Assessment } from '../assessment';
import type { NodeAssessment } from '../nodes/node-assessment';
import type { Rules } from '../rules/rules';
import { worstSetPointA } from './clamp-limit';

/** What the nodes on the way allow of a clamp’s settings, in whole amperes. */
export interface SettingBounds {
  /** The largest set-point of the first clamp at which every node holds, the clamp at its worst; null where nothing sets one. */
  readonly setPointA: number | null;
  readonly setBy: string | null;
  /** Two schools: at that bound, and a margin below it; the pack’s margins in amperes and in per cent. */
  readonly withMarginA: number | null;
  readonly withMarginPercentA: number | null;
  /** What a clamp that reads low by the pack’s error, and whose reading is cut off to its steps, lets through at that bound. */
  readonly withErrorA: number | null;
  /** The largest fail-safe for each charger; 0 stops it. Negative demand of it is never offered. */
  readonly failSafeA: number | null;
  readonly failSafeBy: string | null;
}

/** The settings the nodes allow: the least over all nodes on the way, rounded down. Null where no clamp is reckoned. */
export function settingBounds(
  { nodes }: Pick<Assessment, 'nodes'>,
  chargers: number,
  rules: Rules,
): SettingBounds | null {
  const guarded = nodes.filter(({ guard }) => guard !== undefined);
  if (guarded.length === 0 || chargers === 0) return null;
  const setBy = leastBy(guarded, ({ guard }) => guard?.mostSetPointA ?? null);
  const failBy = leastBy(guarded, ({ guard }) => guard?.mostFailSafeA ?? null);
  const setPointA = setBy ? wholeBelow(setBy.value) : null;
  const { amperes, percent } = rules.setPointMargin.value;
  // A margin is counted from what the node may carry, which is the bound with the clamp's error put back.
  const carriesA = setBy === null ? null : worstSetPointA(setBy.value, rules);
  const below = (marginA: number): number | null =>
    setPointA === null ? null : Math.max(0, Math.min(setPointA, wholeBelow(marginA)));
  return {
    setPointA,
    setBy: setBy?.label ?? null,
    withMarginA: carriesA === null ? null : below(carriesA - amperes),
    withMarginPercentA: carriesA === null ? null : below(carriesA * (1 - percent / 100)),
    withErrorA: setPointA === null ? null : worstSetPointA(setPointA, rules),
    failSafeA: failBy ? Math.max(0, wholeBelow(failBy.value / chargers)) : null,
    failSafeBy: failBy?.label ?? null,
  };
}

function leastBy(
  nodes: readonly NodeAssessment[],
  of: (node: NodeAssessment) => number | null,
): { readonly value: number; readonly label: string } | null {
  let least: { value: number; label: string } | null = null;
  for (const node of nodes) {
    const value = of(node);
    if (value !== null && (least === null || value < least.value)) least = { value, label: node.label };
  }
  return least;
}

/** The largest of a charger’s own steps that is not above a current; null where even the least is. */
export function stepAtMost(amperes: number, steps: readonly number[]): number | null {
  return [...steps].sort((a, b) => b - a).find((step) => step <= amperes + HAIR) ?? null;
}
