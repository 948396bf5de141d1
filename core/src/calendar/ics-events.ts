import type { RouteWay } from '../route/ways';
import type { Rules } from '../rules/rules';
import { clocksOf, type Clock, type JobDays } from './clocks';
import type { Day } from './days';

/** One entry of a calendar: a whole day, under an id that stays the same however often it is written. */
export interface CalendarEntry {
  readonly uid: string;
  readonly day: Day;
  readonly title: string;
  readonly about: string;
}

/** The clocks of a job that are still running, as entries of a calendar. */
export function clockEntries(
  job: { readonly id: string; readonly number: string; readonly place: string },
  clocks: readonly Clock[],
): CalendarEntry[] {
  return clocks
    .filter(({ state }) => state !== 'done')
    .map(({ id, title, dueOn, fromOn }) => ({
      uid: `${id}-${job.id}@keen-gauge`,
      day: dueOn,
      title: `${job.number} ${job.place}: ${title}`,
      about: `${title}, counted from ${fromOn}.`,
    }));
}

/**
 * The days that go with a pack: when it was signed and has to be sent; the clocks that run already; and for an application when the reply is
 * due if it is sent the day it was signed.
 */
export function packEntries(
  pack: string,
  job: { readonly id: string; readonly number: number; readonly place: string },
  route: RouteWay,
  rules: Rules,
  days: JobDays,
  today: Day,
  holidays: ReadonlySet<Day>,
): CalendarEntry[] {
  const of = { id: job.id, number: pack, place: job.place };
  const sent = route === 'ask-then-fit' && days.sentOn === undefined ? { ...days, sentOn: today } : days;
  return [
    {
      uid: `signed-${pack}-${job.id}@keen-gauge`,
      day: today,
      title: `${pack} ${job.place}: ${route === 'hold' ? 'phone the operator' : 'send it to the operator'}`,
      about: `${pack} was signed this day.`,
    },
    ...clockEntries(of, clocksOf(sent, today, holidays, rules)),
  ];
}
