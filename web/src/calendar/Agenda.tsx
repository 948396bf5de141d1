import { Link } from 'react-router';
import type { DiaryEntry } from '../api/diary';
import { jobNumber } from '../api/jobs';
import { Panel, Stack } from '../kit/Panel';
import { dayWords } from './day-words';
import type { Week } from './weeks';

/** What is due, one line each. */
export function EntryLines({ entries }: { readonly entries: readonly DiaryEntry[] }) {
  return (
    <Stack as="ul" style={{ '--gap': '0.4rem', listStyle: 'none', padding: 0, margin: 0 }}>
      {entries.map((entry) => (
        <li key={`${entry.jobId} ${entry.id}`}>
          <strong style={entry.state === 'late' ? { color: 'var(--hold)' } : undefined}>
            {dayWords(entry.dueOn)}
            {entry.state === 'late' ? ', late' : entry.state === 'today' ? ', today' : ''}
          </strong>{' '}
          {entry.title}:{' '}
          <Link to={`/jobs/${entry.jobId}/route`}>
            {jobNumber(entry.number)} {entry.place}
          </Link>
        </li>
      ))}
    </Stack>
  );
}

/** Everything still to come, week by week. */
export function Agenda({ weeks }: { readonly weeks: readonly Week[] }) {
  return weeks.map(({ monday, entries }) => (
    <Panel key={monday} aria-label={`Week of ${dayWords(monday)}`}>
      <h2>Week of {dayWords(monday)}</h2>
      <EntryLines entries={entries} />
    </Panel>
  ));
}
