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
}

export const STATE_WORDS: Readonly<Record<Job['state'], string>> = {
  'to-survey': 'To survey',
  surveying: 'Surveying',
  'signed-off': 'Signed off',
  'with-operator': 'With the operator',
  answered: 'Answered',
  fitted: 'Fitted',
  closed: 'Closed',
};

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
