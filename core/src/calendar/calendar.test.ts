import { fc } from '../testing/laws';
import { gbDefault } from '../rules/gb-default';
import { backPlan, type PlanFacts } from './back-plan';
import { clocksOf } from './clocks';
import { addDays, addWorkingDays, daysBetween, isDay, isWorkingDay, mondayOf, ukDay, weekday } from './days';

const none: ReadonlySet<string> = new Set();
/** Christmas 2026 in England: Friday 25, and Monday 28 for Saturday 26. */
const christmas = new Set(['2026-12-25', '2026-12-28', '2027-01-01']);
const anyDay = fc.integer({ min: 0, max: 20000 }).map((days) => addDays('2000-01-01', days));

describe('days', () => {
  it.each([
    ['2028-02-29', true],
    ['2026-02-29', false],
    ['2026-04-31', false],
    ['2026-13-01', false],
    ['26-01-01', false],
  ])('%s is a day: %s', (text, expected) => {
    expect(isDay(text)).toBe(expected);
  });
  it('go on over the end of February, in a leap year and not', () => {
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2026-02-28', 1)).toBe('2026-03-01');
    expect(addDays('2028-03-01', -1)).toBe('2028-02-29');
    expect(daysBetween('2028-02-28', '2028-03-01')).toBe(2);
  });
  it('are not moved by the change of clocks: the days round 29 March and 25 October 2026 are a day apart', () => {
    for (const day of ['2026-03-28', '2026-03-29', '2026-10-24', '2026-10-25'])
      expect(daysBetween(day, addDays(day, 1))).toBe(1);
    expect(weekday('2026-03-29')).toBe(0);
  });
  it('are those of the United Kingdom: half past eleven of a summer night in universal time is the next day', () => {
    expect(ukDay(new Date('2026-07-01T23:30:00Z'))).toBe('2026-07-02');
    expect(ukDay(new Date('2026-12-01T23:30:00Z'))).toBe('2026-12-01');
    // In the hour that comes twice it is the same day both times.
    expect(ukDay(new Date('2026-10-25T00:30:00Z'))).toBe('2026-10-25');
  });
  it('before 1970 as well: 1 January 1969 was a Wednesday', () => {
    expect(weekday('1969-01-01')).toBe(3);
    expect(weekday('1970-01-01')).toBe(4);
  });
  it('weeks begin on Monday', () => {
    expect([mondayOf('2026-11-25'), mondayOf('2026-11-29'), mondayOf('2026-11-23')]).toEqual([
      '2026-11-23',
      '2026-11-23',
      '2026-11-23',
    ]);
  });
});

describe('working days, by hand', () => {
  it.each<[string, string, number, ReadonlySet<string>, string]>([
    ['Wednesday and ten: two weeks on', '2026-11-25', 10, none, '2026-12-09'],
    ['Friday and one: Monday', '2026-11-27', 1, none, '2026-11-30'],
    ['over Christmas: 22 Dec and five: 23, 24, 29, 30, 31', '2026-12-22', 5, christmas, '2026-12-31'],
    ['the same and six: 4 January, past New Year and a weekend', '2026-12-22', 6, christmas, '2027-01-04'],
    ['from a Saturday: Monday is the first', '2026-11-28', 1, none, '2026-11-30'],
    ['back one from Monday 30: Friday', '2026-11-30', -1, none, '2026-11-27'],
    ['back two from 29 December: 24, 23', '2026-12-29', -2, christmas, '2026-12-23'],
    ['none from a holiday: the next working day', '2026-12-25', 0, christmas, '2026-12-29'],
  ])('%s', (_name, from, days, holidays, expected) => {
    expect(addWorkingDays(from, days, holidays)).toBe(expected);
  });
  it('as laws: always a working day, never backwards, one after another as all at once, back again at most where it began', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 20 }), (day, days, more) => {
        const later = addWorkingDays(day, days, christmas);
        expect(isWorkingDay(later, christmas)).toBe(true);
        expect(later > day).toBe(true);
        expect(addWorkingDays(later, more, christmas)).toBe(addWorkingDays(day, days + more, christmas));
        expect(addWorkingDays(later, -days, christmas) <= day).toBe(true);
        // Another holiday never makes it sooner.
        expect(addWorkingDays(day, days, new Set([...christmas, addDays(day, 3)])) >= later).toBe(true);
      }),
    );
  });
});

describe('the clocks of a job', () => {
  const today = '2026-12-10';
  it('sent on Wednesday 25 November: the reply is due ten working days later, on 9 December, and is late on the 10th', () => {
    expect(clocksOf({ sentOn: '2026-11-25' }, today, none, gbDefault)).toMatchObject([
      { id: 'reply', dueOn: '2026-12-09', state: 'late' },
      { id: 'chase', dueOn: '2026-12-10', state: 'today' },
    ]);
  });
  it('answered: nothing to chase; commissioned on 1 December: the notice within 28 days, by the 29th', () => {
    const found = clocksOf(
      { sentOn: '2026-11-25', answeredOn: '2026-12-01', commissionedOn: '2026-12-01' },
      today,
      none,
      gbDefault,
    );
    expect(found.map(({ id, state }) => `${id} ${state}`)).toEqual(['notice running', 'reply done']);
    expect(found[0]?.dueOn).toBe('2026-12-29');
  });
  it('a fuse visit takes up to five weeks, un-looping up to 26', () => {
    const found = clocksOf({ fuseVisitAskedOn: today, unloopAskedOn: today }, today, none, gbDefault);
    expect(found.map(({ id, dueOn }) => [id, dueOn])).toEqual([
      ['fuse-visit', addDays(today, 35)],
      ['un-loop', addDays(today, 182)],
    ]);
  });
});

