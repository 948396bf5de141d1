import { NavLink } from 'react-router';
import styled from 'styled-components';

const Bar = styled.nav`
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
`;

const To = styled(NavLink)`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0.2rem 0.9rem;
  border: 1.5px solid var(--line);
  border-radius: 2rem;
  background: var(--surface);
  color: var(--ink);
  text-decoration: none;
  &[aria-current='page'] {
    border-color: var(--ink);
    box-shadow: inset 0 0 0 1.5px var(--ink);
    font-weight: 700;
  }
`;

/** The parts of a page, each at an address of its own. */
export function PillNav({
  label,
  parts,
}: {
  readonly label: string;
  readonly parts: readonly (readonly [to: string, name: string])[];
}) {
  return (
    <Bar aria-label={label}>
      {parts.map(([to, name]) => (
        <To key={to} to={to} end>
          {name}
        </To>
      ))}
    </Bar>
  );
}
