import { settledSurvey } from '../testing/settled-survey';
import { allConfirmed, assumedLoad, confirmedByEdit } from './assumed';

const survey = settledSurvey();
const assumed = { ...survey, loads: survey.loads.map(assumedLoad) };
const first = survey.loads[0]?.id ?? '';

describe('loads nobody has confirmed', () => {
  it('are confirmed one by one as they are corrected, the others left as they are', () => {
    const edited = confirmedByEdit(assumed, ['loads', first, 'powerW']);
    expect(edited.loads.filter(({ assumed: still }) => still).length).toBe(survey.loads.length - 1);
    expect(edited.loads[0]?.assumed).toBeUndefined();
  });
  it('stay assumed when something else is edited, or the mark itself is set', () => {
    expect(confirmedByEdit(assumed, ['place', 'nation'])).toBe(assumed);
    expect(confirmedByEdit(assumed, ['loads', first, 'assumed'])).toBe(assumed);
    expect(confirmedByEdit(assumed, ['loads', 'none', 'powerW'])).toBe(assumed);
  });
  it('are all confirmed at once, and are then what they were', () => {
    expect(allConfirmed(assumed).loads).toEqual(survey.loads);
  });
});
