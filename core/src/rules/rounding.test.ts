import { fc } from '../testing/laws';
import { exceeds } from '../worked';
import { fixed, leastShown, partsShown, shown, toleranceOf } from './rounding';

describe('rounding', () => {
  it.each<[number, 'A' | '%', string]>([
    [12.54, 'A', '12.5'],
    [12, 'A', '12'],
    [11.96, 'A', '12'],
    [-0.04, 'A', '0'],
    [-0, 'A', '0'],
    [5.009, '%', '5.01'],
  ])('%d %s is shown as %s', (value, unit, text) => {
    expect(shown(value, unit)).toBe(text);
  });
  it('what is needed at least is rounded up: 32.52 A less are 32.6 A', () => {
    expect([leastShown(32.52), leastShown(32.5), leastShown(12)]).toEqual(['32.6', '32.5', '12']);
  });
  it('never shows minus nought', () => {
    fc.assert(
      fc.property(fc.double({ min: -1, max: 1, noNaN: true }), fc.integer({ min: 0, max: 3 }), (value, decimals) => {
        expect(fixed(value, decimals)).not.toMatch(/^-0(\.0*)?$/);
      }),
    );
  });
  it('what is over is shown to be over by something: no 0 A over 60 A', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 200, noNaN: true }), fc.integer({ min: 0, max: 200 }), (value, limit) => {
        if (exceeds(value, limit)) expect(shown(value - limit)).not.toBe('0');
        else expect(value - limit).toBeLessThanOrEqual(toleranceOf('A') + 1e-9);
      }),
    );
    expect(exceeds(60.04, 60)).toBe(false);
    expect(exceeds(60.06, 60)).toBe(true);
    expect(exceeds(5.004, 5, '%')).toBe(false);
    expect(exceeds(5.006, 5, '%')).toBe(true);
  });
  it('parts add up to the sum that is shown: 3 × 0.33 A are 1.0 A', () => {
    expect(partsShown([0.334, 0.333, 0.333])).toEqual(['0.4', '0.3', '0.3']);
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 1, maxLength: 12 }), (parts) => {
        const made = partsShown(parts);
        const total = parts.reduce((sum, part) => sum + part, 0);
        expect(Math.abs(made.reduce((sum, part) => sum + Number(part), 0) - Math.round(total * 10) / 10)).toBeLessThan(
          0.051,
        );
        made.forEach((part, at) => {
          expect(Math.abs(Number(part) - (parts[at] ?? 0))).toBeLessThan(0.1 + 1e-6);
        });
      }),
    );
  });
});
