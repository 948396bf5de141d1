import { basisOutcomes, missingKnowledge } from '@keen-gauge/core/demand-decision';
import { judgeEquipment, type EquipmentVerdict } from '@keen-gauge/core/equipment/judge';
import { optionPrices } from '@keen-gauge/core/estimate/of-survey';
import type { EquipmentProfile } from '@keen-gauge/core/firm/equipment';
import { assessedOptions, type AssessedOption } from '@keen-gauge/core/options/options';
import { whatWouldChange } from '@keen-gauge/core/options/what-would-change';
import { pricesAt } from '@keen-gauge/core/price/at-day';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import { adviseSite } from '@keen-gauge/core/site/combination';
import { same, type Value } from '@keen-gauge/core/record/changes';
import { stageSums, type StageSum } from '@keen-gauge/core/stages/sums';
import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Survey } from '@keen-gauge/core/survey/survey';

/** A price book and the day it is read on. */
export interface BookAtDay {
  readonly book: PriceBook;
  readonly day: string;
}

/** What an option comes to in money, short enough to be sent from one thread to another. */
export interface OptionSum {
  readonly optionId: string;
  readonly title: string;
  readonly why: string;
  readonly holds: boolean | null;
  readonly totalPence: number;
  readonly isComplete: boolean;
  readonly operatorPence: number | null;
  readonly open: readonly string[];
}

let last: { readonly survey: Survey; readonly rules: Rules; readonly found: readonly AssessedOption[] } | undefined;

const isSame = (one: unknown, other: unknown): boolean => same(one as Value, other as Value);

/** The options of the survey at hand, once for everything that is asked of the same survey: a copy of it comes with each question. */
function optionsOnce(survey: Survey, rules: Rules): readonly AssessedOption[] {
  if (!last || !isSame(last.survey, survey) || !isSame(last.rules, rules))
    last = { survey, rules, found: assessedOptions(survey, rules) };
  return last.found;
}

function optionSums(survey: Survey, rules: Rules, { book, day }: BookAtDay): OptionSum[] {
  const found = optionsOnce(survey, rules);
  return optionPrices(found, pricesAt(book, day)).map(({ optionId, estimate, operatorPence, open }, at) => {
    const option = found[at]?.option;
    return {
      optionId,
      title: option?.title ?? '',
      why: option?.why ?? '',
      holds: option?.holds ?? null,
      totalPence: estimate.total.pence,
      isComplete: estimate.isComplete,
      operatorPence,
      open,
    };
  });
}

function equipmentVerdicts(
  survey: Survey,
  rules: Rules,
  { profiles }: { readonly profiles: readonly EquipmentProfile[] },
): Readonly<Record<string, readonly EquipmentVerdict[]>> {
  return Object.fromEntries(
    survey.proposals.map(({ id }) => [id, judgeEquipment(survey, id, profiles, rules)] as const),
  );
}

/** Everything reckoned for surveys that might be: what takes many assessments, and so is done beside the page and not in it. */
export const WHAT_IF = {
  options: (survey: Survey, rules: Rules, _more: null) => optionsOnce(survey, rules).map(({ option }) => option),
  whatWouldChange: (survey: Survey, rules: Rules, _more: null) => whatWouldChange(survey, rules),
  basisOutcomes: (survey: Survey, rules: Rules, _more: null) => basisOutcomes(survey, rules),
  missingKnowledge: (survey: Survey, rules: Rules, _more: null) => missingKnowledge(survey, rules),
  siteAdvice: (survey: Survey, rules: Rules, _more: null) => adviseSite(survey, rules),
  optionSums,
  equipmentVerdicts,
  stageSums: (survey: Survey, rules: Rules, { book, day }: BookAtDay): readonly StageSum[] =>
    stageSums(survey, rules, pricesAt(book, day)),
};
export type WhatIf = keyof typeof WHAT_IF;
export type AnswerTo<K extends WhatIf> = ReturnType<(typeof WHAT_IF)[K]>;
/** What it is reckoned from besides the survey and its rules: null for most. */
export type MoreFor<K extends WhatIf> = Parameters<(typeof WHAT_IF)[K]>[2];
/** Those that need nothing more. */
export type PlainWhatIf = { [K in WhatIf]: null extends MoreFor<K> ? K : never }[WhatIf];
