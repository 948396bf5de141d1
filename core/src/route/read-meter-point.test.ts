import { fc } from '../testing/laws';
import { checkDigit, groupedMeterPoint } from './meter-point';
import { agreedMeterPoints, readMeterPoints } from './read-meter-point';

const core = fc
  .tuple(fc.integer({ min: 10, max: 39 }), fc.integer({ min: 0, max: 9_999_999_999 }))
  .map(([area, rest]) => `${area}${String(rest).padStart(10, '0')}`)
  .map((stem) => `${stem}${checkDigit(stem)}`);

describe('reading a meter point number off text', () => {
  it.each([
    ['as it is grouped', ['10 1234 5678 903'], ['1012345678903']],
    ['in one piece', ['MPAN 1012345678903'], ['1012345678903']],
    ['after its upper row, on one line', ['S 01 801 100 10 1234 5678 903'], ['1012345678903']],
    ['under it', ['S 01 801 100', '10 1234 5678 903'], ['1012345678903']],
    ['beside other numbers, as it is grouped', ['Page 2 10 1234 5678 903 14'], ['1012345678903']],
    ['grouped by dashes', ['10-1234-5678-903'], ['1012345678903']],
    ['twice', ['10 1234 5678 903', '1012345678903'], ['1012345678903']],
    ['with a check digit that does not hold', ['10 1234 5678 902'], []],
    ['with a letter in it', ['10 1234 56O8 903'], []],
    ['as a part of a longer number', ['991012345678903'], []],
    ['a telephone number', ['Ring us on 01632 960 118'], []],
    ['nothing', [''], []],
  ])('%s: %j', (_how, lines, found) => {
    expect(readMeterPoints(lines)).toEqual(found);
  });

  it('finds every number as it is printed, and none of which one digit is another', () => {
    fc.assert(
      fc.property(core, fc.nat(12), fc.integer({ min: 1, max: 9 }), (number, at, more) => {
        expect(readMeterPoints([`S 01 801 100`, groupedMeterPoint(number)])).toEqual([number]);
        const digit = (Number(number.charAt(at)) + more) % 10;
        const misread = `${number.slice(0, at)}${digit}${number.slice(at + 1)}`;
        // The check digit is the sum's remainder by 11, and 10 is written as 0: of the two that share that sign one may pass for the other.
        const found = readMeterPoints([groupedMeterPoint(misread)]);
        if (found.length > 0) expect(misread.endsWith('0')).toBe(true);
      }),
    );
  });
});

describe('readings that agree', () => {
  it('are needed: what one look alone saw is not offered', () => {
    expect(agreedMeterPoints([['a', 'b'], ['a'], []])).toEqual(['a']);
    expect(agreedMeterPoints([['a'], [], []])).toEqual([]);
    expect(
      agreedMeterPoints([
        ['a', 'b'],
        ['b', 'a'],
      ]),
    ).toEqual(['a', 'b']);
  });
});
