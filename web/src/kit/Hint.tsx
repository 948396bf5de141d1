import { Info, X } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { BareButton } from './Button';

const Frame = styled.aside`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 0.6rem;
  align-items: center;
  padding: 0.3rem 0.3rem 0.3rem 0.8rem;
  border: 1px dashed var(--strong-line);
  border-radius: var(--corner);
`;

const KEY = 'keen-gauge-hints-read';

function read(): readonly string[] {
  try {
    return (localStorage.getItem(KEY) ?? '').split(' ').filter(Boolean);
  } catch {
    return [];
  }
}

/** Said to whoever is here for the first time on this device, until it is put away; then never again. */
export function Hint({ id, children }: { readonly id: string; readonly children: React.ReactNode }) {
  const [shown, setShown] = useState(() => !read().includes(id));
  if (!shown) return null;
  return (
    <Frame aria-label="Hint" className="no-print">
      <Info size={20} aria-hidden />
      <span>{children}</span>
      <BareButton
        aria-label="Put the hint away"
        onPress={() => {
          setShown(false);
          try {
            localStorage.setItem(KEY, [...read(), id].join(' '));
          } catch {
            // A browser that keeps nothing shows it again next time.
          }
        }}
      >
        <X size={18} aria-hidden />
      </BareButton>
    </Frame>
  );
}
