import { mondayOf } from '@keen-gauge/core/calendar/days';
import type { DiaryEntry } from '../api/diary';

/** What is to be seen of the diary. */
export interface DiaryFilter {
  readonly kind: DiaryEntry['id'] | 'all';
  /** Every word has to stand in its number, its place or what is due. */
  readonly words: string;
}

export interface Week {
  readonly monday: string;
  readonly entries: readonly DiaryEntry[];
}

/** Whether an entry is to be seen. */
export function passes(entry: DiaryEntry, { kind, words }: DiaryFilter): boolean {
  if (kind !== 'all' && entry.id !== kind) return false;
  const says = `kg-${String(entry.number).padStart(4, '0')} ${entry.place} ${entry.title}`.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => says.includes(word));
}

/** The diary’s entries week by week. */
export function weeksOf(entries: readonly DiaryEntry[]): Week[] {
  const weeks = new Map<string, DiaryEntry[]>();
  for (const entry of entries) {
    const monday = mondayOf(entry.dueOn);
    const week = weeks.get(monday);
    if (week) week.push(entry);
    else weeks.set(monday, [entry]);
  }
  return [...weeks.entries()]
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([monday, found]) => ({ monday, entries: found }));
}
