import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import useSWR from 'swr';
import { useConnection } from '../offline/connection';
import { forgetCopies, rememberedPerson, rememberPerson } from '../offline/person';
import { call, NoAnswer, ServerProblem } from './client';

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

/** How often the server is asked for while it does not answer. */
const ASK_AGAIN_MS = 5000;

/** Who is signed in: asked of the server; where it cannot be reached, whoever signed in last on this device. A session the server no longer knows takes the copies with it. */
async function whoIsThere(path: string): Promise<Me | null> {
  if (localStorage.getItem(LEFT) !== null) {
    await endSession().catch(() => undefined);
    return null;
  }
  // Before the first answer, so that what is asked meanwhile finds its copies.
  const before = await rememberedPerson<Me>();
  try {
    const me = await call<Me>('GET', path, undefined, before ? PATIENCE_MS : undefined);
    await rememberPerson(me);
    return me;
  } catch (problem) {
    if (problem instanceof ServerProblem && problem.status === 401) {
      if (before) await forgetCopies();
      return null;
    }
    const isAway = problem instanceof NoAnswer || (problem instanceof ServerProblem && problem.status >= 500);
    if (before && isAway) return before;
    throw problem;
  }
}

const PATIENCE_MS = 2500;

/** Who is signed in: undefined while asking, null when nobody is. */
export function useMe(): { me: Me | null | undefined; error: Error | undefined; refresh: (me?: Me | null) => void } {
  const connection = useConnection();
  const { data, error, mutate } = useSWR<Me | null, Error>('/me', whoIsThere, {
    refreshInterval: connection === 'without' ? ASK_AGAIN_MS : 0,
  });
  return {
    me: data,
    error,
    // Asked again, what is known stays meanwhile: forgotten, the whole page would be taken down and put up anew.
    refresh: (me) => void (me === undefined ? mutate() : mutate(me, false)),
  };
}

export async function signIn(email: string, password: string): Promise<Me> {
  const me = await call<Me>('POST', '/session', { email, password });
  localStorage.removeItem(LEFT);
  await rememberPerson(me);
  return me;
}

/** Ends the session and takes everything of the server’s from this device, with or without a connection. */
export async function signOut(): Promise<void> {
  // Until the server has heard of it the session is still good, and this device does not use it.
  localStorage.setItem(LEFT, 'yes');
  await forgetCopies().catch(() => undefined);
  await endSession();
}

/** Tells when another tab has signed out; the function it returns ends that. */
export function onLeftElsewhere(listener: () => void): () => void {
  const look = ({ key, newValue }: StorageEvent): void => {
    if (key === LEFT && newValue !== null) listener();
  };
  window.addEventListener('storage', look);
  return () => {
    window.removeEventListener('storage', look);
  };
}

const LEFT = 'keen-gauge-left';

async function endSession(): Promise<void> {
  await call('DELETE', '/session').catch((error: unknown) => {
    if (!(error instanceof ServerProblem && error.status === 401)) throw error;
  });
  localStorage.removeItem(LEFT);
}
