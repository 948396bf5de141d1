import type { Day } from '@keen-gauge/core/calendar/days';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { DiaryEntry } from '../api/diary';
import { jobNumber } from '../api/jobs';
import { BareButton } from '../kit/Button';
import { shortDayWords } from './day-words';

const Grid = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--surface);
  overflow: hidden;
  & > li {
    min-height: var(--day, 6.5rem);
    border-top: 1px solid var(--line);
    border-left: 1px solid var(--line);
    padding: 0.25rem 0.35rem 0.4rem;
    display: grid;
    align-content: start;
    gap: 0.2rem;
    min-width: 0;
  }
  & > li[data-outside] {
    background: var(--raised);
    color: var(--quiet);
  }
  & > li[data-today] {
    box-shadow: inset 0 0 0 2.5px var(--ink);
  }
  @media (max-width: 44rem) {
    /* One day under the other, those with nothing left out. */
    grid-template-columns: minmax(0, 1fr);
    & > li {
      min-height: 0;
      border-left: 0;
      padding: 0.4rem 0.7rem;
    }
    & > li[data-empty]:not([data-today]) {
      display: none;
    }
  }
`;

const Names = styled.div`
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  color: var(--quiet);
  font-size: 0.88rem;
  & > span {
    padding: 0 0.4rem;
  }
  @media (max-width: 44rem) {
    display: none;
  }
`;

const Entry = styled(Link)`
  display: block;
  padding: 0.15rem 0.35rem;
  border-left: 4px solid var(--strong-line);
  border-radius: 3px;
  background: var(--raised);
  color: var(--ink);
  font-size: 0.86rem;
  line-height: 1.25;
  text-decoration: none;
  overflow-wrap: break-word;
  &[data-state='late'] {
    border-color: var(--hold);
    color: var(--hold);
    font-weight: 600;
  }
  &[data-state='today'] {
    border-color: var(--ink);
    font-weight: 600;
  }
  @media (max-width: 44rem) {
    min-height: 44px;
    display: grid;
    align-content: center;
    font-size: 0.95rem;
  }
`;

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** Days in weeks of seven, each with what is due on it; on a phone the days that have something, one under the other. */
export function DayGrid({
  days,
  entries,
  today,
  month,
  most,
  onMore,
}: {
  readonly days: readonly Day[];
  readonly entries: ReadonlyMap<Day, readonly DiaryEntry[]>;
  readonly today: Day;
  /** The month looked at, YYYY-MM; days of others are quiet. Left out, every day counts. */
  readonly month?: string;
  /** As many of a day as are shown; the rest opens its week. */
  readonly most: number;
  readonly onMore: (day: Day) => void;
}) {
  return (
    <div>
      {month !== undefined && (
        <Names aria-hidden>
          {WEEKDAYS.map((name) => (
            <span key={name}>{name}</span>
          ))}
        </Names>
      )}
      <Grid aria-label="Days" style={{ '--day': month === undefined ? '14rem' : undefined }}>
        {days.map((day) => {
          const found = entries.get(day) ?? [];
          const outside = month !== undefined && !day.startsWith(month);
          return (
            <li
              key={day}
              {...(day === today ? { 'data-today': '', 'aria-current': 'date' as const } : {})}
              {...(outside ? { 'data-outside': '' } : {})}
              {...(found.length === 0 ? { 'data-empty': '' } : {})}
            >
              <time dateTime={day} className="figures" style={{ fontSize: '0.9rem' }}>
                {shortDayWords(day)}
                {day === today ? ', today' : ''}
              </time>
              {found.slice(0, most).map((entry) => (
                <Entry key={`${entry.jobId} ${entry.id}`} to={`/jobs/${entry.jobId}/route`} data-state={entry.state}>
                  {entry.title}: {entry.place} <span className="unseen">{jobNumber(entry.number)}</span>
                </Entry>
              ))}
              {found.length > most && (
                <BareButton
                  onPress={() => {
                    onMore(day);
                  }}
                >
                  {found.length - most} more
                </BareButton>
              )}
            </li>
          );
        })}
      </Grid>
    </div>
  );
}
