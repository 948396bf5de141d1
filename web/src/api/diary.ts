import type { Clock } from '@keen-gauge/core/calendar/clocks';
import useSWR from 'swr';
import { call, fetcher } from './client';

/** A running clock of one of the firm's jobs. */
export interface DiaryEntry extends Clock {
  readonly jobId: string;
  readonly number: number;
  readonly place: string;
}

export function useDiary() {
  return useSWR<{ today: string; entries: DiaryEntry[] }, Error>('/diary', fetcher);
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
