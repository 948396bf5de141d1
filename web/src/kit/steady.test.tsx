import { createElement } from 'react';
import { alike } from './steady';

describe('whether two values show the same', () => {
  it.each<[string, unknown, unknown, boolean]>([
    ['the same number', 5, 5, true],
    ['another', 5, 6, false],
    ['not a number', NaN, NaN, true],
    ['lists of options made anew', [{ value: 'a', label: 'A' }], [{ value: 'a', label: 'A' }], true],
    ['an option renamed', [{ value: 'a', label: 'A' }], [{ value: 'a', label: 'B' }], false],
    ['one more', [1], [1, 2], false],
    ['a field gone, another come', { a: 1 }, { b: undefined }, false],
    ['nothing and null', undefined, null, false],
    ['elements, which are never guessed at', createElement('b'), createElement('b'), false],
    ['deeper than is looked', { a: { b: { c: { d: 1 } } } }, { a: { b: { c: { d: 1 } } } }, false],
  ])('%s', (_what, a, b, expected) => {
    expect(alike(a, b, 3)).toBe(expected);
  });
});
