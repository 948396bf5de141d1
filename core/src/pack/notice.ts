import { addDays, type Day } from '../calendar/days';
import type { Rules } from '../rules/rules';

/** When a notice of what was commissioned has to be with the operator, and whether that has passed: said as it is. */
export function noticeWords(
  commissionedOn: Day,
  today: Day,
  { noticeWithinDays }: Pick<Rules, 'noticeWithinDays'>,
): string {
  const { value: days } = noticeWithinDays;
  const dueOn = addDays(commissionedOn, days);
  const done = `It was commissioned on ${commissionedOn}`;
  return today > dueOn
    ? `${done}. This notice is late: it was due within ${days} days, by ${dueOn}.`
    : `${done}. This notice is due within ${days} days, by ${dueOn}.`;
}
