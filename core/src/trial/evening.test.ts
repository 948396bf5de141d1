import { fc, lawRuns } from '../testing/laws';
import { guard, type NodeFlow } from '../management/managed-demand';
import { given } from '../worked';
import type { Running } from './controller';
import { eveningSeconds, faultWindow, momentsOf, playSeconds, responseS, SLOW_S, type Seconds } from './evening';
import { planFor } from '../testing/homes';
import { houseOf } from './play';
import { seeded } from './random';
import type { VehicleNeeds } from './chargers-year';

const terms = {
  leastA: 6,
  restartMin: 0.5,
  ratingA: 60,
  onboardA: 32,
  everyS: 2,
  lagS: 5,
  timeoutS: 60,
} as const;
const needs: VehicleNeeds = { kwhPerDay: 11.2, arrivesH: 18, leavesH: 7.5, onboardA: 32, lines: 1 };

/** A house seen whole by a clamp, or all but some of it. */
function seen(houseA: Float32Array, setPointA: number, unseenA?: Float32Array): Seconds {
  const seenA = unseenA ? houseA.map((amperes, at) => amperes - (unseenA[at] ?? 0)) : houseA;
  return { houseA, clamps: [{ setPointA, seesOwn: true, seenA }], wants: new Uint8Array(houseA.length).fill(1) };
}

/**
 * A house that jumps from one current to another, never above what its demand is reckoned at, and stays there for at least
 * so many seconds.
 */
function jumpy(
  seed: number,
  length: number,
  seenA: number,
  blindA: number,
  staysS: number,
): Record<'houseA' | 'unseenA', Float32Array> {
  const random = seeded(seed);
  const houseA = new Float32Array(length);
  const unseenA = new Float32Array(length);
  for (let second = 0; second < length;) {
    const seen = random.next() < 0.3 ? seenA : random.between(0, seenA);
    const unseen = random.next() < 0.3 ? blindA : random.between(0, blindA);
    const until = second + staysS + Math.floor(random.between(0, 20));
    houseA.fill(seen + unseen, second, until);
    unseenA.fill(unseen, second, until);
    second = until;
  }
  return { houseA, unseenA };
}

function longestOver({ houseA }: Pick<Seconds, 'houseA'>, chargerA: Float32Array, ratingA: number): number {
  let [over, longest] = [0, 0];
  houseA.forEach((house, second) => {
    over = house + (chargerA[second] ?? 0) > ratingA + 1e-3 ? over + 1 : 0;
    longest = Math.max(longest, over);
  });
  return longest;
}

