import { DAYS_A_YEAR, MINUTES_A_DAY } from '../trial/household';
import { seeded, type Random } from '../trial/random';

/** Drivers of one kind: when they come and go, and what their cars want. Hours are of the clock; spreads are standard deviations. */
export interface DriverKind {
  readonly id: string;
  readonly label: string;
  /** How many of ten such drivers; kinds are dealt out along the row by this. */
  readonly share: number;
  readonly arrivesH: number;
  readonly arrivesSpreadH: number;
  /** May be before the hour of arrival: the next day then. */
  readonly leavesH: number;
  readonly leavesSpreadH: number;
  readonly kwhPerDay: number;
  readonly kwhSpread: number;
  /** On how many days of seven it is plugged in. */
  readonly daysAWeek: number;
  /** What the car’s own charger takes, in amperes on each of its lines. */
  readonly onboardA: number;
  readonly lines: 1 | 3;
}

/** Usual kinds, to begin with; every figure may be typed over. Means of ours, no survey of drivers: they say so wherever they are used. */
export const USUAL_DRIVERS: readonly DriverKind[] = [
  {
    id: 'commuters',
    label: 'Commuters',
    share: 7,
    arrivesH: 18,
    arrivesSpreadH: 1.2,
    leavesH: 7.5,
    leavesSpreadH: 0.8,
    kwhPerDay: 9,
    kwhSpread: 4,
    daysAWeek: 5,
    onboardA: 32,
    lines: 1,
  },
  {
    id: 'shift',
    label: 'Shift workers',
    share: 2,
    arrivesH: 22.5,
    arrivesSpreadH: 1,
    leavesH: 5.5,
    leavesSpreadH: 0.7,
    kwhPerDay: 12,
    kwhSpread: 5,
    daysAWeek: 5,
    onboardA: 32,
    lines: 1,
  },
  {
    id: 'visitors',
    label: 'Visitors',
    share: 1,
    arrivesH: 11,
    arrivesSpreadH: 2.5,
    leavesH: 16,
    leavesSpreadH: 2,
    kwhPerDay: 14,
    kwhSpread: 7,
    daysAWeek: 3,
    onboardA: 32,
    lines: 1,
  },
];

/** The stays of one car in a year, in order; minutes since the year began. */
export interface Stays {
  readonly arrivesAt: Int32Array;
  readonly leavesAt: Int32Array;
  readonly wantsKwh: Float64Array;
  readonly onboardA: number;
  readonly lines: 1 | 3;
}

/** Shorter than this nobody plugs in for, in minutes. */
const SHORTEST_MIN = 20;

/** The kind of the car at a place in the row: dealt out so that any number of first places holds the kinds in about their shares. */
export function kindAt(kinds: readonly DriverKind[], place: number): DriverKind | undefined {
  const total = kinds.reduce((sum, { share }) => sum + share, 0);
  if (total <= 0) return kinds[0];
  // The kind furthest behind its share goes next (largest remainder).
  const dealt = kinds.map(() => 0);
  let last = 0;
  for (let at = 0; at <= place; at += 1) {
    const behind = kinds.map(({ share }, kind) => (share / total) * (at + 1) - (dealt[kind] ?? 0));
    last = behind.indexOf(Math.max(...behind));
    dealt[last] = (dealt[last] ?? 0) + 1;
  }
  return kinds[last];
}

/**
 * A car’s year, from the seed and its place alone: another car changes nothing of it, and every policy and every supply meets the same. A car that
 * comes again before it has left has left by then.
 */
export function staysOf(kind: DriverKind, place: number, seed: number, days = DAYS_A_YEAR): Stays {
  const random = seeded(Math.imul(seed + 1, 0x9e3779b1) ^ Math.imul(place + 1, 0x85ebca6b));
  const [arrivesAt, leavesAt, wantsKwh]: [number[], number[], number[]] = [[], [], []];
  const nights = kind.leavesH <= kind.arrivesH ? 1 : 0;
  for (let day = 0; day < days; day += 1) {
    // Drawn whether it comes or not, so that one day more in the week changes nothing of the others.
    const comes = random.next() < kind.daysAWeek / 7;
    const from = day * MINUTES_A_DAY + minutes(random, kind.arrivesH, kind.arrivesSpreadH);
    const to = (day + nights) * MINUTES_A_DAY + minutes(random, kind.leavesH, kind.leavesSpreadH);
    const kwh = random.about(kind.kwhPerDay, kind.kwhSpread);
    const start = Math.max(from, (leavesAt.at(-1) ?? -1) + 1);
    if (!comes || kwh <= 0 || to - start < SHORTEST_MIN || to >= days * MINUTES_A_DAY) continue;
    arrivesAt.push(start);
    leavesAt.push(to);
    wantsKwh.push(kwh);
  }
  return {
    arrivesAt: Int32Array.from(arrivesAt),
    leavesAt: Int32Array.from(leavesAt),
    wantsKwh: Float64Array.from(wantsKwh),
    onboardA: kind.onboardA,
    lines: kind.lines,
  };
}

const minutes = (random: Random, atH: number, spreadH: number): number => Math.round(random.about(atH, spreadH) * 60);
