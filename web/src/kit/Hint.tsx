import { Info, X } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { BareButton } from './Button';

const Frame = styled.aside`
  display: flex;
  flex-wrap: wrap;
  justify-content: end;
  gap: 0 0.6rem;
  align-items: center;
  padding: 0.3rem 0.3rem 0.3rem 0.8rem;
  & > span {
    flex: 1 1 13rem;
  }
  & > span > svg {
    margin-right: 0.6rem;
    vertical-align: -0.3em;
  }
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
      <span>
        <Info size={20} aria-hidden />
        {children}
      </span>
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
