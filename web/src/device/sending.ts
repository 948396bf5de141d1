import { useSyncExternalStore } from 'react';

/** How far the sending is. */
export interface Sending {
  readonly isRunning: boolean;
  /** The jobs that wait for a person: two answers to choose between, or something the server will not take. */
  readonly toDecide: ReadonlySet<string>;
}

let now: Sending = { isRunning: false, toDecide: new Set() };
const listeners = new Set<() => void>();

export const becomeSending = (next: Sending): void => {
  now = next;
  for (const listener of listeners) listener();
};

export const sendingNow = (): Sending => now;

export function onSending(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const useSending = (): Sending => useSyncExternalStore(onSending, sendingNow);
