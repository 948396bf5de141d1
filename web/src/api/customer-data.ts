import useSWR from 'swr';
import { call } from './client';

/** An erasure as it stands. */
export interface Erasure {
  readonly askedAt: string;
  readonly askedBy: string | null;
  readonly doneAt: string | null;
  /** Until when signed packs are kept; null where there are none. */
  readonly packsUntil: string | null;
}

interface Answer {
  readonly erasure: Erasure | null;
}

export const useErasure = (jobId: string) =>
  useSWR<Answer, Error>(`/jobs/${jobId}/customer-data`, (path: string) => call<Answer>('GET', path));

export const eraseCustomer = (jobId: string): Promise<Answer> => call('POST', `/jobs/${jobId}/customer-data/erase`);

export const everythingUrl = (jobId: string): string => `/api/jobs/${jobId}/customer-data/everything.zip`;
