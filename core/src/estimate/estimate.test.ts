import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { pricesAt } from '../price/at-day';
import { PriceBook, PriceTerms } from '../price/price-book';
import { starterBook } from '../price/starter';
import { assessedOptions } from '../options/options';
import { settledSurvey, type Change } from '../testing/settled-survey';
import type { Line } from '../materials/line';
import { standingLines } from '../materials/edited';
import { estimateOf } from './estimate';
import { estimateSurvey, operatorCharge, optionPrices } from './of-survey';

const from = { station: 'circuit', says: 'by hand' } as const;
const material = (id: string, item: string, quantity: number): Line => ({
  id,
  kind: 'material',
  item,
  text: item,
  unit: 'each',
  quantity,
  from,
});
const work = (id: string, quantity: number, more: object = {}): Line => ({
  id,
  kind: 'work',
  task: 'run-cable',
  text: 'Run',
  quantity,
  from,
  ...more,
});
const BOOK: PriceBook = {
  ...new PriceBook(),
  items: [
    { id: 'cable', name: 'Cable', unit: 'm', buyPence: 333, markUpPercent: 15 },
    { id: 'box', name: 'Box', unit: 'each', buyPence: 999, markUpPercent: 0, taxClass: 'reduced' },
    { id: 'unpriced', name: 'Unpriced', unit: 'each' },
    { id: 'exempt', name: 'Exempt', unit: 'each', buyPence: 100, taxClass: 'gone' },
  ],
  rates: [{ task: 'run-cable', hours: 0.1, people: 2, by: [{ id: 'stone', hours: 0.16 }] }],
  taxes: [
    { taxClass: 'standard', name: 'Standard', percent: 20 },
    { taxClass: 'reduced', name: 'Reduced', percent: 5 },
  ],
  terms: {
    ...new PriceTerms(),
    hourPence: 4500,
    hourCostPence: 2000,
    highFromM: 2.5,
    highFactor: 1.5,
    taxClass: 'standard',
  },
};
const PRICES = pricesAt(BOOK, '2026-12-01');
const estimate = (lines: readonly Line[], edits: Parameters<typeof standingLines>[1] = []) =>
  estimateOf(standingLines(lines, edits), PRICES);

describe('an estimate by hand', () => {
  const made = estimate([
    material('a', 'cable', 7.3),
    material('b', 'box', 3),
    work('c', 7.3, { by: 'stone' }),
    work('d', 4, { heightM: 3 }),
  ]);
  it('each line is rounded once', () => {
    // 7.3 × 333 × 1.15 = 2795.535 → 2796. 3 × 999 = 2997. 7.3 m × 0.16 h × 2 people = 2.336 h × 4500 = 10512.
    // 4 m × 0.1 h × 2 × 1.5 above 2.5 m = 1.2 h × 4500 = 5400.
    expect(made.lines.map(({ price }) => price?.pence)).toEqual([2796, 2997, 10512, 5400]);
  });
  it('tax once for each class, and parts add up to the penny', () => {
    // Standard: 2796 + 10512 + 5400 = 18708, 20 % = 3741.6 → 3742. Reduced: 2997, 5 % = 149.85 → 150.
    expect(made.taxes.map(({ taxClass, net, tax }) => [taxClass, net.pence, tax?.pence])).toEqual([
      ['standard', 18708, 3742],
      ['reduced', 2997, 150],
    ]);
    expect([made.materials.pence, made.work.pence, made.net.pence, made.tax.pence, made.total.pence]).toEqual([
      5793, 15912, 21705, 3892, 25597,
    ]);
  });
  it('what it costs the firm, and hours by task', () => {
    // 7.3 × 333 = 2430.9 → 2431, 2997, 2.336 h × 2000 = 4672, 1.2 h × 2000 = 2400.
    expect(made.costPence).toBe(2431 + 2997 + 4672 + 2400);
    expect(made.hours).toBeCloseTo(3.536, 9);
    expect(made.hoursByTask['run-cable']).toBeCloseTo(3.536, 9);
  });
  it('every figure shows its working, down to the price list', () => {
    const words = made.total.working().map(({ substituted }) => substituted);
    expect(words).toContain('7.3 × £3.33 × 115 % = £27.96');
    expect(words).toContain('7.30 × 0.320 h (0.16 h in stone × 2 people) × £45.00 = £105.12');
    expect(words).toContain('£187.08 × 20 % = £37.42');
    expect(words.at(-1)).toBe('£217.05 + £38.92 = £255.97');
  });
});

