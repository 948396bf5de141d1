import useSWR from 'swr';
import { call } from './client';

/** Where I am signed in. */
export interface MySession {
  readonly id: string;
  readonly device: string;
  readonly begunAt: string | null;
  readonly here: boolean;
}

interface Answer {
  readonly sessions: readonly MySession[];
}

export const useSessions = () => useSWR<Answer, Error>('/me/sessions', (path: string) => call<Answer>('GET', path));
export const endSession = (id: string): Promise<Answer> => call('DELETE', `/me/sessions/${id}`);
export const endOtherSessions = (): Promise<Answer> => call('DELETE', '/me/sessions');

/** Changes my password; every other session ends. */
export const changePassword = (current: string, password: string): Promise<void> =>
  call('POST', '/me/password', { current, password });
