import { useEffect, useState, useSyncExternalStore } from 'react';
import { isNewerWaiting, lookForNewer, onNewerWaiting } from '../offline/worker';

const LOOK_EVERY_MS = 15 * 60_000;

/** The script that an address of the application begins with; its name changes with every version. */
const beginning = (page: Document): string | null =>
  page.querySelector('script[type="module"][src]')?.getAttribute('src') ?? null;

/** Whether the server gives out another version than the one this tab runs. Not known, as without a connection, is no. Asked at an address no worker answers for. */
export async function isNewerThere(own: Document = document): Promise<boolean> {
  try {
    const response = await fetch('/sign-in', { cache: 'no-store' });
    if (!response.ok) return false;
    const there = beginning(new DOMParser().parseFromString(await response.text(), 'text/html'));
    return there !== null && beginning(own) !== null && there !== beginning(own);
  } catch {
    return false;
  }
}

/** Looks for a newer version when the tab is come back to, and now and then; once there is one it stays so. */
export function useNewerVersion(): boolean {
  const waiting = useSyncExternalStore(onNewerWaiting, isNewerWaiting);
  const [there, setNewer] = useState(false);
  const newer = waiting || there;
  useEffect(() => {
    if (newer) return;
    let gone = false;
    const look = (): void => {
      if (document.visibilityState === 'visible' && !lookForNewer())
        void isNewerThere().then((is) => {
          if (is && !gone) setNewer(true);
        });
    };
    const timer = setInterval(look, LOOK_EVERY_MS);
    document.addEventListener('visibilitychange', look);
    return () => {
      gone = true;
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [newer]);
  return newer;
}
