import { fc } from '../testing/laws';
import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Reading } from '../survey/reading';
import { highestReading, readingText, readingValue, readReading } from './readings';

const good: Reading = {
  id: 'r',
  kind: 'loop-impedance-external',
  value: 0.21,
  instrument: 'Loop tester 2, 0417',
  calibrationDue: '2027-03-01',
  takenBy: 'I. Quenby',
  takenAt: '2026-11-24T09:30:00Z',
};

function found(...readings: Reading[]): string[] {
  const survey = blankSurvey();
  survey.readings = readings;
  return assess(survey, gbDefault)
    .findings.filter(({ subjectId }) => readings.some(({ id }) => id === subjectId))
    .map(({ id, grade }) => `${id} ${grade}`);
}

describe('a reading as typed', () => {
  it.each([
    ['0.21', 0.21, 'exact'],
    ['0,21', 0.21, 'exact'],
    ['> 999', 999, 'above'],
    ['>999', 999, 'above'],
    ['≥ 20', 20, 'above'],
    ['<0.01', 0.01, 'below'],
    [' 232 ', 232, 'exact'],
  ])('%s', (text, value, bound) => {
    expect(readReading(text)).toEqual({ value, bound });
  });

  it.each(['', 'abc', '-4', '1e9', '>', '1.2.3', '> -1', '999 MΩ', '٣'])('refuses “%s”', (text) => {
    expect(readReading(text)).toBeNull();
  });

  it('reads back what it writes', () => {
    fc.assert(
      fc.property(fc.nat(1_000_000), fc.constantFrom('exact', 'above', 'below'), (thousandths, bound) => {
        const value = thousandths / 1000;
        expect(readReading(readingValue({ value, bound }))).toEqual({ value, bound });
      }),
    );
  });

  it('carries its unit', () => {
    expect(readingText({ id: 'i', kind: 'insulation-resistance', value: 999, bound: 'above' })).toBe('> 999 MΩ');
  });
});

describe('readings', () => {
  it('in date and likely ask nothing', () => {
    expect(found(good)).toEqual([]);
    expect(found({ ...good, id: 'i', kind: 'insulation-resistance', value: 999, bound: 'above' })).toEqual([]);
  });

  it.each<[string, Partial<Reading>]>([
    ['Ze of 12 Ω', { value: 12 }],
    ['Ze of 0.001 Ω', { value: 0.001 }],
    ['260 V', { kind: 'voltage', value: 260 }],
    ['25 kA', { kind: 'prospective-fault-current', value: 25 }],
    ['a bound above anything likely', { value: 5, bound: 'above' }],
  ])('%s is questioned, and stands once somebody says so', (_what, change) => {
    expect(found({ ...good, ...change })).toEqual(['reading-unlikely ask']);
    expect(found({ ...good, ...change, confirmed: true }).filter((each) => each.endsWith('ask'))).toEqual([]);
  });

  it('a voltage outside what the operator has to keep is the operator’s once it stands', () => {
    expect(found({ ...good, kind: 'voltage', value: 260, confirmed: true })).toEqual(['voltage-outside-limits act']);
    expect(found({ ...good, kind: 'voltage', value: 240, confirmed: true })).toEqual([]);
  });

  it('with an instrument past its date is told', () => {
    expect(found({ ...good, calibrationDue: '2026-11-23' })).toEqual(['calibration-overdue act']);
    expect(found({ ...good, calibrationDue: '2026-11-24' })).toEqual([]);
  });

  it('without an instrument, or a value, are asked about', () => {
    expect(found({ id: 'r', kind: 'voltage', value: 231 })).toEqual(['reading-without-instrument ask']);
    expect(found({ ...good, value: undefined } as unknown as Reading)).toEqual(['reading-without-value ask']);
  });

  it('the highest counts, wherever it was written', () => {
    const survey = blankSurvey();
    survey.readings = [good, { ...good, id: 's', value: 0.34 }, { ...good, id: 'v', kind: 'voltage', value: 240 }];
    expect(highestReading(survey, 'loop-impedance-external')).toBe(0.34);
    expect(highestReading(survey, 'loop-impedance-external', 0.5)).toBe(0.5);
    expect(highestReading(survey, 'electrode-resistance')).toBeUndefined();
  });
});
