import { readNumber } from './number';

describe('reading a typed number', () => {
  it.each<[string, number]>([
    ['60', 60],
    ['0,35', 0.35],
    ['9 500', 9500],
    ['32 A', 32],
    ['.5', 0.5],
    ['-3', -3],
  ])('%s', (typed, value) => {
    expect(readNumber(typed, 'A')).toEqual({ kind: 'number', value });
  });
  it('tells nothing from nonsense', () => {
    expect(readNumber('  ', 'A').kind).toBe('empty');
    for (const typed of ['1e9', 'sixty', '1.2.3', '--1', 'A6'])
      expect(readNumber(typed, 'A').kind).toBe('not-a-number');
  });
});