describe('an evening second by second', () => {
  const settings = fc.record({
    ratingA: fc.integer({ min: 20, max: 100 }),
    seenA: fc.integer({ min: 0, max: 100 }),
    blindA: fc.integer({ min: 0, max: 30 }),
    limitA: fc.integer({ min: 6, max: 80 }),
    setPointA: fc.integer({ min: 0, max: 100 }),
    failSafeA: fc.constantFrom(0, 6, 10, 16),
    everyS: fc.integer({ min: 1, max: 5 }),
    lagS: fc.integer({ min: 0, max: 5 }),
    seed: fc.integer(),
  });
  type Settings = typeof settings extends fc.Arbitrary<infer T> ? T : never;
  /** Plays a house the guard holds for, clamp working and lost for a while; nothing where it does not hold. */
  const playGuarded = (of: Settings, staysS: number) => {
    const { ratingA, seenA, blindA, limitA, setPointA, failSafeA, everyS, lagS, seed } = of;
    const flow: NodeFlow = {
      other: given('Other demand', seenA + blindA, 'A'),
      unmanagedA: seenA + blindA + limitA,
      limitA,
      failSafeA: Math.min(failSafeA, limitA),
      clamps: [{ setPointA, worstA: setPointA, blind: given('Blind', blindA, 'A'), sourcesA: 0 }],
    };
    if (!guard(ratingA, flow).holds) return null;
    const house = jumpy(seed, 240, seenA, blindA, staysS);
    const own = { ...terms, ratingA, onboardA: limitA, everyS, lagS };
    const running: Running = { kind: 'managed', limitA, setPointA, failSafeA };
    const faults = [undefined, { kind: 'clamp-off' as const, fromS: 60, toS: 180 }];
    const seconds = seen(house.houseA, setPointA, house.unseenA);
    return { house, chargers: faults.map((fault) => playSeconds(seconds, running, { ...own, fault }).chargerA) };
  };

  it('whenever the guard holds, no house of that demand passes the rating for longer than the response time: 3 000 trials', () => {
    let played = 0;
    fc.assert(
      fc.property(settings, (of) => {
        const found = playGuarded(of, responseS(of) + 1);
        fc.pre(found !== null);
        played += 1;
        for (const chargerA of found.chargers)
          expect(longestOver(found.house, chargerA, of.ratingA)).toBeLessThanOrEqual(responseS(of));
      }),
      { numRuns: lawRuns(3000), maxSkipsPerRun: 200 },
    );
    expect(played).toBe(lawRuns(3000));
  });
  it('however fast the house jumps, the rating is passed only within the response time after it rose: 1 000 trials', () => {
    fc.assert(
      fc.property(settings, (of) => {
        const found = playGuarded(of, 1);
        fc.pre(found !== null);
        const { houseA, unseenA } = found.house;
        const rose = (second: number): boolean => {
          for (let at = second; at > second - responseS(of) && at >= 0; at -= 1) {
            const [blind, blindBefore] = [unseenA[at] ?? 0, unseenA[at - 1] ?? 0];
            const [seen, seenBefore] = [(houseA[at] ?? 0) - blind, (houseA[at - 1] ?? 0) - blindBefore];
            if (at === 0 || seen > seenBefore || blind > blindBefore) return true;
          }
          return false;
        };
        for (const chargerA of found.chargers)
          houseA.forEach((house, second) => {
            if (house + (chargerA[second] ?? 0) > of.ratingA + 1e-3 && !rose(second))
              throw new Error(`over at ${second} s though the house had not risen`);
          });
      }),
      { numRuns: lawRuns(1000), maxSkipsPerRun: 200 },
    );
  });

  it.each([
    ['clamp off at once falls back to 6 A', 'clamp-off', 6],
    ['a reversed clamp gives all it has', 'clamp-reversed', 32],
    ['with the link lost it goes on for its time-out, then falls back to 6 A', 'link-lost', 6],
  ] as const)('%s', (_name, kind, lastA) => {
    const house = seen(new Float32Array(400).fill(40), 60);
    const running: Running = { kind: 'managed', limitA: 32, setPointA: 60, failSafeA: 6 };
    const { chargerA } = playSeconds(house, running, { ...terms, fault: { kind, fromS: 100, toS: 400 } });
    expect(chargerA[99]).toBe(20);
    // 100 s, a minute of time-out, and the vehicle’s 5 s.
    if (kind === 'link-lost') expect([chargerA[160], chargerA[166]]).toEqual([20, 6]);
    expect(chargerA[399]).toBe(lastA);
  });
  it('a slow controller and a slow vehicle pass the set-point for as long as they are slow, and no longer', () => {
    const houseA = new Float32Array(300).fill(10);
    houseA.fill(50, 151);
    const house = seen(houseA, 60);
    const running: Running = { kind: 'managed', limitA: 32, setPointA: 60, failSafeA: 6 };
    const over = (kind?: 'lag' | 'vehicle-slow'): number => {
      const fault = kind && { kind, fromS: 0, toS: 300 };
      return longestOver(house, playSeconds(house, running, { ...terms, fault }).chargerA, 60);
    };
    expect(over()).toBeLessThanOrEqual(7);
    // The reading at 150 s is the last before; the next comes at 180 s: 29 s, and the vehicle’s 5.
    expect(over('lag')).toBe(SLOW_S - 1 + terms.lagS);
    // The reading at 152 s, followed 30 s later.
    expect(over('vehicle-slow')).toBe(1 + SLOW_S);
  });
  it('a fault of fitting is there from the start, any other sets in half an hour after the vehicle came', () => {
    expect(faultWindow('clamp-reversed', 18)).toMatchObject({ fromS: 0, toS: 86400 });
    // Noon to noon: 18:00 is 6 h in.
    expect(faultWindow('clamp-off', 18)).toMatchObject({ fromS: 6 * 3600 + 1800, toS: 8 * 3600 + 1800 });
  });
  it('the seconds of a day keep about the minutes of the house, and want nothing outside the cheap hours', () => {
    const plan = planFor(4);
    const [houseA = new Float32Array()] = houseOf(plan, 0, {}).sums;
    const cheap = { ...needs, cheap: { fromH: 0.5, toH: 4.5 } };
    const clamps = [{ setPointA: 60, seesOwn: true, minutesA: houseA.map((amperes) => amperes / 2) }];
    const seconds = eveningSeconds({ houseA, clamps, carries: true }, 10, cheap, 4);
    expect(seconds.houseA).toHaveLength(86400);
    expect(Math.abs((seconds.houseA[30] ?? 0) - (houseA[10 * 1440 + 720] ?? 0))).toBeLessThanOrEqual(0.16);
    // The clamp sees half of it, and that half move as the whole does.
    const [clamp] = seconds.clamps;
    expect(Math.abs((clamp?.seenA[30] ?? 0) - (houseA[10 * 1440 + 720] ?? 0) / 2)).toBeLessThanOrEqual(0.16);
    // 12.5 h after noon it is half past midnight.
    expect([seconds.wants[12.5 * 3600 - 1], seconds.wants[12.5 * 3600], seconds.wants[16.5 * 3600]]).toEqual([0, 1, 0]);
    const played = playSeconds(seconds, { kind: 'free', limitA: 32 }, terms);
    expect(momentsOf(seconds, played, 10)).toHaveLength(8640);
    // On a line the charger is not on, it takes nothing.
    expect(eveningSeconds({ houseA, clamps, carries: false }, 10, cheap, 4).wants.includes(1)).toBe(false);
  });
});
