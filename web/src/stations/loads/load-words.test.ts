import { sizeKey, sizeWords } from './load-words';

describe('a load’s size in words', () => {
  it.each([
    [{ powerW: 9500 }, '9\u202f500 W', 'powerW'],
    [{ powerW: 10, quantity: 18 }, '18 × 10 W', 'powerW'],
    [{ currentA: 32, quantity: 1 }, '32 A', 'currentA'],
    [{ apparentVA: 4600 }, '4\u202f600 VA', 'apparentVA'],
    [{ powerW: 0 }, '0 W', 'powerW'],
    [{}, 'size not known', 'powerW'],
  ] as const)('%j', (size, words, key) => {
    const load = { id: 'l', class: 'motor', ...size } as const;
    expect([sizeWords(load), sizeKey(load)]).toEqual([words, key]);
  });
  it('is asked for in amperes on a socket circuit', () => {
    expect(sizeKey({ id: 'l', class: 'socket-circuit' })).toBe('currentA');
  });
});
