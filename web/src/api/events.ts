import type { JobEvent } from '@keen-gauge/core/calendar/job-events';
import type { Nation } from '@keen-gauge/core/survey/words';
import useSWR from 'swr';
import { call, fetcher } from './client';

const of = (jobId: string): string => `/jobs/${jobId}/events`;

/** What happened to a job besides its survey. */
export function useEvents(jobId: string) {
  return useSWR<{ events: JobEvent[] }, Error>(of(jobId), fetcher);
}

export const addEvent = (
  jobId: string,
  { id, kind, day, details }: Pick<JobEvent, 'id' | 'kind' | 'day' | 'details'>,
): Promise<{ events: JobEvent[] }> => call('POST', of(jobId), { id, kind, day, ...details });

export const calendarUrl = (jobId: string): string => `/api/jobs/${jobId}/calendar.ics`;

/** Today in the United Kingdom and the bank holidays of a nation about it. */
export function useHolidays(nation: Nation) {
  return useSWR<{ today: string; holidays: string[] }, Error>(`/holidays/${nation}`, fetcher);
}
