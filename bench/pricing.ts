import { estimateSurvey, optionPrices } from '@keen-gauge/core/estimate/of-survey';
import { assess } from '@keen-gauge/core/assess';
import { assessedOptions } from '@keen-gauge/core/options/options';
import { pricesAt, type Prices } from '@keen-gauge/core/price/at-day';
import { starterBook } from '@keen-gauge/core/price/starter';
import { AS_RECORDED, composeQuote } from '@keen-gauge/core/quote/compose';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { settledSurvey } from '@keen-gauge/core/testing/settled-survey';
import { quotationPdf } from '../server/src/quotations/pdf';
import { quantile, report } from './report';

/** A home with everything a price needs, its route so long. */
function home(lengthM: number, travelMin = 20): Survey {
  return settledSurvey((survey) => {
    survey.works = { travelMin };
    survey.loads.push({ id: 'shower', class: 'instantaneous-water-heating', powerW: 9500 });
    for (const each of survey.proposals) {
      each.profileId = 'usual-dial';
      for (const segment of each.circuit?.segments ?? []) Object.assign(segment, { lengthM, fixedTo: 'brick' });
    }
  });
}

/** Every option in money after an edit, as the worker has it; the same afresh beside it; and the document of a quotation. */
export async function benchPricing(): Promise<void> {
  const prices = pricesAt(starterBook(), '2026-12-01');
  for (const [what, edit] of [
    ['the length of the route', (at: number) => home(5 + (at % 30))],
    ['the way to the site', (at: number) => home(5, 10 + (at % 30))],
  ] as const)
    priceOptions(what, edit, prices);

  const survey = home(12);
  const assessment = assess(survey, gbDefault);
  const single: number[] = [];
  for (let at = 0; at < 200; at += 1) {
    const start = performance.now();
    estimateSurvey(survey, assessment, prices);
    if (at >= 50) single.push(performance.now() - start);
  }
  report('estimate of the survey at hand, median', quantile(single, 0.5), 'ms', 2);

  const { quote } = composeQuote({
    survey,
    assessment,
    rules: gbDefault,
    options: [],
    offered: [AS_RECORDED],
    prices,
    schemes: [],
    number: 'Q-0001',
    revision: 1,
    date: '2026-12-01',
    firm: { name: 'Bench', address: '', telephone: '', email: '' },
    about: 'A charger',
  });
  const pdf: number[] = [];
  for (let at = 0; at < 12; at += 1) {
    const start = performance.now();
    await quotationPdf({ quote, fingerprint: '0'.repeat(64), at: '2026-12-01T09:00:00Z', printed: [] });
    if (at >= 2) pdf.push(performance.now() - start);
  }
  report('PDF of a quotation, in a thread of its own, median', quantile(pdf, 0.5), 'ms', 1000);
}

/** Every option in money after each of many edits, from the survey as it comes from another thread. */
function priceOptions(what: string, edit: (at: number) => Survey, prices: Prices): void {
  const all: number[] = [];
  const alone: number[] = [];
  for (let at = 0; at < 160; at += 1) {
    const next = structuredClone(JSON.parse(JSON.stringify(edit(at))) as Survey);
    let start = performance.now();
    const found = assessedOptions(next, gbDefault);
    optionPrices(found, prices);
    if (at >= 40) all.push(performance.now() - start);
    start = performance.now();
    optionPrices(found, prices);
    if (at >= 40) alone.push(performance.now() - start);
  }
  report(`priced options of a home after an edit of ${what}, median`, quantile(all, 0.5), 'ms', 30);
  report('  of which the pricing alone', quantile(alone, 0.5), 'ms', 30);
}
