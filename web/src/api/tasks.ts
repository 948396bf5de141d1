import useSWR from 'swr';
import { call, fetcher } from './client';

/** Work in the background that has failed often. */
export interface StuckTask {
  readonly id: string;
  readonly kind:
    | 'erase'
    | 'hand-in'
    | 'make-pack'
    | 'print-picture'
    | 'remind'
    | 'resummarise'
    | 'retain'
    | 'send-mail'
    | 'write-diary';
  readonly attempts: number;
  readonly trouble: string | null;
  readonly stuckAt: string;
  readonly nextAt: string;
}

/** The firm's stuck work, for its supervisors; nobody else is asked. */
export function useStuckTasks(isSupervisor: boolean) {
  return useSWR<{ tasks: StuckTask[] }, Error>(isSupervisor ? '/firm/tasks' : null, fetcher, {
    refreshInterval: 10_000,
  });
}

export const tryTaskAgain = (id: string): Promise<{ tasks: StuckTask[] }> =>
  call('POST', `/firm/tasks/${id}/again`, {});
