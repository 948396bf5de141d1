import type { RouteWay } from '../route/ways';
import type { Rules } from '../rules/rules';
import { addDays, addWorkingDays, type Day } from './days';

/** One step of the way to the vehicle's arrival: the latest day for it, and the earliest it can still be. */
export interface PlanStep {
  readonly id: 'survey' | 'send' | 'reply' | 'visit' | 'fit' | 'arrives';
  readonly title: string;
  /** The latest day at which everything after it is still in time. */
  readonly latestOn: Day;
  /** The day it can be from today on; or the day it was done. */
  readonly earliestOn: Day;
  readonly done: boolean;
  /** It cannot be by its latest day any more. */
  readonly late: boolean;
}

export interface BackPlan {
  readonly steps: readonly PlanStep[];
  /** The vehicle cannot be charged on the day it arrives; the day from which it can. */
  readonly readyOn: Day;
  readonly inTime: boolean;
}

/** What is known of a job when its days are counted back. */
export interface PlanFacts {
  readonly arrivesOn: Day;
  readonly today: Day;
  readonly route: RouteWay;
  /** Weeks the operator needs on top of its reply: a fuse changed, a service un-looped. */
  readonly visitWeeks: number;
  readonly surveyedOn?: Day | undefined;
  readonly sentOn?: Day | undefined;
  readonly answeredOn?: Day | undefined;
  readonly visitedOn?: Day | undefined;
  readonly fittedOn?: Day | undefined;
}

/** Working days between the survey and sending, and from everything being settled to the fitting. House rule. */
export const OWN_DAYS = { toSend: 1, toFit: 2 } as const;

/**
 * Counted back from the vehicle's arrival, and forward from today, so that each step has a latest and an earliest day. Where the
 * operator is asked first its reply, and any visit after it, stand between survey and fitting.
 */
export function backPlan(facts: PlanFacts, holidays: ReadonlySet<Day>, rules: Rules): BackPlan {
  const asks = facts.route !== 'fit-then-notify';
  const reply = rules.replyWorkingDays.value;
  const listed = [
    { id: 'survey' as const, title: 'Survey', doneOn: facts.surveyedOn, takes: working(0) },
    ...(asks
      ? [
          { id: 'send' as const, title: 'Send the application', doneOn: facts.sentOn, takes: working(OWN_DAYS.toSend) },
          { id: 'reply' as const, title: 'Operator’s reply', doneOn: facts.answeredOn, takes: working(reply) },
        ]
      : []),
    ...(facts.visitWeeks > 0
      ? [{ id: 'visit' as const, title: 'Operator’s work', doneOn: facts.visitedOn, takes: weeks(facts.visitWeeks) }]
      : []),
    { id: 'fit' as const, title: 'Fit and commission', doneOn: facts.fittedOn, takes: working(OWN_DAYS.toFit) },
    { id: 'arrives' as const, title: 'The vehicle arrives', doneOn: undefined, takes: working(0) },
  ];
  // What was done by a later day at the latest was done: nobody sends what was not surveyed.
  const kinds = listed.map((step, index) => ({
    ...step,
    doneOn: step.doneOn ?? listed.slice(index + 1).find(({ doneOn }) => doneOn !== undefined)?.doneOn,
  }));

  // Forward: each step as soon after the one before as it can be, from today where it is not done.
  let at = facts.today;
  const earliest = kinds.map(({ id, doneOn, takes }) => {
    if (id === 'arrives') return facts.arrivesOn;
    if (doneOn !== undefined) return (at = doneOn);
    const soonest = takes.after(at < facts.today && id === 'survey' ? facts.today : at, holidays);
    return (at = soonest < facts.today ? facts.today : soonest);
  });
  const readyOn = earliest[kinds.length - 2] ?? facts.today;

  // Backward: the fitting by the working day before the arrival, each step before it by so much earlier.
  const latest: Day[] = [];
  let next = facts.arrivesOn;
  for (let index = kinds.length - 1; index >= 0; index -= 1) {
    const step = kinds[index];
    const after = kinds[index + 1];
    if (!step) continue;
    if (step.id !== 'arrives')
      next =
        after?.id === 'arrives' ? addWorkingDays(next, -1, holidays) : (after?.takes.before(next, holidays) ?? next);
    latest[index] = next;
  }
  const steps = kinds.map(({ id, title, doneOn }, index): PlanStep => {
    const [latestOn, earliestOn] = [latest[index] ?? facts.arrivesOn, earliest[index] ?? facts.today];
    return {
      id,
      title,
      latestOn,
      earliestOn,
      done: doneOn !== undefined,
      late: id !== 'arrives' && earliestOn > latestOn,
    };
  });
  return { steps, readyOn, inTime: readyOn < facts.arrivesOn };
}

/** How long a step takes after the one before it, counted forwards and backwards. */
interface Takes {
  readonly after: (day: Day, holidays: ReadonlySet<Day>) => Day;
  readonly before: (day: Day, holidays: ReadonlySet<Day>) => Day;
}

function working(days: number): Takes {
  return {
    after: (day, holidays) => addWorkingDays(day, days, holidays),
    before: (day, holidays) => (days === 0 ? day : addWorkingDays(day, -days, holidays)),
  };
}

function weeks(count: number): Takes {
  return {
    after: (day, holidays) => addWorkingDays(addDays(day, 7 * count), 0, holidays),
    before: (day, holidays) => addWorkingDays(addDays(day, -7 * count + 1), -1, holidays),
  };
}
