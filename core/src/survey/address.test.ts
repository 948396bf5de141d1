import { fc } from '../testing/laws';
import { addressOf, writtenPostcode } from './address';

describe('an address in one line', () => {
  it.each([
    ['7 Hollow Row, Netherby, zz1 1tl', { addressLine1: '7 Hollow Row', town: 'Netherby', postcode: 'ZZ1 1TL' }],
    [
      'Flat 4, Ropewalk House\nTan Yard, Netherby\nZZ11AA',
      { addressLine1: 'Flat 4', addressLine2: 'Ropewalk House, Tan Yard', town: 'Netherby', postcode: 'ZZ1 1AA' },
    ],
    ['Larkrise', { addressLine1: 'Larkrise' }],
    ['Larkrise, Mill Drove, Ossett Fen', { addressLine1: 'Larkrise', addressLine2: 'Mill Drove', town: 'Ossett Fen' }],
    ['12 A1 Road', { addressLine1: '12 A1 Road' }],
    ['', {}],
  ])('%j is taken apart', (text, parts) => {
    expect(addressOf(text)).toEqual(parts);
  });

  it('loses no word of what was typed', () => {
    const part = fc.stringMatching(/^[A-Za-z]{1,8}( [A-Za-z]{1,8})?$/);
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), (parts) => {
        const { addressLine1 = '', addressLine2 = '', town = '' } = addressOf(parts.join(', '));
        expect([addressLine1, addressLine2, town].filter(Boolean).join(', ')).toBe(parts.join(', '));
      }),
    );
  });
});

describe('a postcode', () => {
  it.each([
    ['zz1 1tl', 'ZZ1 1TL'],
    ['zz111tl', 'ZZ11 1TL'],
    ['ZZ1A  1TL', 'ZZ1A 1TL'],
    ['half zz1', 'half zz1'],
    ['zz', 'zz'],
  ])('%s is written %s', (typed, written) => {
    expect(writtenPostcode(typed)).toBe(written);
  });
});
