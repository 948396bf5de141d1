import type { JobDays } from './clocks';
import type { Day } from './days';
import type { AnswerOfOperator } from './operator-answers';

/** What can happen to a job besides its survey. */
export const EVENT_KINDS = [
  'survey-booked',
  'fitting-booked',
  'vehicle-arrives',
  'sent',
  'answered',
  'fuse-visit-asked',
  'fuse-visited',
  'unloop-asked',
  'unlooped',
  'commissioned',
  'notice-sent',
  'closed',
  'reopened',
  'withdrawn',
] as const;
export type EventKind = (typeof EVENT_KINDS)[number];

export const EVENT_NAMES: Readonly<Record<EventKind, string>> = {
  'survey-booked': 'Visit to survey booked',
  'fitting-booked': 'Fitting booked',
  'vehicle-arrives': 'The vehicle arrives',
  sent: 'Sent to the operator',
  answered: 'Answered by the operator',
  'fuse-visit-asked': 'Visit to change the fuse asked for',
  'fuse-visited': 'Fuse changed',
  'unloop-asked': 'Un-looping asked for',
  unlooped: 'Un-looped',
  commissioned: 'Commissioned',
  'notice-sent': 'Notice sent to the operator',
  closed: 'Job closed',
  reopened: 'Job opened again',
  withdrawn: 'Withdrawn',
};

/** What an answer may make its condition. */
export const CONDITIONS = ['fuse-visit', 'limit', 'other'] as const;
export type Condition = (typeof CONDITIONS)[number];

export const CONDITION_NAMES: Readonly<Record<Condition, string>> = {
  'fuse-visit': 'A visit to the fuse first',
  limit: 'A limit set and kept',
  other: 'Something else',
};

/** One thing that happened, as it was entered. */
export interface JobEvent {
  readonly id: string;
  readonly kind: EventKind;
  readonly day: Day;
  readonly details: {
    readonly reference?: string;
    readonly answer?: AnswerOfOperator;
    readonly condition?: Condition;
    /** What the new equipment is to be held to, each phase, in amperes. */
    readonly limitA?: number;
    readonly note?: string;
    /** The pack sent, by its number. */
    readonly pack?: string;
    /** It came over the operator's own link; the day the operator wrote on it. */
    readonly overLink?: boolean;
    readonly dated?: Day;
    /** The entry that is withdrawn. */
    readonly withdraws?: string;
  };
  readonly by: string;
  readonly madeAt: string;
  /** What came with it: a letter, an e-mail, a picture of one. */
  readonly attachments?: readonly { readonly id: string; readonly name: string }[];
}

/** The entries that stand: not withdrawn, nor withdrawals themselves. */
export function standing(events: readonly JobEvent[]): readonly JobEvent[] {
  if (!events.some(({ kind }) => kind === 'withdrawn')) return events;
  const gone = new Set(events.flatMap(({ kind, details }) => (kind === 'withdrawn' ? [details.withdraws] : [])));
  return events.filter(({ id, kind }) => kind !== 'withdrawn' && !gone.has(id));
}

/** The days of a job, and what its operator answered. */
export type JobStanding = JobDays & { readonly arrivesOn?: Day };

/** Which day each kind of entry gives. */
const DAY_OF: Readonly<Partial<Record<EventKind, Exclude<keyof JobDays, 'answer'> | 'arrivesOn'>>> = {
  'survey-booked': 'surveyBookedOn',
  'fitting-booked': 'fittingBookedOn',
  'vehicle-arrives': 'arrivesOn',
  sent: 'sentOn',
  answered: 'answeredOn',
  'fuse-visit-asked': 'fuseVisitAskedOn',
  'fuse-visited': 'fuseVisitedOn',
  'unloop-asked': 'unloopAskedOn',
  unlooped: 'unloopedOn',
  commissioned: 'commissionedOn',
  'notice-sent': 'noticeSentOn',
};

/**
 * The days of a job from what happened, the newest entry of each kind; an answer to what was sent before counts no more. One pass: a
 * diary asks it of thousands of jobs.
 */
export function daysOf(events: readonly JobEvent[]): JobStanding {
  const days: { -readonly [K in keyof JobStanding]: JobStanding[K] } = {};
  let condition: { readonly is: Condition | undefined; readonly on: Day } | undefined;
  for (const { kind, day, details } of standing(events)) {
    const name = DAY_OF[kind];
    if (name !== undefined) days[name] = day;
    if (kind === 'answered') {
      if (details.answer !== undefined) days.answer = details.answer;
      condition = { is: details.condition, on: day };
    }
    if (kind === 'sent') {
      delete days.answeredOn;
      delete days.answer;
      condition = undefined;
    }
  }
  // An answer that makes a visit its condition has the visit asked for.
  if (condition?.is === 'fuse-visit') days.fuseVisitAskedOn ??= condition.on;
  return days;
}

/** How far a job has come with its operator, from what happened after it was signed; null while nothing has. */
export type Stage = 'with-operator' | 'answered' | 'fitted' | 'closed';

/** The stage the newest entries put a job in. A pack signed after an answer puts it back to signed off, which is not said here. */
export function stageOf(events: readonly JobEvent[]): Stage | null {
  const kinds = standing(events).map(({ kind }) => kind);
  if (kinds.lastIndexOf('closed') > kinds.lastIndexOf('reopened')) return 'closed';
  if (kinds.includes('commissioned')) return 'fitted';
  const [sent, answered] = [kinds.lastIndexOf('sent'), kinds.lastIndexOf('answered')];
  if (answered > sent) return 'answered';
  return sent >= 0 ? 'with-operator' : null;
}
