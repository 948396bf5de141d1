import { addDays, mondayOf, type Day } from '@keen-gauge/core/calendar/days';
import type { DiaryEntry } from '../api/diary';

export const DIARY_VIEWS = ['month', 'week', 'agenda'] as const;
export type DiaryView = (typeof DIARY_VIEWS)[number];

const from = (day: Day, count: number): Day[] => Array.from({ length: count }, (_each, at) => addDays(day, at));

/** The seven days of the week a day lies in, Monday first. */
export function weekOf(on: Day): Day[] {
  return from(mondayOf(on), 7);
}

/** Whole weeks, Monday first, that hold the month a day lies in. */
export function monthOf(on: Day): Day[] {
  const first = mondayOf(`${on.slice(0, 7)}-01`);
  const month = on.slice(0, 7);
  const weeks = [0, 1, 2, 3, 4, 5].filter((week) =>
    from(addDays(first, 7 * week), 7).some((day) => day.startsWith(month)),
  );
  return weeks.flatMap((week) => from(addDays(first, 7 * week), 7));
}

/** The same day so many months on; the last of that month where it has none. */
export function monthsOn(on: Day, months: number): Day {
  const [year = 0, month = 1, day = 1] = on.split('-').map(Number);
  const last = new Date(Date.UTC(year, month - 1 + months + 1, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 + months, Math.min(day, last))).toISOString().slice(0, 10);
}

/** The entries by the day they are due on. */
export function byDueDay(entries: readonly DiaryEntry[]): ReadonlyMap<Day, readonly DiaryEntry[]> {
  const days = new Map<Day, DiaryEntry[]>();
  for (const entry of entries) {
    const known = days.get(entry.dueOn);
    if (known) known.push(entry);
    else days.set(entry.dueOn, [entry]);
  }
  return days;
}
