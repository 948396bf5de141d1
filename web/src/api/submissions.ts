import { call, named } from './client';
import { usePolled } from './use-polled';

export interface Conversation {
  readonly id: string;
  readonly packId: string;
  readonly packNumber: number;
  readonly state: 'waiting' | 'handed-in' | 'answered' | 'returned' | 'stopped';
  readonly attempts: number;
  readonly answered: boolean;
  readonly reference: string | null;
  readonly askedBy: string;
  readonly askedAt: string;
  readonly messages: readonly {
    readonly at: string;
    readonly direction: 'out' | 'in' | 'trouble';
    readonly says: string;
  }[];
}

export interface Conversations {
  /** The packs with a link to the operator of their area; answers kept by an earlier version have none. */
  readonly linkedPackIds?: readonly string[];
  readonly conversations: readonly Conversation[];
}

const of = (jobId: string): string => `/jobs/${jobId}/submissions`;
const QUICK_MS = 2000;
const SLOW_MS = 30_000;

/** What was handed in of a job and what came back; looked at often while something is under way. */
export function useConversations(jobId: string) {
  return usePolled<Conversations>(of(jobId), ({ conversations }) =>
    conversations.some(({ state }) => state === 'waiting' || state === 'handed-in') ? QUICK_MS : SLOW_MS,
  );
}

/** Hands a pack in; a reason where the survey has moved on since it was signed. */
export const handIn = (jobId: string, packId: string, reason: string): Promise<Conversations> =>
  named(`${of(jobId)} ${packId}`, (id) =>
    call('POST', of(jobId), { id, packId, ...(reason.trim() === '' ? {} : { reason }) }),
  );
export const stopHandingIn = (jobId: string, id: string): Promise<Conversations> =>
  call('POST', `${of(jobId)}/${id}/stop`);
