import { fc, lawRuns } from '../testing/laws';
import { money, pence, penceOf, pounds, share, times, total } from './pence';

describe('whole pence', () => {
  it.each([
    [0.5, 1],
    [0.4999, 0],
    [-0.5, -1],
    [-0.4, 0],
    [1234.5, 1235],
    // 1.005 × 100 is 100.49999999999999 in floating point, and a hundred and a half by hand.
    [1.005 * 100, 101],
    // 3 × 33.5 = 100.5
    [3 * 33.5, 101],
  ])('%d is %d: half a penny goes away from nought', (amount, whole) => {
    expect(pence(amount)).toBe(whole);
  });

  it('20 % of £99.99 is £20.00: 1999.8 pence, rounded once', () => {
    expect(share(9999, 20)).toBe(2000);
  });
  it('12.5 of £1.99 is £24.88: 2487.5 pence, half up', () => {
    expect(times(12.5, 199)).toBe(2488);
  });

  it.each([
    [123456, '£1,234.56'],
    [5, '£0.05'],
    [-250, '−£2.50'],
    [100000000, '£1,000,000.00'],
  ])('%d is written %s', (amount, words) => {
    expect(pounds(amount)).toBe(words);
  });

  it.each([
    ['12', 1200],
    ['12.3', 1230],
    ['£1,234.56', 123456],
    ['-4.05', -405],
    ['12.345', null],
    ['twelve', null],
    ['', null],
    ['1e3', null],
  ])('“%s” typed is %s', (typed, amount) => {
    expect(penceOf(typed)).toBe(amount);
  });

  it('law: what is written is read back as what it was', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e10, max: 1e10 }), (amount) => {
        expect(penceOf(pounds(amount).replace('−', '-'))).toBe(amount === 0 ? 0 : amount);
      }),
      { numRuns: lawRuns(300) },
    );
  });

  it('law: parts add up to the penny, and the working says so', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -1e7, max: 1e7 }), { maxLength: 20 }), (amounts) => {
        const parts = amounts.map((each, at) =>
          money(`part ${at}`, each, () => ({ expression: 'given', substituted: pounds(each) })),
        );
        const all = total('all', parts);
        expect(all.pence).toBe(amounts.reduce((sum, each) => sum + each, 0));
        const working = all.working();
        expect(working).toHaveLength(amounts.length + 1);
        expect(working.at(-1)?.substituted).toContain(`= ${pounds(all.pence)}`);
      }),
      { numRuns: lawRuns(200) },
    );
  });
});
