import type { LogDay } from '../demand/measured/log-days';
import { DAYS_A_YEAR, MINUTES_A_DAY, MINUTES_A_YEAR, type HouseYear } from './household';
import { seeded } from './random';

/** How many days apart two days of a year may be to be alike in season. */
const SEASON_DAYS = 45;

/** The day of the year, from 0, of a day since 1970. */
function dayOfYear(day: number): number {
  const at = new Date(day * 86_400_000);
  return Math.floor((at.getTime() - Date.UTC(at.getUTCFullYear(), 0, 1)) / 86_400_000);
}

function apart(a: number, b: number): number {
  const days = Math.abs(a - b) % DAYS_A_YEAR;
  return Math.min(days, DAYS_A_YEAR - days);
}

/**
 * A year made of the days of a log: each drawn by the seed among those of its season and kind, working day or weekend; where
 * none was logged, of its kind alone; where none of those, among all. A log of one season says nothing of the others.
 */
export function logYear(days: readonly LogDay[], seed: number): HouseYear {
  const allA = new Float32Array(MINUTES_A_YEAR);
  if (days.length === 0) return { allA, unseenA: null };
  const random = seeded(seed);
  const known = days.map((each) => ({ ...each, of: dayOfYear(each.day) }));
  for (let day = 0; day < DAYS_A_YEAR; day += 1) {
    // A year that begins on a Monday.
    const weekend = day % 7 > 4;
    const kind = known.filter((each) => each.weekend === weekend);
    const alike = kind.filter((each) => apart(each.of, day) <= SEASON_DAYS);
    const among = alike.length > 0 ? alike : kind.length > 0 ? kind : known;
    const drawn = among[Math.floor(random.next() * among.length)];
    if (drawn) allA.set(drawn.amperes, day * MINUTES_A_DAY);
  }
  return { allA, unseenA: null };
}
