import type { RouteWay } from '@keen-gauge/core/route/route';
import useSWR from 'swr';
import { call, fetcher } from './client';

export interface Pack {
  readonly id: string;
  readonly number: number;
  readonly revisionSeq: number;
  readonly route: RouteWay;
  readonly title: string;
  readonly fingerprint: string;
  readonly signedBy: string;
  readonly signedAt: string;
  readonly reason: string | null;
}

export const packNumber = (number: number): string => `P-${String(number).padStart(4, '0')}`;

export function usePacks(jobId: string) {
  return useSWR<{ packs: Pack[] }, Error>(`/jobs/${jobId}/packs`, fetcher);
}

export const signOff = (jobId: string, revisionId: string, reason: string): Promise<Pack> =>
  call('POST', `/jobs/${jobId}/packs`, reason.trim() === '' ? { revisionId } : { revisionId, reason });

/** The words to send a pack with. */
export const coveringMessage = (packId: string): Promise<{ message: string }> =>
  call('GET', `/packs/${packId}/message`);
