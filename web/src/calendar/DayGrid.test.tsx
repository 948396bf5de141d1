/** @jest-environment jsdom */
import { fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import type { DiaryEntry } from '../api/diary';
import { DayGrid } from './DayGrid';
import { byDueDay, monthOf } from './grid';

const entry = (number: number, values: Partial<DiaryEntry> = {}): DiaryEntry => ({
  id: 'reply',
  title: 'Operator’s reply',
  fromOn: '2026-11-25',
  dueOn: '2026-11-27',
  state: 'today',
  jobId: `job-${number}`,
  number,
  place: `${number} Test Lane`,
  ...values,
});

function shown(entries: readonly DiaryEntry[], onMore: (day: string) => void = () => undefined): void {
  render(
    <MemoryRouter>
      <DayGrid
        days={monthOf('2026-11-27')}
        month="2026-11"
        entries={byDueDay(entries)}
        today="2026-11-27"
        most={3}
        onMore={onMore}
      />
    </MemoryRouter>,
  );
}
const day = (date: string): HTMLElement => {
  const found = screen
    .getAllByRole('listitem')
    .find((each) => each.querySelector('time')?.getAttribute('datetime') === date);
  if (!found) throw new Error(`no ${date}`);
  return found;
};

describe('the month of the diary', () => {
  it('has every entry on its day, and leads to its job', () => {
    shown([entry(1), entry(2, { dueOn: '2026-11-11', state: 'late', title: 'Notice to the operator' })]);
    const late = within(day('2026-11-11')).getByRole('link');
    expect(late.textContent).toContain('Notice to the operator: 2 Test Lane');
    expect(late.getAttribute('href')).toBe('/jobs/job-2/route');
    expect(within(day('2026-11-12')).queryByRole('link')).toBeNull();
  });

  it('marks today, and days of other months', () => {
    shown([]);
    expect(day('2026-11-27').getAttribute('aria-current')).toBe('date');
    expect(day('2026-11-26').getAttribute('aria-current')).toBeNull();
    expect(day('2026-12-01').dataset['outside']).toBe('');
    expect(day('2026-11-30').dataset['outside']).toBeUndefined();
  });

  it('shows three of a day, says how many more there are, and leads to all of them', () => {
    const asked: string[] = [];
    shown(
      [1, 2, 3, 4, 5].map((number) => entry(number)),
      (on) => asked.push(on),
    );
    expect(within(day('2026-11-27')).getAllByRole('link')).toHaveLength(3);
    fireEvent.click(within(day('2026-11-27')).getByRole('button', { name: '2 more' }));
    expect(asked).toEqual(['2026-11-27']);
  });
});
