import { assess } from '../assess';
import { options } from '../options/options';
import { pricesAt } from '../price/at-day';
import { starterBook } from '../price/starter';
import type { PriceBook } from '../price/price-book';
import { gbDefault } from '../rules/gb-default';
import { Scheme } from '../schemes/scheme';
import type { Survey } from '../survey/survey';
import { settledSurvey, type Change } from '../testing/settled-survey';
import { AS_RECORDED, composeQuote, type QuoteFacts, type QuoteMade } from './compose';

const chosen: Change = (survey) => {
  survey.works = { travelMin: 20, powerOffH: 2, rooms: [{ id: 'r', room: 'Hall', disrupts: ['furniture'] }] };
  for (const each of survey.proposals) {
    Object.assign(each, { profileId: 'usual-dial', profile: 'Wall charger' });
    for (const segment of each.circuit?.segments ?? []) segment.fixedTo = 'brick';
  }
};
function quoted(survey: Survey, more: Partial<QuoteFacts> = {}, book: PriceBook = starterBook()): QuoteMade {
  return composeQuote({
    survey,
    assessment: assess(survey, gbDefault),
    rules: gbDefault,
    options: options(survey, gbDefault),
    offered: [AS_RECORDED],
    prices: pricesAt(book, '2026-12-01'),
    schemes: [],
    number: 'Q-0007',
    revision: 1,
    date: '2026-12-01',
    firm: { name: 'Firm', address: '', telephone: '', email: '' },
    about: 'A charger',
    ...more,
  });
}

describe('a quotation', () => {
  const { quote, basis, faults } = quoted(settledSurvey(chosen));
  const [choice] = quote.choices;
  it('is numbered, dated, stands 30 days, and has nothing against it', () => {
    expect(quote).toMatchObject({ number: 'Q-0007', revision: 1, date: '2026-12-01', validUntil: '2026-12-31' });
    expect(faults).toEqual([]);
  });
  it('says in plain words what is done, for how much, and what the power and rooms have to do with it', () => {
    expect(choice?.does).toEqual([
      'Supply and fit the new charger (Plain 7), 32 A.',
      'Run about 10 m of cable and fix it.',
      'Test everything and leave you the certificate.',
    ]);
    expect(choice?.totalPence).toBe((choice?.netPence ?? 0) + (choice?.taxes[0]?.pence ?? 0));
    expect(quote.disruption).toEqual(['Hall: furniture moved and put back.', 'The power is off for about 2 h.']);
    expect(choice?.operatorWords).toBe('We fit it and then tell the network operator.');
  });
  it('keeps for the firm what it cost, and shows the customer nothing of that', () => {
    expect(basis.choices[0]).toMatchObject({ id: AS_RECORDED, netPence: choice?.netPence });
    expect(basis.choices[0]?.hours['run-cable']).toBeCloseTo(1, 9);
    expect(JSON.stringify(quote)).not.toMatch(/costPence|markUp|buyPence/);
  });
  it('shows lines only where the firm does', () => {
    expect(choice?.lines).toEqual([]);
    const book = starterBook();
    const [shown] = quoted(settledSurvey(chosen), {}, { ...book, terms: { ...book.terms, detail: 'lines' } }).quote
      .choices;
    expect(shown?.lines.reduce((sum, { pence }) => sum + pence, 0)).toBe(shown?.netPence);
  });
  it('offers options beside, each with its own sum, its operator and its words', () => {
    const survey = settledSurvey(chosen);
    const { quote: several } = quoted(survey, { offered: ['full-rate', 'fixed-limit', 'fuse-upgrade', 'nowhere'] });
    expect(several.choices.map(({ id }) => id)).toEqual(
      ['full-rate', 'fixed-limit'].concat(
        options(survey, gbDefault).some(({ id }) => id === 'fuse-upgrade') ? ['fuse-upgrade'] : [],
      ),
    );
    expect(several.choices[1]?.does).toContain('It is set to charge more slowly, so that your supply carries it.');
    const upgrade = several.choices.find(({ id }) => id === 'fuse-upgrade');
    if (upgrade)
      expect(upgrade).toMatchObject({
        operatorPence: null,
        operatorWords: expect.stringMatching(/not known yet/) as string,
      });
  });
  it('names money help with its sum and the evidence that is missing', () => {
    const scheme: Scheme = {
      ...new Scheme(),
      id: 's',
      name: 'Help',
      outletCapPence: 20000,
      evidence: [{ id: 'p', text: 'Proof of parking' }],
    };
    expect(quoted(settledSurvey(chosen), { schemes: [scheme] }).quote.choices[0]?.help).toEqual([
      { name: 'Help', pence: 20000, missing: ['Proof of parking'] },
    ]);
  });
});

describe('a quotation that cannot be sent', () => {
  it('says which choice has lines without a price', () => {
    const { faults } = quoted(settledSurvey(chosen, (s) => void delete s.works?.travelMin));
    expect(faults).toEqual(['New charger: 1 line has no price.']);
  });
  it('says that no tax holds, and that nothing is offered', () => {
    const book = starterBook();
    expect(quoted(settledSurvey(chosen), {}, { ...book, taxes: [] }).faults).toEqual([
      'No rate of tax “standard” holds on 2026-12-01.',
    ]);
    expect(quoted(settledSurvey(chosen), { offered: [] }).faults).toEqual([
      'Nothing is offered: choose at least one way of doing it.',
    ]);
  });
});

describe('what would change the price', () => {
  it('is what is still open, in the customer’s words', () => {
    const { quote } = quoted(
      settledSurvey(chosen, (survey) => {
        survey.earthing = {};
        survey.intake.loop = {};
      }),
    );
    expect(quote.wouldChange).toEqual(
      expect.arrayContaining([
        'The earthing of your home is not confirmed. If it needs work, the price changes.',
        'It is not confirmed that your supply cable is yours alone. If you share it, the network operator has to act first.',
      ]),
    );
  });
  it('a settled survey leaves nothing open, and what was assumed is said', () => {
    const { quote } = quoted(settledSurvey(chosen, (s) => void delete s.proposals[0]?.circuit?.sizeMm2));
    expect(quote.wouldChange).toEqual([]);
    expect(quote.assumes).toEqual(['The cable of the circuit of the new charger is 6 mm², the smallest that passes.']);
  });
});

it('a staged job is one choice whose steps add up to its sum', () => {
  const survey = settledSurvey(chosen, (s) => {
    s.stages = [
      { id: 'a', option: 'fixed-limit', plannedOn: '2026-12-10' },
      { id: 'b', option: 'full-rate', plannedOn: '2027-03-01' },
    ];
  });
  const [choice] = quoted(survey).quote.choices;
  expect(choice?.stages.map(({ when }) => when)).toEqual(['2026-12-10', '2027-03-01']);
  expect(choice?.stages.reduce((sum, { totalPence }) => sum + totalPence, 0)).toBe(choice?.totalPence);
  expect((choice?.netPence ?? 0) + (choice?.taxes.reduce((sum, { pence }) => sum + pence, 0) ?? 0)).toBe(
    choice?.totalPence,
  );
});
