import { OPERATES_AT, timeConstant } from '../management/fuse-warming';
import { MINUTES_A_DAY, MINUTES_A_YEAR } from './household';

/** What one part made of a year on its fullest line. */
export interface PartYear {
  readonly highestA: number;
  readonly minutesOver: number;
  readonly longestOverMin: number;
  /** The warmest it was, as a share of what operates a fuse of that rating. */
  readonly warmest: number;
  /** The day with the highest minute, to be looked at closely, and which of its lines. */
  readonly highestDay: number;
  readonly line: number;
}

/** Sums of whole amperes and of currents kept in 32 bits differ by this much without a difference. */
const NOISE_A = 1e-3;

/** Every minute of one line at one part, in amperes. */
export function lineYear(houseA: Float32Array, chargersA: Float32Array, ratingA: number, line: number): PartYear {
  const decay = Math.exp(-1 / timeConstant(ratingA));
  const gain = (1 - decay) / (ratingA * ratingA);
  let theta = 0;
  let warmest = 0;
  let highestA = 0;
  let highestAt = 0;
  // Every year of every way goes through this loop: four minutes at a time, which a year divides into, it takes two thirds of the time.
  for (let at = 0; at < MINUTES_A_YEAR; at += 4) {
    const a = (houseA[at] ?? 0) + (chargersA[at] ?? 0);
    const b = (houseA[at + 1] ?? 0) + (chargersA[at + 1] ?? 0);
    const c = (houseA[at + 2] ?? 0) + (chargersA[at + 2] ?? 0);
    const d = (houseA[at + 3] ?? 0) + (chargersA[at + 3] ?? 0);
    theta = theta * decay + a * a * gain;
    if (theta > warmest) warmest = theta;
    theta = theta * decay + b * b * gain;
    if (theta > warmest) warmest = theta;
    theta = theta * decay + c * c * gain;
    if (theta > warmest) warmest = theta;
    theta = theta * decay + d * d * gain;
    if (theta > warmest) warmest = theta;
    if (a > highestA || b > highestA || c > highestA || d > highestA) {
      highestA = Math.max(a, b, c, d);
      highestAt = at;
    }
  }
  const highestDay = Math.floor(highestAt / MINUTES_A_DAY);
  const over = highestA > ratingA + NOISE_A ? minutesAbove(ratingA + NOISE_A, houseA, chargersA) : NEVER;
  return { highestA, highestDay, line, warmest: warmest / OPERATES_AT, ...over };
}

type Over = Pick<PartYear, 'minutesOver' | 'longestOverMin'>;
const NEVER: Over = { minutesOver: 0, longestOverMin: 0 };

function minutesAbove(overA: number, houseA: Float32Array, chargersA: Float32Array): Over {
  let minutesOver = 0;
  let longestOverMin = 0;
  let within = -1;
  for (let minute = 0; minute < MINUTES_A_YEAR; minute += 1) {
    if ((houseA[minute] ?? 0) + (chargersA[minute] ?? 0) <= overA) within = minute;
    else {
      minutesOver += 1;
      if (minute - within > longestOverMin) longestOverMin = minute - within;
    }
  }
  return { minutesOver, longestOverMin };
}

/** The fullest of the lines: each figure the greatest of them, so that none hides behind another. */
export function fullest(lines: readonly PartYear[]): PartYear {
  return lines.reduce((most, each) => ({
    highestA: Math.max(most.highestA, each.highestA),
    minutesOver: Math.max(most.minutesOver, each.minutesOver),
    longestOverMin: Math.max(most.longestOverMin, each.longestOverMin),
    warmest: Math.max(most.warmest, each.warmest),
    highestDay: each.highestA > most.highestA ? each.highestDay : most.highestDay,
    line: each.highestA > most.highestA ? each.line : most.line,
  }));
}
