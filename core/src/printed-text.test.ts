import { fc } from './testing/laws';
import { onOneLine, printable } from './printed-text';

describe('text in a document', () => {
  it('loses what cannot be shown and nothing else', () => {
    expect(printable('a\u0001b\u000bc\u001b[31m\nd\te £ é 😀')).toBe('abc[31m\nd\te £ é 😀');
    expect(printable('half \ud83d and \udc00')).toBe('half  and ');
  });
  it('is on one line where that is wanted', () => {
    expect(onOneLine(' a\r\n\tb\u2028c\u0007 ')).toBe('a b c');
  });
  it('is text that XML takes, whatever it was made of', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        for (const sign of printable(text)) {
          const point = sign.codePointAt(0) ?? 0;
          expect(
            point === 9 || point === 10 || point === 13 || (point >= 32 && !(point >= 0xd800 && point <= 0xdfff)),
          ).toBe(true);
        }
        expect(printable(printable(text))).toBe(printable(text));
      }),
    );
  });
});
