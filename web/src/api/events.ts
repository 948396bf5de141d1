import type { JobEvent } from '@keen-gauge/core/calendar/job-events';
import type { Nation } from '@keen-gauge/core/survey/words/words';
import useSWR from 'swr';
import { call, fetcher, named, sendFile } from './client';

const of = (jobId: string): string => `/jobs/${jobId}/events`;

/** What happened to a job besides its survey. */
export function useEvents(jobId: string) {
  return useSWR<{ events: JobEvent[] }, Error>(of(jobId), fetcher);
}

export const addEvent = (
  jobId: string,
  { kind, day, details }: Pick<JobEvent, 'kind' | 'day' | 'details'>,
): Promise<{ events: JobEvent[] }> =>
  named(`${of(jobId)} ${kind} ${day} ${JSON.stringify(details)}`, (id) =>
    call('POST', of(jobId), { id, kind, day, ...details }),
  );

const attachments = (jobId: string, eventId: string): string => `${of(jobId)}/${eventId}/attachments`;
export const attachmentUrl = (jobId: string, eventId: string, id: string): string =>
  `/api${attachments(jobId, eventId)}/${id}`;

/** Puts a file with an entry. A saved e-mail has no type of its own in most browsers. */
export function addAttachment(jobId: string, eventId: string, file: File): Promise<{ events: JobEvent[] }> {
  const type = file.type === '' && /\.eml$/i.test(file.name) ? 'message/rfc822' : file.type;
  return sendFile(`${attachments(jobId, eventId)}?name=${encodeURIComponent(file.name)}`, file, type);
}

export const calendarUrl = (jobId: string): string => `/api/jobs/${jobId}/calendar.ics`;

/** Today in the United Kingdom and the bank holidays of a nation about it. */
export function useHolidays(nation: Nation) {
  return useSWR<{ today: string; holidays: string[] }, Error>(`/holidays/${nation}`, fetcher);
}
