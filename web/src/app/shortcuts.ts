import { useEffect, useEffectEvent } from 'react';

const PAIR_MS = 900;

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** The shortcut a key event stands for; undo and redo work while typing, single keys do not. */
function pressed(event: KeyboardEvent, before: string): string | null {
  if (event.ctrlKey || event.metaKey) {
    const key = event.key.toLowerCase();
    if (key === 'z') return event.shiftKey ? 'Ctrl+Y' : 'Ctrl+Z';
    return key === 'y' ? 'Ctrl+Y' : null;
  }
  if (event.altKey || isTyping(event.target) || document.querySelector('[role="dialog"]')) return null;
  return before === 'g' ? `g ${event.key}` : event.key;
}

/** Runs what a shortcut is bound to while the component is there. */
export function useShortcuts(bound: Readonly<Record<string, () => void>>): void {
  const workOf = useEffectEvent((name: string) => bound[name]);
  useEffect(() => {
    let before = '';
    let at = 0;
    const listen = (event: KeyboardEvent): void => {
      const name = pressed(event, event.timeStamp - at < PAIR_MS ? before : '');
      before = event.key;
      at = event.timeStamp;
      const work = name === null ? undefined : workOf(name);
      if (!work) return;
      event.preventDefault();
      work();
    };
    window.addEventListener('keydown', listen);
    return () => {
      window.removeEventListener('keydown', listen);
    };
  }, []);
}
