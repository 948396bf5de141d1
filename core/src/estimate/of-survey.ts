/** What a survey costs, and what each option of it costs. */
import type { Decided } from '../assessment';
import { standingLines } from '../materials/edited';
import { surveyLines } from '../materials/survey-lines';
import type { AssessedOption } from '../options/options';
import type { Pence } from '../money/pence';
import type { Prices } from '../price/at-day';
import type { Survey } from '../survey/survey';
import type { OptionKind } from '../survey/words/option-words';
import { estimateOf, type Estimate } from './estimate';

/** The estimate of a survey as it is recorded, with the lines somebody changed. */
export function estimateSurvey(survey: Survey, assessment: Decided, prices: Prices): Estimate {
  const { wastePercent, endM } = prices.terms;
  const lines = surveyLines(survey, assessment, { wastePercent, endM });
  return estimateOf(standingLines(lines, survey.works?.lines), prices);
}

/** What an option costs: the firm’s price, and what the operator charges beside it. */
export interface OptionPrice {
  readonly optionId: string;
  readonly estimate: Estimate;
  /** What the operator charges; null where nobody has entered it and the option asks something of the operator. */
  readonly operatorPence: Pence | null;
  /** What the firm cannot price of it. */
  readonly open: readonly string[];
}

/** Options that ask something of the operator, for which it charges. */
const OPERATORS: readonly OptionKind[] = ['fuse-upgrade', 'un-loop', 'three-phase', 'other-supply'];

/** Each option in money. Options are surveys, so that each is priced as the survey is. */
export function optionPrices(found: readonly AssessedOption[], prices: Prices): OptionPrice[] {
  return found.map(({ option: { id, kind, also, survey }, assessment }) => {
    const estimate = estimateSurvey(survey, assessment, prices);
    return {
      optionId: id,
      estimate,
      operatorPence: operatorCharge([kind, ...(also === undefined ? [] : [also])], prices),
      open: [...new Set(estimate.unpriced.map(({ why, line }) => why ?? line.text))],
    };
  });
}

/** What the operator charges for several kinds together; null where one of them is its to do and no charge is entered. */
export function operatorCharge(kinds: readonly OptionKind[], prices: Prices): Pence | null {
  const asked = kinds.filter((kind) => OPERATORS.includes(kind));
  const charges = asked.map((kind) => prices.charge(kind));
  return charges.some((each) => each === undefined)
    ? null
    : charges.reduce<number>((all, each) => all + (each ?? 0), 0);
}
