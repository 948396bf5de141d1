import type { Rules } from '../rules/rules';
import type { AnswerOfOperator } from './operator-answers';
import { addDays, addWorkingDays, byDay, type Day } from './days';

/** Answers after which nothing goes on by itself. */
const STOPS: readonly AnswerOfOperator[] = ['refused', 'asks-for-more', 'un-loop-first'];

/** The days a job has had so far; what has not happened is left out. */
export interface JobDays {
  /** The day a visit is booked for: to survey, to fit. */
  readonly surveyBookedOn?: Day | undefined;
  readonly fittingBookedOn?: Day | undefined;
  /** Sent to the operator, and answered. */
  readonly sentOn?: Day | undefined;
  readonly answeredOn?: Day | undefined;
  /** Asked for: a visit to change the fuse, an un-looping. And done. */
  readonly fuseVisitAskedOn?: Day | undefined;
  readonly fuseVisitedOn?: Day | undefined;
  readonly unloopAskedOn?: Day | undefined;
  readonly unloopedOn?: Day | undefined;
  readonly commissionedOn?: Day | undefined;
  readonly noticeSentOn?: Day | undefined;
  /** What was answered to what was sent last. */
  readonly answer?: AnswerOfOperator | undefined;
}

export const CLOCKS = [
  'survey-visit',
  'fitting-visit',
  'reply',
  'chase',
  'answer',
  'fuse-visit',
  'un-loop',
  'notice',
] as const;
export type ClockId = (typeof CLOCKS)[number];

export const CLOCK_TITLES: Readonly<Record<ClockId, string>> = {
  'survey-visit': 'Visit to survey',
  'fitting-visit': 'Fitting',
  reply: 'Operator’s reply',
  chase: 'Ask the operator where it is',
  answer: 'Operator’s answer to act on',
  'fuse-visit': 'Visit to change the fuse',
  'un-loop': 'Un-looping',
  notice: 'Notice to the operator',
};

/** Appointments: kept on their day, and nothing is late after it. */
export const VISITS: readonly ClockId[] = ['survey-visit', 'fitting-visit'];

/** How a clock stands on a day. */
export function clockState(dueOn: Day, today: Day): 'running' | 'today' | 'late' {
  return dueOn < today ? 'late' : dueOn === today ? 'today' : 'running';
}

/** One clock a job runs: from when, until when, and how it stands today. */
export interface Clock {
  readonly id: ClockId;
  readonly title: string;
  readonly fromOn: Day;
  readonly dueOn: Day;
  readonly state: 'running' | 'today' | 'late' | 'done';
  readonly doneOn?: Day | undefined;
}

/** Every clock a job runs, soonest first, those done last. Periods are the rules’; holidays the nation's. */
export function clocksOf(days: JobDays, today: Day, holidays: ReadonlySet<Day>, rules: Rules): Clock[] {
  const clocks: Clock[] = [];
  const run = (id: ClockId, fromOn: Day | undefined, dueOn: (from: Day) => Day, doneOn?: Day): void => {
    if (fromOn === undefined) return;
    const due = dueOn(fromOn);
    const state = doneOn !== undefined ? 'done' : clockState(due, today);
    clocks.push({ id, title: CLOCK_TITLES[id], fromOn, dueOn: due, state, doneOn });
  };
  const meet = (id: ClockId, on: Day | undefined): void => {
    if (on === undefined) return;
    const state = on < today ? 'done' : clockState(on, today);
    clocks.push({
      id,
      title: CLOCK_TITLES[id],
      fromOn: on,
      dueOn: on,
      state,
      ...(state === 'done' ? { doneOn: on } : {}),
    });
  };
  meet('survey-visit', days.surveyBookedOn);
  meet('fitting-visit', days.fittingBookedOn);
  const { value: replyDays } = rules.replyWorkingDays;
  run('reply', days.sentOn, (from) => addWorkingDays(from, replyDays, holidays), days.answeredOn);
  // A reply that is late is asked after on the next working day.
  if (days.answeredOn === undefined) run('chase', days.sentOn, (from) => addWorkingDays(from, replyDays + 1, holidays));
  // An answer that stops the job waits for nobody but the firm.
  if (days.commissionedOn === undefined && STOPS.includes(days.answer ?? 'accepted'))
    run('answer', days.answeredOn, (from) => addWorkingDays(from, 1, holidays));
  const weeks = (option: 'fuse-upgrade' | 'un-loop') => (from: Day) =>
    addDays(from, 7 * rules.optionTerms.value[option].waitWeeks[1]);
  run('fuse-visit', days.fuseVisitAskedOn, weeks('fuse-upgrade'), days.fuseVisitedOn);
  run('un-loop', days.unloopAskedOn, weeks('un-loop'), days.unloopedOn);
  run('notice', days.commissionedOn, (from) => addDays(from, rules.noticeWithinDays.value), days.noticeSentOn);
  return clocks.sort((a, b) => Number(a.state === 'done') - Number(b.state === 'done') || byDay(a.dueOn, b.dueOn));
}
