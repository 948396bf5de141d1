import { fresh, step, type ControllerTerms, type Running } from './controller';
import { OPERATES_AT, warmed } from './fuse';
import { MINUTES_A_DAY } from './household';
import { seeded } from './random';

/** One second of an evening. */
export interface Moment {
  readonly second: number;
  readonly houseA: number;
  readonly chargerA: number;
  /** Share of what operates the fuse. */
  readonly warmth: number;
}

export interface EveningTerms extends ControllerTerms {
  readonly ratingA: number;
  /** Seconds between two readings of the clamp, and until the vehicle has followed. */
  readonly everyS: number;
  readonly lagS: number;
  readonly fault?: 'clamp-off' | 'clamp-reversed' | undefined;
}

const SECONDS_A_DAY = 86400;

/**
 * A day second by second, noon to noon, the vehicle there from its arrival on and always hungry. Within each minute the
 * house moves about its mean, for loads switch at their own moment. The fuse starts as warm as the first minute keeps it.
 */
export function playEvening(
  house: Float32Array,
  day: number,
  arrivesH: number,
  onboardA: number,
  running: Running,
  terms: EveningTerms,
  seed: number,
): Moment[] {
  const random = seeded(seed + day);
  const from = Math.min(day * MINUTES_A_DAY + MINUTES_A_DAY / 2, house.length - MINUTES_A_DAY);
  const state = fresh();
  const history: number[] = [];
  const moments: Moment[] = [];
  let theta = ((house[from] ?? 0) / terms.ratingA) ** 2;
  let asked = 0;
  let drawn = 0;
  for (let second = 0; second < SECONDS_A_DAY; second += 1) {
    const minute = house[from + Math.floor(second / 60)] ?? 0;
    const houseA = Math.max(0, minute + (second % 60 === 0 ? 0 : random.between(-0.15, 0.15)));
    const there = second / 3600 + 12 >= arrivesH;
    if (second % terms.everyS === 0) {
      const total = houseA + drawn;
      const reading = terms.fault === 'clamp-off' ? null : terms.fault === 'clamp-reversed' ? -total : total;
      state.ownA = drawn;
      asked = step(
        state,
        running,
        running.kind === 'free' ? total : reading,
        there ? onboardA : 0,
        terms.everyS / 60,
        terms,
      );
    }
    history.push(asked);
    // The vehicle follows what it was asked so many seconds ago.
    drawn = history[Math.max(0, history.length - 1 - terms.lagS)] ?? 0;
    theta = warmed(theta, houseA + drawn, terms.ratingA, 1 / 60);
    moments.push({ second, houseA, chargerA: drawn, warmth: theta / OPERATES_AT });
  }
  return moments;
}
