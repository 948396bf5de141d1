import { fc } from '../testing/laws';
import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { readSurvey } from '../survey/opening/read';
import { blankSurvey } from '../survey/blank';
import type { Survey } from '../survey/survey';
import { answerFault, saysWords, type CustomerSays } from './answer';
import { stepsOfFirm } from './firm-steps';
import { CUSTOMER_STEPS, customerStep, type CustomerStepId } from './steps';
import { effectsOf, subjectOf, takeAnswer, type CustomerAnswer } from './take';
import { wantedSteps } from './wanted';

const step = (id: CustomerStepId) => {
  const found = customerStep(id);
  if (!found) throw new Error(id);
  return found;
};
const answer = (id: CustomerStepId, says: CustomerSays, pictures = 0): CustomerAnswer => ({
  id: `answer-${id}`,
  step: step(id),
  says,
  pictures,
  at: '2026-11-30T18:00:00Z',
});
const take = (survey: Survey, ...answers: readonly CustomerAnswer[]): Survey =>
  answers.reduce((now, each) => takeAnswer(now, each, 'Isla', '2026-12-01T09:00:00Z'), survey);
const car = (): Survey => ({
  ...blankSurvey(),
  proposals: [{ id: 'car', kind: 'vehicle-charger', ratedA: 32, limiter: {} }],
});

describe('the steps', () => {
  it('never ask anybody to open, unscrew, unplug, reset, climb or lift off anything', () => {
    for (const { ask, how } of CUSTOMER_STEPS) {
      expect(`${ask} ${how}`).not.toMatch(
        /unscrew|unplug|reset|climb|ladder|take off|lift off|pull out|switch (it )?off/i,
      );
      // The one door is the cupboard’s, and that nothing else is to be opened stands beside it.
      if (/\bopen\b/i.test(`${ask} ${how}`)) expect(how).toContain('and nothing else');
    }
  });

  it('are named once, and what is chosen from has something to choose', () => {
    expect(new Set(CUSTOMER_STEPS.map(({ id }) => id)).size).toBe(CUSTOMER_STEPS.length);
    for (const { parts, choices = [] } of CUSTOMER_STEPS) expect(parts.includes('choice')).toBe(choices.length > 0);
  });

  it('are short: one instruction, in sentences of at most thirty words', () => {
    for (const { ask, how } of CUSTOMER_STEPS)
      for (const sentence of `${ask} ${how}`.split(/[.?]\s/))
        expect(sentence.split(/\s+/).length).toBeLessThanOrEqual(30);
  });
});

describe('which steps are sent', () => {
  const wanted = (survey: Survey) => wantedSteps(survey, assess(survey, gbDefault).questions);

  it('follow from what is open; danger is always asked', () => {
    const steps = wanted(car());
    expect(steps).toEqual(
      expect.arrayContaining(['danger', 'cut-out-label', 'meter-position', 'earth-wire', 'bill', 'heating', 'vehicle']),
    );
  });

  it('leave out what is known', () => {
    const known = { ...car(), place: { meterPointNumber: '1012345678903' }, generation: [] };
    expect(assess(known, gbDefault).questions.map(({ id }) => id)).not.toContain('meter-point-missing');
    const steps = wanted(known);
    expect(steps).not.toContain('generation');
  });
});

describe('an answer', () => {
  it.each([
    ['danger', {}, 0, 'Choose one of the answers.'],
    ['danger', { choice: 'perhaps' }, 0, 'Choose one of the answers.'],
    ['danger', { choice: 'no' }, 0, null],
    ['cut-out-label', {}, 0, 'Take a photo, or write why you cannot.'],
    ['cut-out-label', { words: 'none' }, 0, null],
    ['cut-out-label', {}, 1, null],
    ['vehicle', { words: ' ' }, 0, 'Write a few words.'],
    ['bill', {}, 0, 'Type the number, or take a photo of the page.'],
    ['bill', {}, 1, null],
  ] as const)('to %s, %j with %i pictures: %s', (id, says, pictures, fault) => {
    expect(answerFault(step(id), says, pictures)).toBe(fault);
  });

  it('with a misread number is sent back, whatever else comes with it', () => {
    expect(answerFault(step('bill'), { number: '1012345678902' }, 1)).toMatch(/^Look at the number again/);
  });

  it('is read in one line', () => {
    expect(saysWords(step('shower'), { choice: '2', words: ' one upstairs ' }, 2)).toBe(
      'Yes, two or more. “one upstairs”. 2 photographs',
    );
  });
});

