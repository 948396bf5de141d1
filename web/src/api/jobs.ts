import { OPERATOR_ANSWER_NAMES, type AnswerOfOperator } from '@keen-gauge/core/calendar/operator-answers';
import type { RouteWay } from '@keen-gauge/core/route/route';
import useSWR from 'swr';
import { call, fetcher } from './client';

export interface Job {
  readonly id: string;
  readonly number: number;
  readonly state: 'to-survey' | 'surveying' | 'signed-off' | 'with-operator' | 'answered' | 'fitted' | 'closed';
  readonly place: string;
  readonly wanted: string;
  readonly route: RouteWay;
  readonly nextQuestion: string | null;
  readonly changedAt: string;
  readonly createdBy: string;
  /** What the operator answered last, to what was sent last. */
  readonly answer: AnswerOfOperator | null;
}

const STATE_WORDS: Readonly<Record<Job['state'], string>> = {
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
export const jobNumber = (number: number): string => `KG-${String(number).padStart(4, '0')}`;

export const JOBS_PAGE = 50;

export function useJobs(search: string, page: number) {
  return useSWR<{ jobs: Job[]; total: number }, Error>(
    `/jobs?search=${encodeURIComponent(search)}&page=${page}`,
    fetcher,
    { keepPreviousData: true },
  );
}

export function useJob(id: string) {
  return useSWR<Job, Error>(`/jobs/${id}`, fetcher);
}

export const createJob = (job: { id: string; place: string; wanted: string }): Promise<Job> =>
  call('POST', '/jobs', job);
