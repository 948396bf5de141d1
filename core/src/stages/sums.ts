import type { Prices } from '../price/at-day';
import type { Pence } from '../money/pence';
import type { RouteWay } from '../route/ways';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import { stageEstimate, stagePlans } from './stages';

/** A step of a plan in short: what is shown of it, and sent from one thread to another. */
export interface StageSum {
  readonly id: string;
  readonly name: string;
  readonly settings: readonly string[];
  readonly route: RouteWay;
  readonly routeWords: string;
  readonly fits: boolean | null;
  readonly why: string;
  readonly gap: string | null;
  readonly totalPence: Pence;
  readonly isComplete: boolean;
  /** What it brings, in words. */
  readonly brings: readonly string[];
}

/** Each step with its settings, its way to the operator and its sum. */
export function stageSums(survey: Survey, rules: Rules, prices: Prices): StageSum[] {
  const { wastePercent, endM } = prices.terms;
  return stagePlans(survey, rules, { wastePercent, endM }).map((plan, at) => {
    const estimate = stageEstimate(plan, survey, prices, at === 0);
    return {
      id: plan.stage.id,
      name: plan.name,
      settings: plan.settings,
      route: plan.assessment.route.way,
      routeWords: plan.assessment.route.words,
      fits: plan.fit.answer,
      why: plan.fit.why,
      gap: plan.gap,
      totalPence: estimate.total.pence,
      isComplete: estimate.isComplete,
      brings: [...new Set(plan.lines.flatMap((line) => (line.kind === 'material' ? [line.text] : [])))],
    };
  });
}
