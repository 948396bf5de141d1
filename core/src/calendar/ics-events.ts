import type { Clock } from './clocks';
import type { Day } from './days';

/** One entry of a calendar: a whole day, under an id that stays the same however often it is written. */
export interface CalendarEntry {
  readonly uid: string;
  readonly day: Day;
  readonly title: string;
  readonly about: string;
}

/** The clocks of a job that are still running, as entries of a calendar. */
export function clockEntries(
  job: { readonly id: string; readonly number: string; readonly place: string },
  clocks: readonly Clock[],
): CalendarEntry[] {
  return clocks
    .filter(({ state }) => state !== 'done')
    .map(({ id, title, dueOn, fromOn }) => ({
      uid: `${id}-${job.id}@keen-gauge`,
      day: dueOn,
      title: `${job.number} ${job.place}: ${title}`,
      about: `${title}, counted from ${fromOn}.`,
    }));
}
