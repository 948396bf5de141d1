import { assess } from '@keen-gauge/core/assess';
import { rulesFor, type FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { standingLines } from '@keen-gauge/core/materials/edited';
import { surveyLines } from '@keen-gauge/core/materials/survey-lines';
import { orderList, type OrderList } from '@keen-gauge/core/order/order-list';
import { pricesAt } from '@keen-gauge/core/price/at-day';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import { plainSurvey } from '@keen-gauge/core/survey/opening/read';
import type { Survey } from '@keen-gauge/core/survey/survey';

export interface OrderInput {
  readonly jobs: readonly { readonly id: string; readonly name: string; readonly survey: Survey }[];
  readonly rules: FirmRules;
  readonly book: PriceBook;
  readonly day: string;
}

const LOADED = 'load-';

/** What to buy over several jobs, from the surveys as they stand: for a thread, since each is assessed. */
export function linesOfJobs({ jobs, rules, book, day }: OrderInput): OrderList {
  const prices = pricesAt(book, day);
  const { wastePercent, endM } = prices.terms;
  return orderList(
    jobs.map(({ id, name, survey: stored }) => {
      const survey = plainSurvey(stored);
      const assessment = assess(survey, rulesFor(survey.place.meterPointNumber, rules));
      const loaded = (survey.fit?.ticks ?? []).flatMap((tick) =>
        tick.id.startsWith(LOADED) ? [tick.id.slice(LOADED.length)] : [],
      );
      return {
        jobId: id,
        name,
        lines: standingLines(surveyLines(survey, assessment, { wastePercent, endM }), survey.works?.lines),
        loaded: new Set(loaded),
      };
    }),
    book.van,
    prices,
  );
}
