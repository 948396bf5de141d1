import { fc } from '../testing/laws';
import { typedNumber, typedWithUnit } from './typed-number';

describe('a number as it is typed', () => {
  it.each([
    ['12', 12],
    ['12.5', 12.5],
    ['12,5', 12.5],
    ['0,512', 0.512],
    ['1.200,5', 1200.5],
    ['1,200.5', 1200.5],
    ['1 200,5', 1200.5],
    ['1\u202f200', 1200],
    ['1,234,567', 1234567],
    ['1.2345', 1.2345],
    ['-3', -3],
    ['.5', 0.5],
  ])('%s is %d', (typed, value) => {
    expect(typedNumber(typed)).toEqual({ kind: 'number', value });
  });
  it.each([
    ['1,000', 1000, 1],
    ['1.000', 1000, 1],
    ['12,345', 12345, 12.345],
    ['999.999', 999999, 999.999],
  ])('%s may be %d or %d', (typed, whole, fraction) => {
    expect(typedNumber(typed)).toEqual({ kind: 'either', whole, fraction });
  });
  it.each(['', '   '])('nothing is empty', (typed) => {
    expect(typedNumber(typed)).toEqual({ kind: 'empty' });
  });
  it.each(['abc', '1.2.3', '1,23,456', '1,200,5', '--1', '1e3', '0x10', 'Infinity', '1,2.3,4'])(
    '%s is none',
    (typed) => {
      expect(typedNumber(typed)).toEqual({ kind: 'not-a-number' });
    },
  );
  it('law: whatever a number is written as, in either manner, reads as that number or is asked about', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9_999_999 }), fc.constantFrom('en-GB', 'de-DE'), (hundredths, manner) => {
        const value = hundredths / 100;
        const read = typedNumber(value.toLocaleString(manner));
        if (read.kind === 'either') expect([read.whole, read.fraction]).toContain(value);
        else expect(read).toEqual({ kind: 'number', value });
      }),
    );
  });
});

describe('with its unit', () => {
  it.each([
    ['80 amps', 'A', 80],
    ['80A', 'A', 80],
    ['80 Ampere', 'A', 80],
    ['7.4 kW', 'W', 7400],
    ['500 mA', 'A', 0.5],
    ['25 mm2', 'mm²', 25],
    ['30 mA', 'mA', 30],
    ['12 metres', 'm', 12],
    ['12', 'm', 12],
  ])('%s in %s is %d', (typed, unit, value) => {
    expect(typedWithUnit(typed, unit)).toEqual({ kind: 'number', value });
  });
  it.each([
    ['80 W', 'A'],
    ['7 kW', 'A'],
    ['3 bananas', 'W'],
  ])('%s is none of %s', (typed, unit) => {
    expect(typedWithUnit(typed, unit)).toBeNull();
  });
});
