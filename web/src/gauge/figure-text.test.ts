import { unknownFigure } from '@keen-gauge/core/worked';
import { amount, figureText } from './figure-text';

describe('figures in words', () => {
  it('carry a unit, a true minus and thin spaces', () => {
    expect(amount(12.04, 'A')).toBe('12.0 A');
    expect(amount(-12.35, 'A')).toBe('−12.3 A');
    expect(amount(-0.01, 'A')).toBe('0.0 A');
    expect(amount(1234.5, 'A')).toBe('1\u202f234.5 A');
    expect(amount(4.72, 'kVA')).toBe('4.72 kVA');
  });
  it('say so when not known, or only a lower bound', () => {
    expect(figureText(unknownFigure('MD', 'A', 'why'))).toBe('Not known');
    expect(figureText({ label: 'MD', value: 5, unit: 'A', bound: 'at-least', working: [] })).toBe('≥ 5.0 A');
  });
});
