import { ALWAYS_A, HABITS } from './habits';
import type { LoadClass } from '../survey/words';
import { seeded, type Random } from './random';

export const MINUTES_A_DAY = 1440;
export const DAYS_A_YEAR = 365;
export const MINUTES_A_YEAR = MINUTES_A_DAY * DAYS_A_YEAR;

/** One load of a household as the generator needs it: amperes on the line that is watched, so many alike. */
export interface TrialLoad {
  readonly class: LoadClass;
  readonly currentA: number;
  readonly count: number;
  /** The controller’s clamp cannot see it. */
  readonly unseen?: boolean;
}

/** A year of a house minute by minute, in amperes: everything, and what the clamp cannot see of it; null where it sees all. */
export interface HouseYear {
  readonly allA: Float32Array;
  readonly unseenA: Float32Array | null;
}

/** How much of the winter habit applies on a day of the year: all in mid January, none in mid July. */
function winterShare(day: number): number {
  return (1 + Math.cos((2 * Math.PI * (day - 15)) / DAYS_A_YEAR)) / 2;
}

/**
 * A year of a household's current from its loads and their habits. Each home keeps its own hours and is more or less busy
 * than another; the same seed gives the same year anywhere.
 */
export function householdYear(loads: readonly TrialLoad[], seed: number): HouseYear {
  const allA = new Float32Array(MINUTES_A_YEAR);
  const unseenA = loads.some(({ unseen }) => unseen) ? new Float32Array(MINUTES_A_YEAR) : null;
  const random = seeded(seed);
  const busy = Math.max(0.4, random.about(1, 0.3));
  const shift = random.about(0, 0.5);
  allA.fill(random.between(ALWAYS_A[0], ALWAYS_A[1]));
  for (const load of loads)
    for (let each = 0; each < load.count && each < 40; each += 1)
      use({ allA, unseenA: load.unseen ? unseenA : null }, load, { random, busy, shift });
  return { allA, unseenA };
}

interface Home {
  readonly random: Random;
  readonly busy: number;
  readonly shift: number;
}

function use({ allA, unseenA }: HouseYear, { class: kind, currentA }: TrialLoad, { random, busy, shift }: Home): void {
  const habit = HABITS[kind];
  const [winter, summer] = habit.perDay;
  const weights = habit.starts.reduce((sum, [, , weight]) => sum + weight, 0);
  for (let day = 0; day < DAYS_A_YEAR; day += 1) {
    const share = winterShare(day);
    const expected = (winter * share + summer * (1 - share)) * busy;
    // A whole number of uses with that mean.
    const uses = Math.floor(expected) + (random.next() < expected % 1 ? 1 : 0);
    for (let at = 0; at < uses; at += 1) {
      let pick = random.next() * weights;
      const when = habit.starts.find(([, , weight]) => (pick -= weight) <= 0) ?? habit.starts[0];
      if (!when) continue;
      const hour = random.about(when[0] + shift, when[1]);
      const from = Math.max(0, Math.floor(day * MINUTES_A_DAY + hour * 60));
      const to = Math.min(MINUTES_A_YEAR, from + Math.round(random.between(habit.minutes[0], habit.minutes[1])));
      const amperes = currentA * random.between(habit.share[0], habit.share[1]);
      add(allA, from, to, amperes);
      if (unseenA) add(unseenA, from, to, amperes);
    }
  }
}

function add(year: Float32Array, from: number, to: number, amperes: number): void {
  for (let minute = from; minute < to; minute += 1) year[minute] = (year[minute] ?? 0) + amperes;
}
