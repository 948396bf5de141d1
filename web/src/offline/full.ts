import { useSyncExternalStore } from 'react';
import { PICTURES } from './pictures';

/** What has to be kept does not fit on this device. */
export class DeviceFull extends Error {
  constructor() {
    super('There is no room left on this device. Send what waits, or make room on the device, and try again.');
  }
}

/** How many bytes did not fit, the last time something did not; undefined where all has. */
let tooMany: number | undefined;
const listeners = new Set<() => void>();

const become = (next: number | undefined): void => {
  if (next === tooMany) return;
  tooMany = next;
  for (const listener of listeners) listener();
};

/**
 * Writes down what only this device has, of so many bytes. Where there is no room the thumbnails go, which the server has, and it is tried once more.
 * Rejects with `DeviceFull` where it does not fit even so, and with what the browser says otherwise.
 */
export async function keeping<T>(write: () => Promise<T>, bytes = 0): Promise<T> {
  const written = await write().catch(async (error: unknown) => {
    if (!isWantOfRoom(error)) throw error;
    if ('caches' in globalThis) await caches.delete(PICTURES);
    return write().catch((again: unknown) => {
      if (!isWantOfRoom(again)) throw again;
      become(bytes);
      throw new DeviceFull();
    });
  });
  // An answer of a hundred bytes that fits does not say that the next photograph will.
  if (tooMany !== undefined && bytes >= tooMany) become(undefined);
  return written;
}

const isWantOfRoom = (error: unknown): boolean => error instanceof DOMException && error.name === 'QuotaExceededError';

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Whether something did not fit, and nothing as large has since. Browsers do not say beforehand: some tell of ten gigabytes whatever the device has. */
export const useFull = (): boolean => useSyncExternalStore(subscribe, () => tooMany !== undefined);
