import { fc } from './testing/laws';
import { decimal } from './decimal';

describe('a number as people write one', () => {
  it.each<[string, number | null]>([
    ['12', 12],
    [' 12.5 ', 12.5],
    ['-3', -3],
    ['.5', 0.5],
    ['1e3', 1000],
    ['', null],
    ['   ', null],
    ['0x20', null],
    ['0b11', null],
    ['Infinity', null],
    ['1e999', null],
    ['12 A', null],
    ['1,5', null],
    ['12..5', null],
  ])('“%s”', (text, value) => {
    expect(decimal(text)).toBe(value);
  });
  it('reads back every number it is given', () => {
    fc.assert(
      fc.property(fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e9, max: 1e9 }), (value) => {
        expect(decimal(String(value))).toBeCloseTo(value, 6);
      }),
    );
  });
});