describe('taking an answer in', () => {
  it('adds an electric shower as a load that nobody has confirmed, and says whose word it is', () => {
    const taken = take(car(), answer('shower', { choice: '1' }));
    expect(taken.loads).toEqual([
      {
        id: 'answer-shower',
        class: 'instantaneous-water-heating',
        label: 'Electric shower',
        powerW: 9500,
        assumed: true,
      },
    ]);
    expect(taken.statements).toEqual([
      {
        id: 'answer-shower',
        asked: step('shower').ask,
        says: 'Yes, one',
        saidAt: '2026-11-30T18:00:00Z',
        takenBy: 'Isla',
        takenAt: '2026-12-01T09:00:00Z',
      },
    ]);
  });

  it('adds nothing to what a surveyor has listed already', () => {
    const listed = { ...car(), loads: [{ id: 's', class: 'instantaneous-water-heating' as const, powerW: 7500 }] };
    expect(take(listed, answer('shower', { choice: '1' })).loads).toEqual(listed.loads);
  });

  it('of scorching is a fault that stops every addition until it is graded', () => {
    const before = assess(car(), gbDefault);
    const after = assess(take(car(), answer('danger', { choice: 'yes', words: 'It buzzes.' })), gbDefault);
    expect(before.questions.map(({ id }) => id)).not.toContain('fault-not-graded');
    expect(after.questions.map(({ id }) => id)).toContain('fault-not-graded');
  });

  it('never establishes a rating, whatever the customer writes of the label', () => {
    const nodes = [{ id: 'c', kind: 'cut-out' as const }];
    const taken = take({ ...car(), supply: { nodes } }, answer('cut-out-label', { words: '100 A it says' }, 1));
    expect(taken.supply.nodes).toEqual(nodes);
    expect(assess(taken, gbDefault).questions.map(({ id }) => id)).toContain('fuse-rating-not-established');
  });

  it('fills in a meter point number whose check digit fits, and puts none in place of a good one', () => {
    const number = '10 1234 5678 903';
    expect(take(car(), answer('bill', { number })).place.meterPointNumber).toBe('1012345678903');
    const other = { ...car(), place: { meterPointNumber: '1012345678903' } };
    expect(effectsOf(other, answer('bill', { number }))).toEqual([]);
  });

  it('of the parking place settles it for chargers that have none, and no other', () => {
    const two: Survey = {
      ...car(),
      proposals: [...car().proposals, { id: 'van', kind: 'vehicle-charger', parking: 'indoors-only', limiter: {} }],
    };
    expect(take(two, answer('parking', { choice: 'outdoors' }, 1)).proposals.map(({ parking }) => parking)).toEqual([
      'outdoors',
      'indoors-only',
    ]);
  });

  it.each([
    ['no', []],
    ['solar', ['pv']],
    ['both', ['pv', 'battery']],
  ] as const)('generation: %s', (choice, kinds) => {
    expect(take(car(), answer('generation', { choice })).generation?.map(({ kind }) => kind)).toEqual(kinds);
  });

  it('is always a survey, taken twice is taken once, and leaves what was there', () => {
    fc.assert(
      fc.property(fc.subarray([...CUSTOMER_STEPS]), fc.string({ maxLength: 500 }), fc.nat(30), (steps, words, pick) => {
        const answers = steps.map(({ id, choices = [] }) =>
          answer(
            id,
            { words, ...(choices.length > 0 ? { choice: choices[pick % choices.length]?.value ?? '' } : {}) },
            pick % 4,
          ),
        );
        const once = take(car(), ...answers);
        expect(take(once, ...answers)).toEqual(once);
        expect(once.proposals.map(({ id }) => id)).toEqual(['car']);
        expect(once.statements ?? []).toHaveLength(answers.length);
        const read = readSurvey(JSON.parse(JSON.stringify(once)));
        expect(read).toHaveProperty('survey');
      }),
      { numRuns: 60 },
    );
  });
});

describe('what a picture shows', () => {
  it('is the part of the supply where there is one, and the place otherwise', () => {
    const survey: Survey = { ...car(), supply: { nodes: [{ id: 'c', kind: 'cut-out' }] } };
    expect(subjectOf(survey, 'cut-out-label')).toEqual({ subject: 'node', subjectId: 'c' });
    expect(subjectOf(survey, 'board')).toEqual({ subject: 'place' });
    expect(subjectOf(survey, 'way')).toEqual({ subject: 'proposal', subjectId: 'car' });
  });
});

describe('a firm’s steps', () => {
  it('are worded, left out and added to; danger stays', () => {
    const steps = stepsOfFirm({
      words: [
        { id: 'tariff', isLeftOut: true },
        { id: 'danger', isLeftOut: true, ask: 'Anything burnt?' },
        { id: 'meter', ask: ' ' },
      ],
      own: [{ id: 'own-1', kind: 'yes-no', ask: 'Is there a dog?' }],
    });
    expect(steps.map(({ id }) => id)).not.toContain('tariff');
    expect(steps[0]).toMatchObject({ id: 'danger', ask: 'Anything burnt?' });
    expect(steps.find(({ id }) => id === 'meter')?.ask).toBe(step('meter').ask);
    expect(steps.at(-1)).toMatchObject({ id: 'own-1', parts: ['choice', 'words'] });
  });
});
