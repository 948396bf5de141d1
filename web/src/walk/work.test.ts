import { assess } from '@keen-gauge/core/assess';
import { STATIONS } from '@keen-gauge/core/finding';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { workAt } from './work';

describe('what is open at each station', () => {
  it('of a blank survey: every station has something, and its words say how much', () => {
    const assessment = assess(blankSurvey(), gbDefault);
    // With no new equipment there is nothing to limit and nothing to compare.
    const quiet = new Set(['limit', 'compare', 'works', 'materials', 'quotation', 'crew']);
    const due = { commissioning: 1, tests: 2, after: 5 };
    for (const station of STATIONS) expect(workAt(station, assessment, 3, due).open > 0).toBe(!quiet.has(station));
    expect(workAt('after', assessment, 3, { after: 5 })).toEqual({ open: 5, words: '5 after fitting', danger: false });
    expect(workAt('after', assessment, 3, { after: 0 }).words).toBe('nothing due');
    expect(workAt('pack', assessment, 3)).toEqual({ open: 3, words: '3 missing', danger: false });
    expect(workAt('route', assessment, 3).words).toBe(`${assessment.route.triggers.length} reasons`);
    expect(workAt('loop', assessment, 3)).toEqual({ open: 1, words: '1 to ask', danger: false });
  });

  it('shows danger at the intake and at the route, whatever else is open', () => {
    const survey = blankSurvey();
    survey.intake.faults.push({ id: 'f', fault: 'exposed-live-parts', grade: 'make-safe-now' });
    const assessment = assess(survey, gbDefault);
    expect(workAt('cut-out', assessment, 0)).toMatchObject({ danger: true, words: 'danger, 2 to ask' });
    expect(workAt('route', assessment, 0).danger).toBe(true);
    expect(workAt('loop', assessment, 0).danger).toBe(false);
    expect(workAt('pack', assessment, 0)).toEqual({ open: 0, words: 'complete', danger: false });
  });
});
