import { addDays } from '@keen-gauge/core/calendar/days';
import { fc } from '@keen-gauge/core/testing/laws';
import { monthOf, monthsOn, weekOf } from './grid';

const day = fc
  .date({ min: new Date('1990-01-01'), max: new Date('2090-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));

describe('the days of a grid', () => {
  it('a month is whole weeks from a Monday, without a gap, with every day of it and never a week without one', () => {
    fc.assert(
      fc.property(day, (on) => {
        const days = monthOf(on);
        expect(days.length % 7).toBe(0);
        expect(new Date(`${days[0] ?? ''}T00:00:00Z`).getUTCDay()).toBe(1);
        days.slice(1).forEach((each, at) => expect(each).toBe(addDays(days[at] ?? '', 1)));
        expect(days).toContain(on);
        for (let at = 0; at < days.length; at += 7)
          expect(days.slice(at, at + 7).some((each) => each.startsWith(on.slice(0, 7)))).toBe(true);
      }),
    );
  });

  it('November 2026: from Monday 26 October to Sunday 6 December, six weeks', () => {
    const days = monthOf('2026-11-27');
    expect([days[0], days.at(-1), days.length]).toEqual(['2026-10-26', '2026-12-06', 42]);
    expect(weekOf('2026-11-27')).toEqual([
      '2026-11-23',
      '2026-11-24',
      '2026-11-25',
      '2026-11-26',
      '2026-11-27',
      '2026-11-28',
      '2026-11-29',
    ]);
  });

  it('a month on from the 31st is the last of a shorter month; there and back is the same month', () => {
    expect(monthsOn('2027-01-31', 1)).toBe('2027-02-28');
    expect(monthsOn('2026-12-15', 1)).toBe('2027-01-15');
    fc.assert(
      fc.property(day, fc.integer({ min: -30, max: 30 }), (on, months) => {
        expect(monthsOn(monthsOn(on, months), -months).slice(0, 7)).toBe(on.slice(0, 7));
      }),
    );
  });
});
