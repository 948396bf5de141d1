import { OPERATOR_ANSWER_NAMES, type AnswerOfOperator } from '@keen-gauge/core/calendar/operator-answers';
import type { JobState } from '@keen-gauge/core/calendar/job-list';
import type { ClockId } from '@keen-gauge/core/calendar/clocks';
import type { RouteWay } from '@keen-gauge/core/route/ways';
import useSWR from 'swr';
import { call, fetcher } from './client';

export interface Job {
  readonly id: string;
  readonly number: number;
  readonly state: JobState;
  readonly place: string;
  readonly wanted: string;
  readonly customer: string | null;
  readonly route: RouteWay;
  readonly nextQuestion: string | null;
  readonly changedAt: string;
  readonly createdBy: string;
  /** What the operator answered last, to what was sent last. */
  readonly answer: AnswerOfOperator | null;
  /** Whoever has it now. */
  readonly assignedTo: { readonly id: string; readonly name: string } | null;
  /** The next day something is due or booked, and what; `late` where what was due has not been done. */
  readonly nextOn: string | null;
  readonly nextWhat: ClockId | null;
  readonly late: boolean;
  readonly archived: boolean;
  /** Answers of the customer that nobody has looked at yet; a copy of before this was told has none. */
  readonly fromCustomer?: number;
  /** How its newest quotation stands; a copy of before this was told says nothing. */
  readonly quotation?: QuotationState | null;
}

/** How a quotation stands. */
export type QuotationState = 'made' | 'sent' | 'accepted' | 'declined' | 'withdrawn' | 'replaced';

export const STATE_WORDS: Readonly<Record<JobState, string>> = {
  'to-survey': 'To survey',
  surveying: 'Surveying',
  'signed-off': 'Signed off',
  'with-operator': 'With the operator',
  answered: 'Answered',
  fitted: 'Fitted',
  closed: 'Closed',
};

/** Where a job stands, an answer by what it says. */
export function stateWords({ state, answer }: Pick<Job, 'state' | 'answer'>): string {
  return state === 'answered' && answer !== null
    ? `Operator: ${OPERATOR_ANSWER_NAMES[answer].toLowerCase()}`
    : STATE_WORDS[state];
}

/** How a job's number is written. */
export const jobNumber = (number: number): string =>
  number === 0 ? 'No number yet' : `KG-${String(number).padStart(4, '0')}`;

export interface JobsFound {
  readonly jobs: readonly Job[];
  readonly total: number;
  /** How many there are of each stage, whichever stage is shown. */
  readonly stages: Partial<Readonly<Record<JobState, number>>>;
}

export function useJob(id: string) {
  return useSWR<Job, Error>(`/jobs/${id}`, fetcher);
}

/** Makes a job; `like` is that of a house like it, which its survey then starts from; `revisionId` names the survey’s first revision. */
export const createJob = (job: {
  id: string;
  place: string;
  wanted: string;
  like?: string;
  revisionId?: string;
}): Promise<Job> => call('POST', '/jobs', job);

/** Gives a job to a person of the firm or to `nobody`; puts it away, or takes it out again. */
export const changeJob = (id: string, change: { assignedTo?: string; archived?: boolean }): Promise<Job> =>
  call('PATCH', `/jobs/${id}`, change);
