import type { JobDays } from './clocks';
import type { Day } from './days';

/** What can happen to a job besides its survey. */
export const EVENT_KINDS = [
  'vehicle-arrives',
  'sent',
  'answered',
  'fuse-visit-asked',
  'fuse-visited',
  'unloop-asked',
  'unlooped',
  'commissioned',
  'notice-sent',
  'withdrawn',
] as const;
export type EventKind = (typeof EVENT_KINDS)[number];

export const EVENT_NAMES: Readonly<Record<EventKind, string>> = {
  'vehicle-arrives': 'The vehicle arrives',
  sent: 'Sent to the operator',
  answered: 'Answered by the operator',
  'fuse-visit-asked': 'Visit to change the fuse asked for',
  'fuse-visited': 'Fuse changed',
  'unloop-asked': 'Un-looping asked for',
  unlooped: 'Un-looped',
  commissioned: 'Commissioned',
  'notice-sent': 'Notice sent to the operator',
  withdrawn: 'Withdrawn',
};

/** What an operator may answer. */
export const ANSWERS_OF_OPERATOR = ['accepted', 'accepted-if', 'asks-for-more', 'un-loop-first', 'refused'] as const;
export type AnswerOfOperator = (typeof ANSWERS_OF_OPERATOR)[number];

export const OPERATOR_ANSWER_NAMES: Readonly<Record<AnswerOfOperator, string>> = {
  accepted: 'Accepted',
  'accepted-if': 'Accepted on a condition',
  'asks-for-more': 'Asks for more',
  'un-loop-first': 'Un-loop first',
  refused: 'Refused',
};

/** What each answer makes the job's next step. */
export const NEXT_STEPS: Readonly<Record<AnswerOfOperator, string>> = {
  accepted: 'Fit and commission; then send the notice in time.',
  'accepted-if': 'See to the condition first: a visit to the fuse, a limit set and recorded. Then fit.',
  'asks-for-more': 'Find out what is asked for, sign off again and send the new pack.',
  'un-loop-first': 'Ask for the un-looping; nothing is connected before it is done.',
  refused: 'Look at the options again with the reason given; nothing is connected.',
};

/** One thing that happened, as it was entered. */
export interface JobEvent {
  readonly id: string;
  readonly kind: EventKind;
  readonly day: Day;
  readonly details: {
    readonly reference?: string;
    readonly answer?: AnswerOfOperator;
    readonly note?: string;
    /** The entry that is withdrawn. */
    readonly withdraws?: string;
  };
  readonly by: string;
  readonly madeAt: string;
}

/** The entries that stand: not withdrawn, nor withdrawals themselves. */
export function standing(events: readonly JobEvent[]): JobEvent[] {
  const gone = new Set(events.flatMap(({ kind, details }) => (kind === 'withdrawn' ? [details.withdraws] : [])));
  return events.filter(({ id, kind }) => kind !== 'withdrawn' && !gone.has(id));
}

/** The days of a job from what happened, the newest entry of each kind; an answer to what was sent before counts no more. */
export function daysOf(
  events: readonly JobEvent[],
): JobDays & { readonly arrivesOn?: Day; readonly answer?: AnswerOfOperator } {
  const found = standing(events);
  const last = (kind: EventKind): JobEvent | undefined => found.filter((each) => each.kind === kind).at(-1);
  const sent = last('sent');
  const answered = last('answered');
  const answers = answered && (!sent || found.indexOf(answered) > found.indexOf(sent)) ? answered : undefined;
  const of = (kind: EventKind): Day | undefined => last(kind)?.day;
  return {
    ...given('arrivesOn', of('vehicle-arrives')),
    ...given('sentOn', sent?.day),
    ...given('answeredOn', answers?.day),
    ...given('answer', answers?.details.answer),
    ...given('fuseVisitAskedOn', of('fuse-visit-asked')),
    ...given('fuseVisitedOn', of('fuse-visited')),
    ...given('unloopAskedOn', of('unloop-asked')),
    ...given('unloopedOn', of('unlooped')),
    ...given('commissionedOn', of('commissioned')),
    ...given('noticeSentOn', of('notice-sent')),
  };
}

function given<K extends string, T>(key: K, value: T | undefined): { [P in K]?: T } {
  return (value === undefined ? {} : { [key]: value }) as { [P in K]?: T };
}
