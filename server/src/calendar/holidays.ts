import { NATIONS, type Nation } from '@keen-gauge/core/survey/words/words';
import Holidays from 'date-holidays';

const SUBDIVISIONS: Readonly<Record<Nation, string>> = {
  england: 'ENG',
  wales: 'WLS',
  scotland: 'SCT',
  'northern-ireland': 'NIR',
};

const kept = new Map<string, readonly string[]>();

/** The bank holidays of a nation in a year, YYYY-MM-DD, in order. Source: the package date-holidays. */
export function bankHolidays(nation: Nation, year: number): readonly string[] {
  const key = `${nation} ${year}`;
  const found = kept.get(key);
  if (found) return found;
  const days = new Holidays('GB', SUBDIVISIONS[nation])
    .getHolidays(year)
    .filter(({ type }) => type === 'public' || type === 'bank')
    .map(({ date }) => date.slice(0, 10));
  const made = [...new Set(days)].sort();
  kept.set(key, made);
  return made;
}

/** The bank holidays of the years a job’s days can lie in, seen from a day: the last, this and the two after it. */
export function holidaysAbout(nation: Nation, today: string): string[] {
  const year = Number(today.slice(0, 4));
  return [-1, 0, 1, 2].flatMap((ahead) => bankHolidays(nation, year + ahead));
}

export function isNation(value: unknown): value is Nation {
  return (NATIONS as readonly unknown[]).includes(value);
}
