import { fc } from '@keen-gauge/core/testing/laws';
import { keyed, type PadKey } from './keyed';

const keys = (text: readonly PadKey[]): string => text.reduce<string>(keyed, '');

describe('the keys of the number pad', () => {
  it.each<[readonly PadKey[], string]>([
    [['8', '0'], '80'],
    [['0', '.', '3', '5'], '0.35'],
    [['.', '5'], '0.5'],
    [['1', '.', '2', '.', '3'], '1.23'],
    [['0', '7'], '7'],
    [['6', '3', 'back'], '6'],
    [['6', '3', 'clear', '5'], '5'],
    [['7', '2', '−'], '-72'],
    [['7', '−', '−'], '7'],
  ])('%j make %s', (pressed, stands) => {
    expect(keys(pressed)).toBe(stands);
  });

  it('make a number, or the beginning of one, whatever is pressed', () => {
    const any = fc.constantFrom<PadKey>('0', '1', '5', '9', '.', '−', 'back', 'clear');
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), (pressed) => {
        expect(keys(pressed)).toMatch(/^-?(\d+(\.\d*)?)?$/);
      }),
    );
  });
});
