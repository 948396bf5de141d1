import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import useSWR from 'swr';
import { call, fetcher, ServerProblem } from './client';

export interface Me {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: 'surveyor' | 'office' | 'supervisor';
  readonly maySignOff: boolean;
  readonly registration: string;
  readonly firm: string;
  /** The rules the firm works to. */
  readonly rules: FirmRules;
}

/** Who is signed in: undefined while asking, null when nobody is. */
export function useMe(): { me: Me | null | undefined; error: Error | undefined; refresh: (me?: Me | null) => void } {
  const { data, error, mutate } = useSWR<Me | null, Error>('/me', async (path: string) => {
    try {
      return await fetcher<Me>(path);
    } catch (problem) {
      if (problem instanceof ServerProblem && problem.status === 401) return null;
      throw problem;
    }
  });
  return {
    me: data,
    error,
    // Asked again, what is known stays meanwhile: forgotten, the whole page would be taken down and put up anew.
    refresh: (me) => void (me === undefined ? mutate() : mutate(me, false)),
  };
}

export const signIn = (email: string, password: string): Promise<Me> => call('POST', '/session', { email, password });
export const signOut = (): Promise<void> => call('DELETE', '/session');
