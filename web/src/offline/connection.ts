import { useSyncExternalStore } from 'react';

/** How the server is reached: it answers; it answers late; it does not. */
export type Connection = 'connected' | 'slow' | 'without';

/** Later than this an answer is late, in milliseconds. */
const LATE_MS = 4000;

let now: Connection = 'connected';
const listeners = new Set<() => void>();

const become = (next: Connection): void => {
  if (next === now) return;
  now = next;
  for (const listener of listeners) listener();
};

/** The server answered, after so many milliseconds. */
export const answeredAfter = (milliseconds: number): void => {
  become(milliseconds > LATE_MS ? 'slow' : 'connected');
};

/** Nothing came back. */
export const nothingCame = (): void => {
  become('without');
};

export const connectionNow = (): Connection => now;

/** Tells whenever the connection becomes another; the function it returns ends that. */
export function onConnection(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const useConnection = (): Connection => useSyncExternalStore(onConnection, connectionNow);
