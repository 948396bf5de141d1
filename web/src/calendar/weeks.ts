import { mondayOf } from '@keen-gauge/core/calendar/days';
import type { DiaryEntry } from '../api/diary';

/** What is to be seen of the diary. */
export interface DiaryFilter {
  readonly kind: DiaryEntry['id'] | 'all';
  readonly lateOnly: boolean;
  readonly words: string;
}

export interface Week {
  readonly monday: string;
  readonly entries: readonly DiaryEntry[];
}

/** The diary's entries that pass a filter, week by week, those overdue under the week they were due in. */
export function weeksOf(entries: readonly DiaryEntry[], { kind, lateOnly, words }: DiaryFilter): Week[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  const weeks = new Map<string, DiaryEntry[]>();
  for (const entry of entries) {
    const says = `kg-${String(entry.number).padStart(4, '0')} ${entry.place} ${entry.title}`.toLowerCase();
    if (kind !== 'all' && entry.id !== kind) continue;
    if (lateOnly && entry.state !== 'late') continue;
    if (!wanted.every((word) => says.includes(word))) continue;
    const monday = mondayOf(entry.dueOn);
    const week = weeks.get(monday);
    if (week) week.push(entry);
    else weeks.set(monday, [entry]);
  }
  return [...weeks.entries()]
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([monday, found]) => ({ monday, entries: found }));
}
