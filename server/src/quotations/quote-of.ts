import { assess } from '@keen-gauge/core/assess';
import { rulesFor, type FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { options } from '@keen-gauge/core/options/options';
import { pricesAt } from '@keen-gauge/core/price/at-day';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import { AS_RECORDED, composeQuote, type QuoteMade } from '@keen-gauge/core/quote/compose';
import type { Quote } from '@keen-gauge/core/quote/quote';
import type { Scheme } from '@keen-gauge/core/schemes/scheme';
import { plainSurvey } from '@keen-gauge/core/survey/opening/read';
import type { Survey } from '@keen-gauge/core/survey/survey';

/** Everything a quotation is composed from, as plain data. */
export interface QuoteInput {
  readonly survey: Survey;
  readonly rules: FirmRules;
  readonly book: PriceBook;
  readonly schemes: readonly Scheme[];
  readonly offered: readonly string[];
  readonly date: string;
  readonly firm: Quote['firm'];
  readonly about: string;
  readonly pictures: readonly string[];
}

/** A quotation but for its number. Options are reckoned only where one is offered: for a thread, since that takes a while. */
export function quoteOf({ survey, rules: firmRules, book, ...given }: QuoteInput): QuoteMade {
  const plain = plainSurvey(survey);
  const rules = rulesFor(plain.place.meterPointNumber, firmRules);
  return composeQuote({
    ...given,
    survey: plain,
    assessment: assess(plain, rules),
    rules,
    options: given.offered.some((id) => id !== AS_RECORDED) ? options(plain, rules) : [],
    prices: pricesAt(book, given.date),
    number: '',
    revision: 0,
  });
}
