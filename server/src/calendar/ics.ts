import type { CalendarEntry } from '@keen-gauge/core/calendar/ics-events';
import { addDays, type Day } from '@keen-gauge/core/calendar/days';
import { createEvents, type DateArray } from 'ics';

const partsOf = (day: Day): DateArray => {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return [year, month, date];
};

/** Entries as an iCalendar file written at a moment, whole days, each under an id of its own so that a calendar updates rather than doubles. */
export function icsOf(entries: readonly CalendarEntry[], writtenAt = new Date()): string {
  const { value, error } = createEvents(
    entries.map(({ uid, day, title, about }) => ({
      uid,
      start: partsOf(day),
      end: partsOf(addDays(day, 1)),
      title,
      description: about,
      productId: 'keen-gauge',
      busyStatus: 'FREE',
      timestamp: writtenAt.getTime(),
    })),
  );
  if (typeof value !== 'string') throw error ?? new Error('The calendar could not be written.');
  return value;
}
