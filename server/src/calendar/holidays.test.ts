import { addWorkingDays } from '@keen-gauge/core/calendar/days';
import { bankHolidays } from './holidays';
import { icsOf } from './ics';

describe('bank holidays by nation', () => {
  it.each([
    // Easter Sunday 2026 is 5 April; 26 December is a Saturday, so Monday 28 stands for it.
    [
      'england',
      2026,
      ['2026-01-01', '2026-04-03', '2026-04-06', '2026-05-04', '2026-05-25', '2026-08-31', '2026-12-25', '2026-12-28'],
    ],
    [
      'wales',
      2026,
      ['2026-01-01', '2026-04-03', '2026-04-06', '2026-05-04', '2026-05-25', '2026-08-31', '2026-12-25', '2026-12-28'],
    ],
  ] as const)('%s in %s', (nation, year, expected) => {
    expect(bankHolidays(nation, year)).toEqual(expect.arrayContaining([...expected]));
  });
  it('Scotland has 2 January, the first Monday of August and St Andrew’s Day, and no Easter Monday', () => {
    const found = bankHolidays('scotland', 2026);
    expect(found).toEqual(expect.arrayContaining(['2026-01-02', '2026-08-03', '2026-11-30']));
    expect(found).not.toContain('2026-04-06');
    expect(found).not.toContain('2026-08-31');
  });
  it('Northern Ireland has St Patrick’s Day and the Twelfth, in 2026 on Monday the 13th', () => {
    expect(bankHolidays('northern-ireland', 2026)).toEqual(expect.arrayContaining(['2026-03-17', '2026-07-13']));
    expect(bankHolidays('england', 2026)).not.toContain('2026-03-17');
  });
  it('ten working days from Thursday 26 March 2026: in England 13 April, over both Easter days; in Scotland the 10th, over Good Friday alone', () => {
    const over = (nation: 'england' | 'scotland') =>
      addWorkingDays('2026-03-26', 10, new Set(bankHolidays(nation, 2026)));
    // 27, 30, 31 March, 1, 2, 7, 8, 9, 10, 13 April; in Scotland 6 April counts.
    expect(over('england')).toBe('2026-04-13');
    expect(over('scotland')).toBe('2026-04-10');
  });
});

describe('a calendar file', () => {
  it('has whole days under ids that stay, and nothing of an entry breaks out of its line', () => {
    const text = icsOf([{ uid: 'reply-j@keen-gauge', day: '2028-02-29', title: 'A; b, c\nEND:VEVENT', about: 'x' }]);
    expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
    expect(text).toContain('UID:reply-j@keen-gauge');
    expect(text).toContain('DTSTART;VALUE=DATE:20280229');
    expect(text).toContain('DTEND;VALUE=DATE:20280301');
    expect(text.match(/^END:VEVENT/gm)).toHaveLength(1);
  });
});
