import { useEffect, useEffectEvent } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Sheet } from '../kit/Sheet';

/** Every shortcut there is, as listed under “?”. Two keys are pressed one after the other. */
const SHORTCUTS: readonly (readonly [keys: string, does: string])[] = [
  ['?', 'This list'],
  ['g j', 'Go to the jobs'],
  ['/', 'Search the jobs'],
  ['n', 'New job'],
  ['Ctrl+Z', 'Undo in the survey'],
  ['Ctrl+Y', 'Redo in the survey'],
  ['[', 'Station before'],
  [']', 'Station after'],
  ['g p', 'Photographs of the survey'],
  ['g l', 'What is still to be looked at'],
  ['g h', 'History of the survey'],
  ['Esc', 'Put a sheet away'],
];

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

const List = styled.dl`
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 0.5rem 1rem;
  margin: 0;
  dd {
    margin: 0;
  }
  kbd {
    font: 600 0.92rem var(--figures);
    border: 1px solid var(--strong-line);
    border-radius: 4px;
    padding: 0.1rem 0.4rem;
  }
`;

/** Every shortcut, with what it does. */
export function ShortcutList() {
  return (
    <List>
      {SHORTCUTS.map(([keys, does]) => (
        <div key={keys} style={{ display: 'contents' }}>
          <dt>
            <kbd>{keys}</kbd>
          </dt>
          <dd>{does}</dd>
        </div>
      ))}
    </List>
  );
}

export function ShortcutSheet({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
  return (
    <Sheet title="Help" isOpen={isOpen} onClose={onClose}>
      <p>
        <Link
          to="/help"
          replace
          onClick={onClose}
          style={{ minHeight: 44, display: 'inline-flex', alignItems: 'center' }}
        >
          Glossary, and how the figures are made
        </Link>
      </p>
      <ShortcutList />
    </Sheet>
  );
}
