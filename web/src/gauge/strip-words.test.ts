import { assess } from '@keen-gauge/core/assess';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { nodeOf, settledSurvey, type Change } from '@keen-gauge/core/testing/settled-survey';
import { stripWords } from './strip-words';

const said = (...changes: readonly Change[]): string => stripWords(assess(settledSurvey(...changes), gbDefault));

describe('the gauge in one line', () => {
  it('of a new job says that the headroom is not known, and what is taken for the fuse', () => {
    expect(stripWords(assess(blankSurvey(), gbDefault))).toBe('Headroom not known yet, 60 A fallback');
  });

  // 20.52 A and 32 A of charger: 52.52 A.
  it.each<[string, Change, string]>([
    ['room', (survey) => (nodeOf(survey, 'cut-out').ratingA = 100), '47.5 A left of 100 A fuse'],
    ['too much', (survey) => (nodeOf(survey, 'cut-out').ratingA = 40), 'Over by 12.5 A of 40 A fuse'],
    ['a board of 50 A', (survey) => (nodeOf(survey, 'board').ratingA = 50), 'Board over by 2.5 A'],
    ['a board of 63 A', (survey) => (nodeOf(survey, 'board').ratingA = 63), '10.5 A left at Board'],
  ])('%s', (_what, change, words) => {
    expect(said(change)).toBe(words);
  });

  it('never tells room where a load has no size', () => {
    expect(said((survey) => survey.loads.push({ id: 'x', class: 'motor' }))).toBe('Headroom not known yet, 100 A fuse');
  });
});
