import { basisOutcomes, missingKnowledge } from '@keen-gauge/core/demand-decision';
import { options } from '@keen-gauge/core/options/options';
import { whatWouldChange } from '@keen-gauge/core/options/what-would-change';
import { adviseSite } from '@keen-gauge/core/site/combination';
import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Survey } from '@keen-gauge/core/survey/survey';

/** Everything reckoned for surveys that might be: what takes many assessments, and so is done beside the page and not in it. */
export const WHAT_IF = {
  options,
  whatWouldChange,
  basisOutcomes,
  missingKnowledge,
  siteAdvice: (survey: Survey, rules: Rules) => adviseSite(survey, rules),
} satisfies Record<string, (survey: Survey, rules: Rules) => unknown>;
export type WhatIf = keyof typeof WHAT_IF;
export type AnswerTo<K extends WhatIf> = ReturnType<(typeof WHAT_IF)[K]>;
