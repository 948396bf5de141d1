import { useEffect, useSyncExternalStore } from 'react';
import { useSWRConfig } from 'swr';
import { NoAnswer } from '../api/client';
import type { Me } from '../api/me';
import { report } from '../api/report';
import { connectionNow, onConnection } from '../offline/connection';
import { keptDaysOf } from '../offline/person';
import type { Carrying } from './carry';

/** After the first page, so that what somebody looks at comes first. */
const FIRST_MS = 5000;
const SEND_EVERY_MS = 30_000;
const CARRY_EVERY_MS = 10 * 60_000;

let carrying: Carrying | null = null;
let taking = false;
const listeners = new Set<() => void>();

const become = (next: Carrying | null): void => {
  carrying = next;
  for (const listener of listeners) listener();
};

/** Takes the jobs onto this device, once at a time. */
export async function carryNow(me: Me): Promise<void> {
  if (taking || connectionNow() === 'without') return;
  taking = true;
  try {
    // What goes and comes is fetched after the first page, which waits for neither.
    const { carry } = await import('./carry');
    await carry(me.id, keptDaysOf(me), become);
  } catch (error) {
    if (!(error instanceof NoAnswer)) report('error', error);
  } finally {
    taking = false;
    become(null);
  }
}

/** How far the taking is; null while none is under way. */
export const useCarrying = (): Carrying | null =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => carrying,
  );

/** While somebody is signed in: sends what waits, takes along what a day without a connection needs, and asks everything anew when the connection is back. */
export function useDevice(me: Me): void {
  const personId = me.id;
  const { mutate } = useSWRConfig();
  useEffect(() => {
    const send = (): void => {
      import('./sender')
        .then(({ sendEverything }) => sendEverything(personId))
        .catch((error: unknown) => {
          report('error', error);
        });
    };
    const take = (): void => {
      if (document.visibilityState === 'visible') void carryNow(me);
    };
    const first = setTimeout(() => {
      send();
      take();
    }, FIRST_MS);
    const sending = setInterval(send, SEND_EVERY_MS);
    const taken = setInterval(take, CARRY_EVERY_MS);
    let before = connectionNow();
    const stop = onConnection(() => {
      const now = connectionNow();
      if (before === 'without' && now !== 'without') {
        send();
        void mutate((key) => typeof key === 'string' && key !== '/me');
      }
      before = now;
    });
    window.addEventListener('online', send);
    return () => {
      clearTimeout(first);
      clearInterval(sending);
      clearInterval(taken);
      stop();
      window.removeEventListener('online', send);
    };
  }, [personId, me, mutate]);
}
