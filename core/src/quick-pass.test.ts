import { fc, lawRuns } from './testing/laws';
import { assess } from './assess';
import { quickPass } from './quick-pass';
import { puttingOff } from './questions/put-off';
import { questionKey } from './questions/question';
import { gbDefault } from './rules/gb-default';
import { blankSurvey } from './survey/blank';
import type { Survey } from './survey/survey';
import { settledSurvey } from './testing/settled-survey';

const passOf = (survey: Survey) => quickPass(survey, assess(survey, gbDefault));
const idsAt = (survey: Survey, stop: string): string[] =>
  passOf(survey)
    .stops.find(({ id }) => id === stop)
    ?.questions.map(({ id }) => id) ?? [];

describe('the quick pass', () => {
  it('of a new job begins with the customer, then the intake, then the board', () => {
    const stops = passOf(blankSurvey()).stops.map(({ id }) => id);
    expect(stops).toEqual(['customer', 'intake', 'board board', 'rooms', 'desk']);
    expect(idsAt(blankSurvey(), 'customer')).toContain('nothing-proposed');
    // What the operator would have to be asked may well stand on a label: it is looked for first.
    expect(idsAt(blankSurvey(), 'intake')).toContain('fuse-rating-not-established');
    expect(idsAt(blankSurvey(), 'intake')).toContain('check-tails-size');
  });

  it('asks how a charger is limited once there is one, although it counts at its full rating meanwhile', () => {
    const survey = settledSurvey(({ proposals: [car] }) => {
      if (car) car.limiter = {};
    });
    expect(idsAt(survey, 'limit')).toEqual(['limiter-taken']);
  });

  it('has every open question once, at a stop or among what waits, whatever is left out and passed over', () => {
    const parts = ['place', 'intake', 'earthing', 'loads', 'proposals', 'readings'] as const;
    const to = fc.constantFrom('customer' as const, 'operator' as const, 'not-seen' as const);
    fc.assert(
      fc.property(fc.subarray([...parts]), fc.array(fc.tuple(fc.nat(30), to), { maxLength: 6 }), (gone, skips) => {
        const survey = settledSurvey();
        const blank = blankSurvey();
        for (const part of gone) Object.assign(survey, { [part]: blank[part] });
        for (const [at, whom] of skips) {
          const open = passOf(survey).stops.flatMap(({ questions }) => questions);
          const question = open[at % Math.max(1, open.length)];
          if (question) survey.putOff = puttingOff(survey, question, { id: `p${at}`, to: whom });
        }
        const { stops, waiting, order } = passOf(survey);
        const keys = [...stops, ...waiting].flatMap(({ questions }) => questions.map(questionKey));
        expect(new Set(keys).size).toBe(keys.length);
        expect(stops.map(({ id }) => id)).toEqual(order.filter((id) => stops.some((stop) => stop.id === id)));
        expect(waiting.flatMap(({ questions }) => questions).every(({ putOff }) => putOff !== undefined)).toBe(true);
        expect(stops.flatMap(({ questions }) => questions).some(({ putOff }) => putOff !== undefined)).toBe(false);
      }),
      { numRuns: lawRuns(40) },
    );
  });
});

describe('a question passed over', () => {
  const asked = (survey: Survey) =>
    assess(survey, gbDefault).questions.find(({ id }) => id === 'fuse-rating-not-established');
  const passedTo = (to: 'customer' | 'not-seen'): Survey => {
    const survey = blankSurvey();
    const question = asked(survey);
    if (!question) throw new Error('nothing is asked of the fuse');
    survey.putOff = puttingOff(survey, question, { id: 'p1', to });
    return survey;
  };

  it('stays open, and is asked of whom it was passed to', () => {
    expect(asked(passedTo('customer'))).toMatchObject({ askOf: 'customer', putOff: 'customer' });
    expect(assess(passedTo('customer'), gbDefault).supply.ratingEstablished).toBe(
      assess(blankSurvey(), gbDefault).supply.ratingEstablished,
    );
  });

  it('could not be seen: asked of whom it was before', () => {
    expect(asked(passedTo('not-seen'))).toMatchObject({ askOf: asked(blankSurvey())?.askOf, putOff: 'not-seen' });
  });

  it('is taken up again, and passed on again: the last word counts, once', () => {
    const survey = passedTo('customer');
    const question = asked(survey);
    if (!question) throw new Error('nothing is asked of the fuse');
    expect(puttingOff(survey, question, null)).toEqual([]);
    expect(puttingOff(survey, question, { id: 'p2', to: 'operator' })).toMatchObject([{ id: 'p2', to: 'operator' }]);
  });
});
