import type { DiaryEntry } from '../api/diary';
import { passes, weeksOf } from './weeks';

const entry = (change: Partial<DiaryEntry>): DiaryEntry => ({
  id: 'reply',
  title: 'Operator’s reply',
  fromOn: '2026-11-25',
  dueOn: '2026-12-09',
  state: 'running',
  jobId: 'j',
  number: 4,
  place: '1 Test Lane',
  ...change,
});
const all = { kind: 'all', words: '' } as const;
const entries = [
  entry({ dueOn: '2026-11-20', state: 'late', id: 'chase' }),
  entry({}),
  entry({ dueOn: '2026-12-13', number: 12, place: 'Weir Meadow' }),
  entry({ dueOn: '2026-12-14' }),
];

describe('the diary by week', () => {
  it('begins weeks on Monday: Wednesday 9 and Sunday 13 December are one, Monday 14 the next', () => {
    expect(weeksOf(entries).map(({ monday, entries: found }) => [monday, found.length])).toEqual([
      ['2026-11-16', 1],
      ['2026-12-07', 2],
      ['2026-12-14', 1],
    ]);
  });
  it.each([
    ['one kind', { ...all, kind: 'chase' as const }, 1],
    ['words of place', { ...all, words: 'weir' }, 1],
    ['a job’s number', { ...all, words: 'KG-0012' }, 1],
    ['words that are nowhere', { ...all, words: 'weir chase' }, 0],
  ])('filtered by %s', (_name, filter, count) => {
    expect(entries.filter((each) => passes(each, filter))).toHaveLength(count);
  });
});
