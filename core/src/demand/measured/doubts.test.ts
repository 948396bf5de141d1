import { gbDefault } from '../../rules/gb-default';
import type { Measurement } from '../../survey/measurement';
import type { Survey } from '../../survey/survey';
import { settledSurvey } from '../../testing/settled-survey';
import { supplyTree } from '../../tree/supply-tree';
import { SINGLE_PHASE } from '../connected';
import { logDoubts } from './seen';
import { measuredDemand } from './verdict';

function log(id: string, days: number, onceAYearA: number, more: Partial<Measurement> = {}): Measurement {
  return {
    id,
    kind: 'logger',
    intervalS: 60,
    days,
    winterDays: days,
    coveragePercent: 100,
    phases: [{ id: 'L1', peakA: onceAYearA, mean30A: onceAYearA - 2, onceAYearA, baseA: 1.5 }],
    ...more,
  };
}
function demand(...measurements: Measurement[]) {
  const survey: Survey = settledSurvey();
  survey.measurements = measurements;
  return measuredDemand(survey, supplyTree(survey), SINGLE_PHASE, gbDefault);
}

describe('several logs of one home', () => {
  it('the greater of those that suffice is declared: 40 A of two weeks beside 31 A of three', () => {
    const made = demand(log('short', 14, 40), log('long', 21, 31));
    expect(made.byMeasurement.L1?.value).toBe(40);
    expect(made.gap).toBeUndefined();
    // The log with most days stands for them, in whatever order they were taken.
    expect(made.log?.id).toBe('long');
    expect(demand(log('long', 21, 31), log('short', 14, 40)).log?.id).toBe('long');
  });
  it('one that is too short declares nothing, and says why', () => {
    const made = demand(log('short', 2, 40));
    expect(made.byMeasurement.L1?.value).toBeNull();
    expect(made.gap).toBeDefined();
    expect(made.byMeasurement.L1?.label).toBe('MD by measurement');
  });
  it('nothing logged is nothing measured', () => {
    expect(demand()).toMatchObject({ log: null, gap: 'Nothing has been logged.' });
  });
});

describe('what is doubted of a log by its own figures', () => {
  const phases = (peakA: number, baseA = 1): Partial<Measurement> => ({ phases: [{ id: 'L1', peakA, baseA }] });
  it('nothing but nought, next to nothing, one value all the time', () => {
    expect(logDoubts(log('a', 14, 0, phases(0)), gbDefault)).toEqual(['nought']);
    expect(logDoubts(log('a', 14, 0, phases(gbDefault.deadLogA.value / 2)), gbDefault)).toEqual(['noise']);
    expect(logDoubts(log('a', 14, 0, phases(20, 19.9)), gbDefault)).toEqual(['frozen']);
    expect(logDoubts(log('a', 14, 0, phases(20, 1)), gbDefault)).toEqual([]);
  });
  it('are closed by whoever says how they were settled, and by that alone', () => {
    expect(logDoubts(log('a', 14, 0, { ...phases(0), doubtsSettled: 'The house was empty.' }), gbDefault)).toEqual([]);
    expect(logDoubts(log('a', 14, 0, { ...phases(0), doubtsSettled: '  ' }), gbDefault)).toEqual(['nought']);
    expect(logDoubts(log('a', 14, 30, { doubts: ['decimal'] }), gbDefault)).toEqual(['decimal']);
  });
});