describe('what has no price', () => {
  it.each<[string, Line, RegExp]>([
    ['an item that is not in the list', material('x', 'nowhere', 1), /no price in the list/],
    ['an item without a price', material('x', 'unpriced', 1), /no price in the list/],
    ['a line with a gap', { ...material('x', 'cable', 1), gap: 'the size is not known' }, /the size is not known/],
    ['a line without a quantity', { ...work('x', 1), quantity: null }, /how much is not known/],
    ['a task without hours', { ...work('x', 1), task: 'dig' } as Line, /no hours for “Dig and fill a trench”/],
  ])('%s is told and left out of the sum', (_what, line, why) => {
    const made = estimate([line, material('b', 'box', 1)]);
    expect(made.unpriced.map((each) => each.why)).toEqual([expect.stringMatching(why)]);
    expect(made).toMatchObject({ isComplete: false, net: { pence: 999 } });
  });
  it('tax of a class with no rate that day is not known, and said', () => {
    const made = estimate([material('x', 'exempt', 1)]);
    expect(made.taxes).toMatchObject([{ taxClass: 'gone', tax: null }]);
    expect(made.isComplete).toBe(false);
  });
});

describe('laws of sums', () => {
  const lines = fc.array(
    fc.record({ item: fc.constantFrom('cable', 'box'), tenths: fc.integer({ min: 0, max: 5000 }) }),
    { minLength: 1, maxLength: 12 },
  );
  it('parts add up to the penny, and striking a line never raises a sum', () => {
    fc.assert(
      fc.property(lines, fc.nat(), (made, pick) => {
        const all = made.map(({ item, tenths }, at) => material(`l${at}`, item, tenths / 10));
        const whole = estimate(all);
        expect(whole.lines.reduce((sum, { price }) => sum + (price?.pence ?? 0), 0)).toBe(whole.net.pence);
        expect(whole.taxes.reduce((sum, { net }) => sum + net.pence, 0)).toBe(whole.net.pence);
        expect(whole.net.pence + whole.tax.pence).toBe(whole.total.pence);
        const struck = estimate(all, [{ id: `l${pick % all.length}`, struck: true }]);
        expect(struck.total.pence).toBeLessThanOrEqual(whole.total.pence);
        expect(struck.net.pence).toBeLessThanOrEqual(whole.net.pence);
      }),
      { numRuns: lawRuns(200) },
    );
  });
});

const chosen: Change = (survey) => {
  survey.works = { travelMin: 20 };
  for (const each of survey.proposals) {
    each.profileId = 'usual-dial';
    for (const segment of each.circuit?.segments ?? []) segment.fixedTo = 'brick';
  }
};
const starter = pricesAt(starterBook(), '2026-12-01');

describe('a survey in money', () => {
  it('by the starter list, by hand', () => {
    const survey = settledSurvey(chosen);
    const made = estimateSurvey(survey, assess(survey, gbDefault), starter);
    // Materials × 1.25 (equipment × 1.2): charger 29000 → 34800; fixings 600 → 750; B40 520 → 650; flat 6 mm² 30 + 2.6 × 72 = 217.2 → 217 p/m:
    // 11 m 2983.75 → 2984, 1 m 271.25 → 271; 34 clips × 5 → 212.5 → 213; labels 450 → 562.5 → 563. Sum 40231.
    expect(made.materials.pence).toBe(34800 + 750 + 650 + 2984 + 271 + 213 + 563);
    // Hours: 1.5 + 0.4 + 10 × 0.1 + 2 × 0.3 + 0.75 + 40 min of travel = 4.9167; each line at £48 to the penny.
    expect(made.work.pence).toBe(7200 + 1920 + 4800 + 2880 + 3600 + 3200);
    expect(made.isComplete).toBe(true);
    expect(made.total.pence).toBe(made.net.pence + Math.round(made.net.pence / 5));
  });

  it('law: a longer route never costs less', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 0, max: 60 }), (tenths, more) => {
        const at = (lengthM: number): number => {
          const survey = settledSurvey(chosen, (made) => {
            const [segment] = made.proposals[0]?.circuit?.segments ?? [];
            if (segment) segment.lengthM = lengthM;
          });
          return estimateSurvey(survey, assess(survey, gbDefault), starter).total.pence;
        };
        expect(at((tenths + more) / 10)).toBeGreaterThanOrEqual(at(tenths / 10));
      }),
      { numRuns: lawRuns(30) },
    );
  });
});

describe('options in money', () => {
  const survey = settledSurvey(chosen);
  const found = assessedOptions(survey, gbDefault);
  it('each is the price of its own survey; held to a fixed rate adds its commissioning', () => {
    const priced = optionPrices(found, starter);
    expect(priced.map(({ optionId }) => optionId)).toEqual(found.map(({ option }) => option.id));
    const at = (id: string): number => priced.find(({ optionId }) => optionId === id)?.estimate.total.pence ?? 0;
    // 0.5 h at £48 and 20 %.
    expect(at('fixed-limit') - at('full-rate')).toBe(2880);
  });
  it('what the operator charges stands beside it, is nothing where nothing is asked of it, and not known until somebody enters it', () => {
    expect(operatorCharge(['full-rate'], starter)).toBe(0);
    expect(operatorCharge(['fuse-upgrade'], starter)).toBeNull();
    const charged = pricesAt({ ...starterBook(), charges: [{ option: 'fuse-upgrade', pence: 15000 }] }, '2026-12-01');
    expect(operatorCharge(['fuse-upgrade', 'managed'], charged)).toBe(15000);
    expect(operatorCharge(['fuse-upgrade', 'un-loop'], charged)).toBeNull();
  });
});
