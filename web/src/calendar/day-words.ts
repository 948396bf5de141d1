const FORMAT = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});

/** A day as people say it: Wed, 25 Nov 2026. */
export function dayWords(day: string): string {
  return FORMAT.format(new Date(`${day}T00:00:00Z`));
}
