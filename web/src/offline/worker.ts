import type { Workbox } from 'workbox-window';

/** So long after the first page the application is taken onto the device: what is being looked at comes first. */
const AFTER_MS = 6000;
/** A newer version that does not take over in this time is left to the next visit. */
const TAKEOVER_MS = 5000;

let worker: Workbox | undefined;
let waits = false;
const listeners = new Set<() => void>();

const newerWaits = (): void => {
  waits = true;
  for (const listener of listeners) listener();
};

/** Asks the browser to keep the whole application on the device, so that it opens without a server. */
export function keepApplication(): void {
  if (!('serviceWorker' in navigator)) return;
  setTimeout(() => void register().catch(() => undefined), AFTER_MS);
}

async function register(): Promise<void> {
  const workbox = await import('workbox-window');
  worker = new workbox.Workbox('/sw.js');
  worker.addEventListener('waiting', newerWaits);
  // Another tab took the newer version: this one is still the one before.
  worker.addEventListener('controlling', ({ isUpdate }) => {
    if (isUpdate) newerWaits();
  });
  await worker.register();
}

/** Whether a newer version is on the device and waits to be taken. */
export const isNewerWaiting = (): boolean => waits;

export function onNewerWaiting(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Looks for a newer version, which is then taken onto the device; it is told of when it is there. False where this page is not looked after by a worker. */
export function lookForNewer(): boolean {
  if (!worker || !navigator.serviceWorker.controller) return false;
  worker.update().catch(() => undefined);
  return true;
}

/** Goes over to the newer version. What is typed is kept before the page goes, as at every leaving. */
export function takeNewer(): void {
  const reload = (): void => {
    window.location.reload();
  };
  if (!worker || !waits) {
    reload();
    return;
  }
  worker.addEventListener('controlling', reload);
  worker.messageSkipWaiting();
  setTimeout(reload, TAKEOVER_MS);
}
