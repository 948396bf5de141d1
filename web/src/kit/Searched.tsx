import { useState, type ReactNode } from 'react';
import { Button } from './Button';
import { TextInput } from './TextInput';

/** A list that may be long: so many at a glance, the others found by their words or shown at a press. */
export function Searched<T>({
  label,
  of,
  textOf,
  atAGlance,
  children,
}: {
  /** What the search box is called. */
  readonly label: string;
  readonly of: readonly T[];
  /** What a member is found by. */
  readonly textOf: (item: T) => string;
  readonly atAGlance: number;
  readonly children: (seen: readonly T[]) => ReactNode;
}) {
  const [sought, setSought] = useState('');
  const [all, setAll] = useState(false);
  const wanted = sought.trim().toLowerCase();
  const found = of.filter((item) => textOf(item).toLowerCase().includes(wanted));
  const seen = all || wanted !== '' ? found : found.slice(0, atAGlance);
  return (
    <>
      {of.length > atAGlance && <TextInput label={label} type="search" value={sought} onChange={setSought} />}
      {children(seen)}
      {found.length === 0 && wanted !== '' && <p className="quiet">No match.</p>}
      {found.length > seen.length && (
        <Button
          onPress={() => {
            setAll(true);
          }}
        >
          Show all {found.length}
        </Button>
      )}
    </>
  );
}
