import { fc } from '../testing/laws';
import { POLICIES, type Policy } from './policies';
import { LINE_BITS, shareOut, type Sharer } from './share';

const one = (mostA = 32): Sharer => ({ lines: LINE_BITS.L1, mostA });
const given = (policy: Policy, cars: readonly Sharer[], leftA: number[]): number[] => {
  const found: number[] = [];
  shareOut(policy, 6, cars, leftA, found);
  return found;
};

describe('sharing what is left, five cars on one line', () => {
  const cars = [one(), one(16), one(), one(8), one()];

  it('equal shares of 60 A: the fourth stops at its 8, and the others have 13 each', () => {
    // (60 − 8) ÷ 4 = 13.
    expect(given('equal', cars, [60, 0, 0])).toEqual([13, 13, 13, 8, 13]);
  });
  it('in order, 60 A: each has 6, and the 30 A left over go to the first 26 and the second 4', () => {
    for (const policy of ['first-come', 'soonest-departure', 'least-energy'] as const)
      expect(given(policy, cars, [60, 0, 0])).toEqual([32, 10, 6, 6, 6]);
  });
  it('20 A are enough for three at 6; the 2 A left over make 7, 7, 6 in equal shares and 8, 6, 6 in order', () => {
    expect(given('equal', cars, [20, 0, 0])).toEqual([7, 7, 6, 0, 0]);
    expect(given('first-come', cars, [20, 0, 0])).toEqual([8, 6, 6, 0, 0]);
  });
  it('5 A are enough for nobody', () => {
    expect(given('equal', cars, [5, 0, 0])).toEqual([0, 0, 0, 0, 0]);
  });
});

it('a three-phase car has the same on every line, and no more than the scarcest has', () => {
  const three: Sharer = { lines: 7, mostA: 32 };
  expect(given('first-come', [three, one()], [40, 10, 25])).toEqual([10, 30]);
  expect(given('equal', [three, one()], [40, 5, 25])).toEqual([0, 32]);
});

const sharer = fc.record({ lines: fc.constantFrom(1, 2, 4, 7), mostA: fc.integer({ min: 6, max: 32 }) });
const leftover = fc.tuple(
  fc.integer({ min: -20, max: 200 }),
  fc.integer({ min: -20, max: 200 }),
  fc.integer({ min: -20, max: 200 }),
);

it('nobody is between nothing and 6 A or above what the car takes, and no line is used up beyond what it had', () => {
  fc.assert(
    fc.property(fc.constantFrom(...POLICIES), fc.array(sharer, { maxLength: 40 }), leftover, (policy, cars, left) => {
      const leftA = [...left];
      const found = given(policy, cars, leftA);
      found.forEach((amperes, at) => {
        expect(amperes === 0 || (amperes >= 6 && amperes <= (cars[at]?.mostA ?? 0))).toBe(true);
      });
      for (const line of [0, 1, 2]) {
        const drawn = cars.reduce((sum, { lines }, at) => sum + (lines & (1 << line) ? (found[at] ?? 0) : 0), 0);
        expect(drawn).toBeLessThanOrEqual(Math.max(0, left[line] ?? 0));
        expect(leftA[line]).toBe((left[line] ?? 0) - drawn);
      }
    }),
    { numRuns: 2000 },
  );
});

it('nothing is left that somebody charging could take: whoever is below their most has a line that is used up', () => {
  fc.assert(
    fc.property(fc.constantFrom(...POLICIES), fc.array(sharer, { maxLength: 40 }), leftover, (policy, cars, left) => {
      const leftA = [...left];
      const found = given(policy, cars, leftA);
      cars.forEach(({ lines, mostA }, at) => {
        const amperes = found[at] ?? 0;
        const room = Math.min(...[0, 1, 2].filter((line) => lines & (1 << line)).map((line) => leftA[line] ?? 0));
        if (amperes === 0) expect(room).toBeLessThan(6);
        else if (amperes < mostA) expect(room).toBeLessThan(1);
      });
    }),
    { numRuns: 2000 },
  );
});

it('equal shares of cars on one line that take as much differ by an ampere at most, of those that charge', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 0, max: 400 }), (count, left) => {
      const found = given(
        'equal',
        Array.from({ length: count }, () => one()),
        [left, 0, 0],
      ).filter((amperes) => amperes > 0);
      if (found.length > 0) expect(Math.max(...found) - Math.min(...found)).toBeLessThanOrEqual(1);
    }),
  );
});
