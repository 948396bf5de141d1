import { fc, lawRuns } from '../testing/laws';
import { corrected, quantile, taskLessons, type FinishedJob } from './rates';
import { materialLessons, usedByItem } from './materials';
import { interval, kindLessons, type EndedQuote } from './wins';

const job = (estimated: number, worked: number, at = 0): FinishedJob => ({
  jobId: `j${at}`,
  estimated: { 'run-cable': estimated },
  rates: { 'run-cable': 0.1 },
  worked: { 'run-cable': worked },
});

const AS_THEN = { 'run-cable': 0.1 };

describe('the rate that would have been right', () => {
  it('by hand: ratios 1, 1.2, 1.25, 1.5 and 2 have 1.25 in the middle and the middle half from 1.2 to 1.5', () => {
    const jobs = [job(2, 4), job(1, 1), job(4, 5), job(2, 3), job(5, 6)];
    expect(taskLessons(jobs, 5, AS_THEN)).toEqual([
      { task: 'run-cable', jobs: 5, median: 1.25, quartiles: [1.2, 1.5], wanted: 0 },
    ]);
    expect(corrected(0.1, 1.25)).toBe(0.13);
  });
  it('is nothing while there are too few jobs, and says how many are wanted', () => {
    expect(taskLessons([job(1, 2), job(1, 2)], 5, AS_THEN)).toEqual([
      { task: 'run-cable', jobs: 2, median: null, quartiles: null, wanted: 3 },
    ]);
    expect(taskLessons([], 5, AS_THEN)).toEqual([]);
  });
  it('a job that says nothing of a task, or estimated none, counts for nothing there', () => {
    const jobs = [
      { jobId: 'x', rates: {}, estimated: { dig: 3 }, worked: {} },
      { jobId: 'y', rates: {}, estimated: { dig: 0 }, worked: { dig: 2 } },
    ];
    expect(taskLessons(jobs, 3, {})).toEqual([]);
  });
  it('law: hours all k times the estimate give k, whatever the jobs', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 5, maxLength: 30 }),
        fc.integer({ min: 1, max: 40 }),
        (hours, tenths) => {
          const [lesson] = taskLessons(
            hours.map((each, at) => job(each / 4, (each / 4) * (tenths / 10), at)),
            5,
            AS_THEN,
          );
          expect(lesson?.median).toBeCloseTo(tenths / 10, 9);
          expect(lesson?.quartiles?.[0]).toBeCloseTo(tenths / 10, 9);
        },
      ),
      { numRuns: lawRuns(100) },
    );
  });
  it('a rate that was taken over is not suggested again by the same jobs', () => {
    const jobs = [1, 2, 3].map((hours, at) => job(hours, hours * 1.3, at));
    const [before] = taskLessons(jobs, 3, AS_THEN);
    expect(before?.median).toBeCloseTo(1.3, 9);
    // 0.1 h × 1.3 = 0.13 h: those jobs would have been estimated rightly.
    const [after] = taskLessons(jobs, 3, { 'run-cable': corrected(0.1, before?.median ?? 0) });
    expect(after?.median).toBeCloseTo(1, 9);
  });
  it('quantiles lie between neighbours', () => {
    expect([quantile([1, 2, 3, 4], 0.5), quantile([1, 2], 0.25), quantile([7], 0.9)]).toEqual([2.5, 1.25, 7]);
  });
});

describe('materials used against the plan', () => {
  it('by hand: 22 m and 11 m used where 20 m and 10 m were planned are 1.1 of the plan', () => {
    const lines = [
      { id: 'run-1', item: 'cable-a', quantity: 12 },
      { id: 'run-2', item: 'cable-a', quantity: 8 },
      { id: 'clips', item: 'clip', quantity: 40 },
      { id: 'unknown', item: null, quantity: 1 },
    ];
    const first = usedByItem(lines, [
      { id: 'run-1', quantity: 13 },
      { id: 'run-2', quantity: 9 },
      { id: 'unknown', quantity: 1 },
    ]);
    expect(first).toEqual({ planned: { 'cable-a': 20 }, used: { 'cable-a': 22 } });
    const [lesson, ...more] = materialLessons([first, { planned: { 'cable-a': 10 }, used: { 'cable-a': 11 } }], 2);
    expect(more).toEqual([]);
    expect(lesson).toMatchObject({ item: 'cable-a', jobs: 2, wanted: 0 });
    expect(lesson?.median).toBeCloseTo(1.1, 9);
  });
  it('says how many jobs are wanted, and nothing of what nobody planned', () => {
    expect(materialLessons([{ planned: { a: 1 }, used: { a: 2, b: 1 } }], 3)).toEqual([
      { item: 'a', jobs: 1, median: null, quartiles: null, wanted: 2 },
    ]);
  });
});

describe('what was won, and what was left', () => {
  const quote = (
    state: EndedQuote['state'],
    netPence: number,
    costPence: number,
    worked: number | null = null,
  ): EndedQuote => ({
    kind: 'Vehicle charger',
    state,
    netPence,
    costPence,
    workedCostPence: worked,
  });
  it('by hand: three of four decided, £3,000 sold at a cost of £2,100 leave 30 %, the finished one 20 %', () => {
    const [found] = kindLessons([
      quote('accepted', 100000, 70000, 80000),
      quote('accepted', 100000, 70000),
      quote('accepted', 100000, 70000),
      quote('declined', 90000, 60000),
      quote('open', 50000, 20000),
    ]);
    expect(found).toMatchObject({ decided: 4, accepted: 3, open: 1, winShare: 0.75, soldPence: 300000 });
    expect(found?.marginPercent).toBeCloseTo(30, 9);
    expect(found?.workedMarginPercent).toBeCloseTo(20, 9);
  });
  it('has no share and no margin where nothing is decided', () => {
    expect(kindLessons([quote('open', 1, 1)])).toMatchObject([
      { winShare: null, winInterval: null, marginPercent: null, workedMarginPercent: null },
    ]);
  });
  it('law: an interval holds the share, lies within 0 and 1, and narrows with more', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.nat(), (of, pick) => {
        const seen = pick % (of + 1);
        const [low, high] = interval(seen, of);
        expect(low).toBeGreaterThanOrEqual(0);
        expect(high).toBeLessThanOrEqual(1);
        expect(low).toBeLessThanOrEqual(seen / of + 1e-9);
        expect(high).toBeGreaterThanOrEqual(seen / of - 1e-9);
        const [less, more] = interval(seen * 4, of * 4);
        expect(more - less).toBeLessThan(high - low);
      }),
      { numRuns: lawRuns(200) },
    );
  });
});
