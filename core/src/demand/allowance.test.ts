import { fc } from '../testing/laws';
import { allowanceWords, allowedCurrent, type Drawn } from './allowance';

const drawn = (currentA: number, count = 1, mainRoom = true): Drawn => ({
  currentA,
  count,
  controlSockets: 0,
  mainRoom,
});
const ranked = (percents: readonly number[], restPercent: number) =>
  ({ form: 'ranked', percents, restPercent }) as const;

describe('an allowance', () => {
  it.each<[string, Parameters<typeof allowedCurrent>[0], readonly Drawn[], number]>([
    ['share: 66 % × (2 × 3 + 4) = 6.6', { form: 'share', percent: 66 }, [drawn(3, 2), drawn(4)], 6.6],
    [
      'threshold under its limit: 9',
      { form: 'threshold', fullUpToA: 10, restPercent: 50, perControlSocketA: 0 },
      [drawn(9)],
      9,
    ],
    [
      'threshold over it: 10 + 50 % × 6 = 13',
      { form: 'threshold', fullUpToA: 10, restPercent: 50, perControlSocketA: 0 },
      [drawn(8, 2)],
      13,
    ],
    [
      'a pair of largest takes both ranks: 20 + 20 + 25 % × 10 = 42.5',
      ranked([100, 100], 25),
      [drawn(10), drawn(20, 2)],
      42.5,
    ],
    ['a second as large as the first: 20 + 40 % × 20 = 28', ranked([100], 40), [drawn(20), drawn(20)], 28],
    [
      'three percentages: 30 + 80 % × 20 + 60 % × 10 + 50 % × 5 = 54.5',
      ranked([100, 80, 60], 50),
      [drawn(5), drawn(10), drawn(20), drawn(30)],
      54.5,
    ],
    ['nothing drawn', ranked([100], 40), [], 0],
  ])('%s', (_working, allowance, loads, expected) => {
    expect(allowedCurrent(allowance, loads)).toBeCloseTo(expected, 9);
  });

  it('says what it did', () => {
    expect(allowanceWords(ranked([100], 40), [drawn(20), drawn(32, 2)])).toEqual({
      expression: '100 % of the largest + 40 % of each other',
      substituted: '32 + 40 % × 32 + 40 % × 20 = 52.80 A',
    });
    const cooking = { form: 'threshold', fullUpToA: 10, restPercent: 30, perControlSocketA: 5 } as const;
    expect(allowanceWords(cooking, [{ ...drawn(30), controlSockets: 2 }]).substituted).toBe(
      '10 + 30 % × 20 + 2 × 5 = 26 A',
    );
  });

  it('reckons ranks without sorting as it would by sorting', () => {
    const load = fc.record({ currentA: fc.nat(50), count: fc.integer({ min: 1, max: 4 }) });
    const percent = fc.nat(100);
    fc.assert(
      fc.property(
        fc.array(load, { maxLength: 8 }),
        fc.array(percent, { minLength: 1, maxLength: 2 }),
        percent,
        (loads, percents, rest) => {
          const units = loads
            .flatMap(({ currentA, count }) => Array<number>(count).fill(currentA))
            .sort((a, b) => b - a);
          const expected = units.reduce((total, each, at) => total + (each * (percents[at] ?? rest)) / 100, 0);
          const made = allowedCurrent(
            ranked(percents, rest),
            loads.map(({ currentA, count }) => drawn(currentA, count)),
          );
          expect(made).toBeCloseTo(expected, 6);
        },
      ),
    );
  });
});