describe('counted back from the vehicle’s arrival', () => {
  const facts: PlanFacts = { arrivesOn: '2027-01-15', today: '2026-11-25', route: 'ask-then-fit', visitWeeks: 0 };
  it('arrives on Friday 15 January: fit by the 14th, reply by the 12th, send by 24 December, survey by the 23rd', () => {
    // Back from 12 January over ten working days: 11, 8, 7, 6, 5, 4 January, 31, 30, 29, 24 December.
    const { steps, inTime } = backPlan(facts, christmas, gbDefault);
    expect(steps.map(({ id, latestOn }) => [id, latestOn])).toEqual([
      ['survey', '2026-12-23'],
      ['send', '2026-12-24'],
      ['reply', '2027-01-12'],
      ['fit', '2027-01-14'],
      ['arrives', '2027-01-15'],
    ]);
    expect(inTime).toBe(true);
  });
  it('with five weeks of the operator’s work after it, it is late already, and says from when it can be', () => {
    const { steps, inTime, readyOn } = backPlan({ ...facts, visitWeeks: 5 }, christmas, gbDefault);
    expect(inTime).toBe(false);
    // Back from 14 January: work by the 12th, reply five weeks before, 8 December; sent ten working days before, 24 November.
    expect(steps.find(({ id }) => id === 'survey')).toMatchObject({ latestOn: '2026-11-23', late: true });
    // 25 November, sent 26th, reply 10 December, five weeks: 14 January, two days: Monday 18.
    expect(readyOn).toBe('2027-01-18');
  });
  it('fit and notify needs no reply', () => {
    const { steps } = backPlan({ ...facts, route: 'fit-then-notify' }, christmas, gbDefault);
    expect(steps.map(({ id }) => id)).toEqual(['survey', 'fit', 'arrives']);
  });
  it('what is done stands at its day, and what follows is counted from it', () => {
    const { steps } = backPlan({ ...facts, surveyedOn: '2026-11-20', sentOn: '2026-11-23' }, christmas, gbDefault);
    expect(steps.map(({ id, earliestOn, done }) => [id, earliestOn, done])).toEqual([
      ['survey', '2026-11-20', true],
      ['send', '2026-11-23', true],
      ['reply', '2026-12-07', false],
      ['fit', '2026-12-09', false],
      ['arrives', '2027-01-15', false],
    ]);
  });
  it('what was sent was surveyed, whoever forgot to say so', () => {
    const { steps } = backPlan({ ...facts, sentOn: '2026-11-23' }, christmas, gbDefault);
    expect(steps[0]).toMatchObject({ id: 'survey', done: true, earliestOn: '2026-11-23' });
  });
  it('as laws: latest days rise along the way, a later arrival is never earlier, and in time means nothing is late', () => {
    fc.assert(
      fc.property(
        anyDay,
        fc.integer({ min: 1, max: 200 }),
        fc.nat(30),
        fc.nat(10),
        (today, ahead, more, visitWeeks) => {
          const plan = (arrivesOn: string) =>
            backPlan({ ...facts, today, arrivesOn, visitWeeks }, christmas, gbDefault);
          const [soon, later] = [plan(addDays(today, ahead)), plan(addDays(today, ahead + more))];
          soon.steps.forEach((step, at) => {
            expect(step.latestOn >= (soon.steps[at - 1]?.latestOn ?? '')).toBe(true);
            expect((later.steps[at]?.latestOn ?? '') >= step.latestOn).toBe(true);
          });
          expect(soon.inTime).toBe(!soon.steps.some(({ late }) => late));
        },
      ),
    );
  });
});

describe('visits that are booked', () => {
  const visits = (today: string) =>
    clocksOf({ surveyBookedOn: '2026-11-27', fittingBookedOn: '2026-12-02' }, today, none, gbDefault).map(
      ({ id, state }) => [id, state],
    );

  it.each([
    ['2026-11-26', 'running', 'running'],
    ['2026-11-27', 'today', 'running'],
    ['2026-11-28', 'done', 'running'],
    ['2026-12-03', 'done', 'done'],
  ])('on %s the survey is %s and the fitting is %s: an appointment is never late', (today, survey, fitting) => {
    expect(new Map(visits(today) as [string, string][])).toEqual(
      new Map([
        ['survey-visit', survey],
        ['fitting-visit', fitting],
      ]),
    );
  });

  it('stand in their order among what is due', () => {
    const order = clocksOf({ fittingBookedOn: '2026-12-12', sentOn: '2026-11-25' }, '2026-11-26', none, gbDefault);
    // The reply is due on Wednesday 9 December, and is asked after on Thursday the 10th.
    expect(order.map(({ id }) => id)).toEqual(['reply', 'chase', 'fitting-visit']);
  });
});
