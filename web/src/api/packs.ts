import type { PackChange } from '@keen-gauge/core/pack/changes';
import type { Signature } from '@keen-gauge/core/pack/signature';
import type { RouteWay } from '@keen-gauge/core/route/route';
import useSWR from 'swr';
import useSWRImmutable from 'swr/immutable';
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

export const signOff = (
  jobId: string,
  revisionId: string,
  reason: string,
  signature: Signature | null,
): Promise<Pack> =>
  call('POST', `/jobs/${jobId}/packs`, {
    revisionId,
    ...(reason.trim() === '' ? {} : { reason }),
    ...(signature ? { signature } : {}),
  });

/** The words to send a pack with, and what it says differently from the one before. */
export interface PackMessage {
  readonly message: string;
  readonly changed: { readonly since: string; readonly lines: readonly PackChange[] } | null;
}

/** A pack never changes: what is known of it is known. */
export function usePackMessage(packId: string) {
  return useSWRImmutable<PackMessage, Error>(`/packs/${packId}/message`, fetcher);
}

/** The words to send a pack with. */
export const coveringMessage = (packId: string): Promise<PackMessage> => call('GET', `/packs/${packId}/message`);
