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
  ['g n', 'Next question'],
  ['g p', 'Photographs of the survey'],
  ['g l', 'What is still to be looked at'],
  ['g h', 'History of the survey'],
  ['Esc', 'Put a sheet away'],
];

const List = styled.dl`
  display: grid;
  gap: 0.5rem;
  margin: 0;
  /* Beside each other, or where letters are large under each other. */
  & > div {
    display: flex;
    flex-wrap: wrap;
    gap: 0.1rem 1rem;
  }
  dt {
    width: 4.4rem;
  }
  dd {
    margin: 0;
    flex: 1 1 9rem;
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
        <div key={keys}>
          <dt>
            <kbd>{keys}</kbd>
          </dt>
          <dd>{does}</dd>
        </div>
      ))}
    </List>
  );
}

/** The shortcuts, and the way to the help. */
export default function ShortcutSheet({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
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
