import { ukDay } from '@keen-gauge/core/calendar/days';
import { estimateSurvey } from '@keen-gauge/core/estimate/of-survey';
import type { Estimate } from '@keen-gauge/core/estimate/estimate';
import { pricesAt, type Prices } from '@keen-gauge/core/price/at-day';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import { useMemo } from 'react';
import { usePrices } from '../api/prices';
import { useSurvey } from '../survey/SurveyContext';
import type { BookAtDay } from '../what-if/reckon';

export interface Priced {
  readonly prices: Prices;
  readonly book: PriceBook;
  readonly atDay: BookAtDay;
  /** Kept from this person’s role: lines without money. */
  readonly hidden: boolean;
  readonly estimate: Estimate;
}

/** The survey at hand in money; undefined until the firm’s prices have come. */
export function useEstimate(): { readonly priced: Priced | undefined; readonly error: Error | undefined } {
  const { survey, assessment } = useSurvey();
  const { data, error } = usePrices();
  const day = ukDay(new Date());
  const atDay = useMemo(() => data && { book: data.book, day }, [data, day]);
  const prices = useMemo(() => atDay && pricesAt(atDay.book, atDay.day), [atDay]);
  const estimate = useMemo(() => prices && estimateSurvey(survey, assessment, prices), [survey, assessment, prices]);
  const priced =
    data && atDay && prices && estimate ? { prices, book: data.book, atDay, hidden: data.hidden, estimate } : undefined;
  return { priced, error };
}
