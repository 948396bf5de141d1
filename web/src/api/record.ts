import useSWR from 'swr';
import { fetcher } from './client';

/** Who did what, as it was entered when it was done. */
export interface RecordEntry {
  readonly id: number;
  readonly at: string;
  readonly by: string;
  readonly what: string;
  readonly details: Readonly<Record<string, unknown>>;
}

export function useJobRecord(jobId: string) {
  return useSWR<{ entries: RecordEntry[] }, Error>(`/jobs/${jobId}/record`, fetcher);
}

/** What was changed of what the firm sets for itself, newest first. */
export function useFirmRecord() {
  return useSWR<{ entries: RecordEntry[] }, Error>('/firm/record', fetcher);
}

export const FIRM_RECORD_URL = '/api/firm/record/record.csv';
export const recordUrl = (jobId: string): string => `/api/jobs/${jobId}/record/record.csv`;
