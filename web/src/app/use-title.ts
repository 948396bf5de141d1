import { useEffect } from 'react';

/** Names the page for the tab, the history and whoever hears it: what is looked at first, then what it belongs to. */
export function useTitle(...parts: readonly (string | undefined)[]): void {
  const title = [...parts.filter((part) => part !== undefined && part !== ''), 'Keen Gauge'].join(' · ');
  useEffect(() => {
    document.title = title;
  }, [title]);
}
