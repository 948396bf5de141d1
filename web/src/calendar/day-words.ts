const FORMAT = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});

const SHORT = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });

/** A day in a list, its year only where that is not this one: Wed, 25 Nov. */
export function shortDayWords(day: string, today = new Date()): string {
  return day.slice(0, 4) === String(today.getFullYear()) ? SHORT.format(new Date(`${day}T00:00:00Z`)) : dayWords(day);
}

/** A day as people say it: Wed, 25 Nov 2026. */
export function dayWords(day: string): string {
  return FORMAT.format(new Date(`${day}T00:00:00Z`));
}
