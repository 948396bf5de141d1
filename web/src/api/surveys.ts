import type { Change, Conflict } from '@keen-gauge/core/record/changes';
import type { Survey } from '@keen-gauge/core/survey/survey';
import useSWRInfinite from 'swr/infinite';
import { keepAnswer } from '../offline/answers';
import { askedAheadOrNow } from './ahead';
import { call, fetcher } from './client';

export interface Head {
  readonly survey: Survey;
  readonly revisionId: string;
  readonly seq: number;
}

export interface Saved {
  readonly revisionId: string;
  readonly seq: number;
  readonly survey?: Survey;
}

/** What a refused save brings back. */
export type ConflictAnswer = Head & { readonly conflicts: readonly Conflict[] };

export interface HistoryEntry {
  readonly id: string;
  readonly seq: number;
  readonly person: string;
  readonly madeAt: string;
  readonly changes: readonly Change[];
}

const headPath = (jobId: string): string => `/jobs/${jobId}/survey`;

/** A survey as the server has it now. */
export const readHead = (jobId: string): Promise<Head> => call('GET', headPath(jobId));

/** A survey as the server has it, or as this device does where the server does not answer. */
export const readHeadOrCopy = (jobId: string): Promise<Head> => askedAheadOrNow(headPath(jobId));

/** Keeps what the server is known to have now, for when it does not answer. */
export const keepHead = (jobId: string, head: Head): Promise<void> => keepAnswer(headPath(jobId), head);

export const postRevision = (
  jobId: string,
  revision: { id: string; parentId: string; changes: readonly Change[] },
): Promise<Saved> => call('POST', `/jobs/${jobId}/survey/revisions`, revision);

type HistoryPage = { readonly entries: readonly HistoryEntry[]; readonly more: boolean };

/** A survey's history, newest first, a page at a time. */
export function useHistory(jobId: string) {
  return useSWRInfinite<HistoryPage, Error>((page: number, previous: HistoryPage | null) => {
    if (page === 0) return `/jobs/${jobId}/survey/revisions`;
    return previous?.more ? `/jobs/${jobId}/survey/revisions?before=${previous.entries.at(-1)?.seq ?? 0}` : null;
  }, fetcher);
}
