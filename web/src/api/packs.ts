import type { PackChange } from '@keen-gauge/core/pack/changes';
import type { Signature } from '@keen-gauge/core/pack/signature';
import type { RouteWay } from '@keen-gauge/core/route/ways';
import useSWR from 'swr';
import useSWRImmutable from 'swr/immutable';
import { call, fetcher } from './client';
import { usePolled } from './use-polled';

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
  /** The supply that it is of, where it is of one of several. */
  readonly supplyId?: string | null;
  /** What the supply is called that it is of, where it is of one of several; answers kept by an earlier version have none. */
  readonly supplyName?: string | null;
  /** Its document and archive have been made. */
  readonly made: boolean;
}

export const packNumber = (number: number): string => `P-${String(number).padStart(4, '0')}`;

export function usePacks(jobId: string) {
  // Looked at often while a document is being made.
  return usePolled<{ packs: Pack[] }>(`/jobs/${jobId}/packs`, ({ packs }) =>
    packs.some(({ made }) => !made) ? 600 : 0,
  );
}

/** Why a pack is signed although something is open: one reason for each question of safety, by its key, and one for the rest. */
export interface SigningReasons {
  readonly reason: string;
  readonly reasons: readonly { readonly key: string; readonly reason: string }[];
}

/** Signs a survey off under an id made beforehand: sent again after its answer was lost, it is still one pack. */
export const signOff = (
  jobId: string,
  {
    id,
    revisionId,
    supplyId,
  }: { readonly id: string; readonly revisionId: string; readonly supplyId?: string | undefined },
  { reason, reasons }: SigningReasons,
  signature: Signature | null,
  signedThere?: { readonly at: string; readonly fingerprint: string; readonly photos: readonly string[] },
): Promise<Pack> =>
  call('POST', `/jobs/${jobId}/packs`, {
    id,
    revisionId,
    ...(supplyId === undefined ? {} : { supplyId }),
    ...(reason.trim() === '' ? {} : { reason }),
    ...(reasons.length === 0 ? {} : { reasons }),
    ...(signature ? { signature } : {}),
    ...(signedThere ? { signedThere } : {}),
  });

/** The newest pack, where the survey has moved on since it was signed, and what is different. */
export interface SincePack {
  readonly since: { readonly packId: string; readonly number: number; readonly lines: readonly PackChange[] } | null;
}

/** Of the whole survey or of one supply; asked anew with every revision of the survey that is saved. */
export function useSincePack(jobId: string, revisionId: string | undefined, supplyId: string | null = null) {
  const path = `/jobs/${jobId}/packs/since${supplyId === null ? '' : `?supply=${encodeURIComponent(supplyId)}`}`;
  return useSWR<SincePack, Error>([path, revisionId], ([asked]: readonly [string]) => fetcher(asked));
}

/** Of packs that are listed newest first, the newest of the whole survey and of each supply. */
export function newestOfEach(packs: readonly Pack[]): Pack[] {
  const ofWhat = ({ supplyId = null }: Pack): string | null => supplyId;
  return packs.filter((pack, at) => packs.findIndex((each) => ofWhat(each) === ofWhat(pack)) === at);
}

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
