import { CLOCK_TITLES, clockState, type Clock, type ClockId } from '@keen-gauge/core/calendar/clocks';
import useSWR from 'swr';
import { call, fetcher } from './client';

/** A running clock of one of the firm's jobs. */
export interface DiaryEntry extends Clock {
  readonly jobId: string;
  readonly number: number;
  readonly place: string;
}

/** As it is sent: each job once, each entry by its job’s place in the list. */
interface SentDiary {
  readonly today: string;
  readonly jobs: readonly { readonly id: string; readonly number: number; readonly place: string }[];
  readonly entries: readonly (readonly [job: number, id: ClockId, fromOn: string, dueOn: string])[];
}

export function useDiary() {
  return useSWR<{ today: string; entries: DiaryEntry[] }, Error>('/diary', async (path: string) => {
    const { today, jobs, entries } = await fetcher<SentDiary>(path);
    return {
      today,
      entries: entries.flatMap(([at, id, fromOn, dueOn]) => {
        const job = jobs[at];
        if (!job) return [];
        const { id: jobId, number, place } = job;
        return [{ jobId, number, place, id, title: CLOCK_TITLES[id], fromOn, dueOn, state: clockState(dueOn, today) }];
      }),
    };
  });
}

/** An address calendars subscribe to; the address itself is shown once. */
export interface Feed {
  readonly id: string;
  readonly madeBy: string;
  readonly madeAt: string;
}

export function useFeeds() {
  return useSWR<{ feeds: Feed[] }, Error>('/diary/feeds', fetcher);
}

export const makeFeed = (): Promise<{ path: string }> => call('POST', '/diary/feeds', {});
export const revokeFeed = (id: string): Promise<void> => call('DELETE', `/diary/feeds/${id}`);
