import { Delete } from 'lucide-react';
import styled from 'styled-components';
import { LightButton } from './Button';
import type { PadKey } from './keyed';
import { PAD } from './pressed';

const Keys = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0.3rem;
  margin-top: 0.4rem;
`;

const Key = styled(LightButton)`
  min-height: 46px;
  border-color: var(--line);
  background: var(--surface);
  font: 600 1.25rem var(--figures);
`;

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const;

/** Digits for a thumb. What a whole number has no use for is not there. */
export function Keypad({
  label,
  whole,
  signed,
  onKey,
}: {
  readonly label: string;
  readonly whole: boolean;
  readonly signed: boolean;
  readonly onKey: (key: PadKey) => void;
}) {
  const one = (key: PadKey, face: React.ReactNode = key, name?: string): React.JSX.Element => (
    <Key
      key={key}
      type="button"
      // The keyboard has keys of its own for these.
      tabIndex={-1}
      aria-label={name}
      onClick={() => {
        onKey(key);
      }}
    >
      {face}
    </Key>
  );
  return (
    <Keys role="group" aria-label={`Keys for ${label}`} {...PAD}>
      {DIGITS.map((digit) => one(digit))}
      {signed ? one('−', '−', 'Minus') : whole ? one('clear', 'C', 'Clear') : one('.', '.', 'Point')}
      {one('0')}
      {one('back', <Delete size={22} aria-hidden />, 'Delete the last')}
    </Keys>
  );
}
