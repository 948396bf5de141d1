import { profileWords, readAmperes } from './equipment-words';

describe('amperes in a row', () => {
  it.each<[string, number[] | null]>([
    ['10, 13,16', [10, 13, 16]],
    ['32 A; 6 16', [6, 16, 32]],
    ['16 16', [16]],
    ['', []],
    ['sixteen', null],
    ['-6', null],
    ['6, 99999', null],
  ])('“%s”', (text, expected) => {
    expect(readAmperes(text)).toEqual(expected);
  });
});

describe('a profile in a line', () => {
  it('says what is known and what is not', () => {
    expect(profileWords({ id: 'a', name: 'A', ratedA: 32, phases: 3, clamps: ['wired'], failSafesA: [0, 6] })).toBe(
      '3 × 32 A · any setting · wired clamp · fail-safe 0, 6 A',
    );
    expect(profileWords({ id: 'a', name: 'A', stepsA: [6, 16], clamps: [] })).toBe(
      'rating not known · steps 6, 16 A · no clamp',
    );
  });
});
