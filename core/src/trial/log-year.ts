import type { LogDay } from '../demand/measured/log-days';
import type { Phase } from '../survey/words/words';
import { DAYS_A_YEAR, MINUTES_A_DAY, MINUTES_A_YEAR } from './household';
import { seeded } from './random';

/** The whole days of a log, line by line. */
export type LogDays = Readonly<Partial<Record<Phase, readonly LogDay[]>>>;

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
 * A year made of the days of a log, in amperes a minute on each line it has: each day drawn by the seed among those of its season and kind,
 * working day or weekend; where none was logged, of its kind alone; where none of those, among all. Every line has the same day of the log, of
 * those on which all were logged. A log of one season says nothing of the others.
 */
export function logYear(days: LogDays, seed: number): Map<Phase, Float32Array> {
  const lines = (Object.keys(days) as Phase[]).filter((phase) => (days[phase] ?? []).length > 0);
  const years = new Map(lines.map((phase) => [phase, new Float32Array(MINUTES_A_YEAR)]));
  const [first, ...others] = lines;
  if (first === undefined) return years;
  const random = seeded(seed);
  const known = (days[first] ?? [])
    .filter(({ day }) => others.every((phase) => days[phase]?.some((each) => each.day === day)))
    .map((each) => ({ ...each, of: dayOfYear(each.day) }));
  for (let day = 0; day < DAYS_A_YEAR; day += 1) {
    // A year that begins on a Monday.
    const weekend = day % 7 > 4;
    const kind = known.filter((each) => each.weekend === weekend);
    const alike = kind.filter((each) => apart(each.of, day) <= SEASON_DAYS);
    const among = alike.length > 0 ? alike : kind.length > 0 ? kind : known;
    const drawn = among[Math.floor(random.next() * among.length)];
    if (!drawn) continue;
    for (const phase of lines) {
      const amperes = days[phase]?.find((each) => each.day === drawn.day)?.amperes;
      if (amperes) years.get(phase)?.set(amperes, day * MINUTES_A_DAY);
    }
  }
  return years;
}
