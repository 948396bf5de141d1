/**
 * Days of the calendar as text, YYYY-MM-DD, reckoned without hours: a day has no clock, so no change of clocks can move it.
 * What is a holiday is told from outside: it differs by nation and changes by proclamation.
 */
export type Day = string;

const DAY_MS = 86_400_000;

/** Whether a text is a day there is: 29 February only in a leap year. */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const at = Date.parse(`${text}T00:00:00Z`);
  return Number.isFinite(at) && new Date(at).toISOString().slice(0, 10) === text;
}

function numberOf(day: Day): number {
  return Math.round(Date.parse(`${day}T00:00:00Z`) / DAY_MS);
}

function dayOf(number: number): Day {
  return new Date(number * DAY_MS).toISOString().slice(0, 10);
}

/** For sorting: the earlier first. Days as text compare as they stand, and much faster than as words do. */
export function byDay(a: Day, b: Day): number {
  return a < b ? -1 : a > b ? 1 : 0;
}

/** So many days later, or earlier. */
export function addDays(day: Day, days: number): Day {
  return dayOf(numberOf(day) + days);
}

/** Days from one to another; negative where the second is the earlier. */
export function daysBetween(from: Day, to: Day): number {
  return numberOf(to) - numberOf(from);
}

/** 0 for Sunday to 6 for Saturday. */
export function weekday(day: Day): number {
  return weekdayOf(numberOf(day));
}

/** 1 January 1970 was a Thursday. */
function weekdayOf(number: number): number {
  return (((number + 4) % 7) + 7) % 7;
}

/** The Monday of the week a day lies in. */
export function mondayOf(day: Day): Day {
  return addDays(day, -((weekday(day) + 6) % 7));
}

/** Neither Saturday, Sunday nor a holiday of the nation. */
export function isWorkingDay(day: Day, holidays: ReadonlySet<Day>): boolean {
  return weekday(day) % 6 !== 0 && !holidays.has(day);
}

/**
 * So many working days after a day, the day itself not counted; negative counts back. None at all gives the day itself where it
 * is a working day, else the next one.
 */
export function addWorkingDays(day: Day, days: number, holidays: ReadonlySet<Day>): Day {
  const { closed, counted } = countingWith(holidays);
  const asked = `${day} ${days}`;
  const known = counted.get(asked);
  if (known !== undefined) return known;
  const works = (number: number): boolean => weekdayOf(number) % 6 !== 0 && !closed.has(number);
  const step = days < 0 ? -1 : 1;
  let at = numberOf(day);
  if (days === 0) while (!works(at)) at += 1;
  for (let left = Math.abs(days); left > 0;) {
    at += step;
    if (works(at)) left -= 1;
  }
  const found = dayOf(at);
  if (counted.size < MOST_COUNTED) counted.set(asked, found);
  return found;
}

/** Holidays as numbers and what was counted with them, kept by the set they came in: a diary counts the same days thousands of times. */
interface Counting {
  readonly closed: ReadonlySet<number>;
  readonly counted: Map<string, Day>;
}
const kept = new WeakMap<ReadonlySet<Day>, Counting>();
const MOST_COUNTED = 5000;

function countingWith(holidays: ReadonlySet<Day>): Counting {
  const found = kept.get(holidays);
  if (found) return found;
  const made = { closed: new Set([...holidays].map(numberOf)), counted: new Map<string, Day>() };
  kept.set(holidays, made);
  return made;
}

/** The day in the United Kingdom at a moment. Universal time is an hour behind from the last Sunday of March to that of October. */
export function ukDay(moment: Date): Day {
  return new Intl.DateTimeFormat('en-CA', {
    timeZone: 'Europe/London',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).format(moment);
}
