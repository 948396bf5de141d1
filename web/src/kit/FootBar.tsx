import { Link } from 'react-router';
import styled from 'styled-components';
import { BareButton } from './Button';

const Bar = styled.nav`
  display: none;
  @media (max-width: 60rem) {
    position: fixed;
    inset: auto 0 0 0;
    z-index: 6;
    /* As wide as each other; where letters are so large that a word would not fit, in two rows. */
    display: flex;
    flex-wrap: wrap;
    & > * {
      flex: 1 1 0;
      min-width: max-content;
    }
    background: var(--surface);
    border-top: 2px solid var(--ink);
    padding-bottom: env(safe-area-inset-bottom);
  }
`;

const face = `
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 0.1rem;
  min-height: 54px;
  padding: 0.2rem 0.1rem;
  border-radius: 0;
  color: var(--ink);
  font: 600 0.78rem/1.1 var(--text);
  text-align: center;
  text-decoration: none;
`;

const To = styled(Link)`
  ${face}
  &[aria-current='page'] {
    box-shadow: inset 0 4px 0 var(--ink);
    background: var(--raised);
  }
`;

const Press = styled(BareButton)`
  ${face}
`;

export interface FootItem {
  readonly name: string;
  readonly icon: React.ReactNode;
  /** An address, or what pressing it does. */
  readonly to?: string;
  readonly onPress?: () => void;
  readonly isCurrent?: boolean;
}

/** Where one can go, at a phone’s foot: a picture and its word each. */
export function FootBar({ label, items }: { readonly label: string; readonly items: readonly FootItem[] }) {
  return (
    <Bar aria-label={label} className="no-print">
      {items.map(({ name, icon, to, onPress, isCurrent }) =>
        to === undefined ? (
          <Press key={name} {...(onPress ? { onPress } : {})}>
            {icon}
            {name}
          </Press>
        ) : (
          <To key={name} to={to} aria-current={isCurrent ? 'page' : undefined}>
            {icon}
            {name}
          </To>
        ),
      )}
    </Bar>
  );
}
