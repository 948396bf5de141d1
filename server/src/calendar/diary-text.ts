import { clockEntries } from '@keen-gauge/core/calendar/ics-events';
import { jobNumber } from '../jobs/numbers';
import type { DiaryEntry } from './diary';
import { icsOf } from './ics';

/** A diary as a calendar reads it. Thousands of entries take seconds to write: done in a thread. */
export function diaryText(entries: readonly DiaryEntry[]): string {
  return icsOf(
    entries.flatMap((entry) =>
      clockEntries({ id: entry.jobId, number: jobNumber(entry.number), place: entry.place }, [entry]),
    ),
  );
}
