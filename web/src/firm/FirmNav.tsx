import { NavLink } from 'react-router';
import styled from 'styled-components';

/** The firm’s settings, each at an address of its own. */
export const FIRM_SECTIONS = [
  ['equipment', 'Charging equipment'],
  ['address', 'Address'],
  ['costs', 'Costs and waits'],
  ['checklists', 'Checklists'],
  ['rules', 'Rules'],
  ['record', 'Record of changes'],
] as const;
export type FirmSection = (typeof FIRM_SECTIONS)[number][0];

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

/** Which part of the firm’s settings is looked at. */
export function FirmNav() {
  return (
    <Bar aria-label="Firm settings">
      {FIRM_SECTIONS.map(([section, name]) => (
        <To key={section} to={`/firm/${section}`}>
          {name}
        </To>
      ))}
    </Bar>
  );
}
