import { NATIONS, type Nation } from '@keen-gauge/core/survey/words';
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

export function isNation(value: unknown): value is Nation {
  return (NATIONS as readonly unknown[]).includes(value);
}
