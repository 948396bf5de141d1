import { useEffect, useRef } from 'react';

interface Marked {
  readonly sheet?: string;
}

const markedBy = (): string | undefined => (window.history.state as Marked | null)?.sheet;

/** Steps back of our own that have been asked for and not yet come. */
let ownSteps = 0;

/**
 * While something lies over the page, the browser’s Back puts it away and goes nowhere else. The entry made for it is taken out again when it is put away otherwise,
 * unless a link in it has led on: such a link replaces the entry.
 */
export function useBackCloses(isOpen: boolean, onClose: () => void): void {
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });
  useEffect(() => {
    if (!isOpen) return undefined;
    const mark = crypto.randomUUID();
    // The router’s own state stays in the entry: to the router this is the same place.
    window.history.pushState({ ...(window.history.state as object | null), sheet: mark }, '');
    const back = (): void => {
      if (ownSteps === 0 && markedBy() !== mark) close.current();
    };
    window.addEventListener('popstate', back);
    return () => {
      window.removeEventListener('popstate', back);
      // A moment later: whatever took the page elsewhere has put its own entry in this one’s place by then.
      setTimeout(() => {
        if (markedBy() !== mark) return;
        ownSteps += 1;
        window.addEventListener(
          'popstate',
          () => {
            ownSteps -= 1;
          },
          { once: true },
        );
        window.history.back();
      });
    };
  }, [isOpen]);
}
