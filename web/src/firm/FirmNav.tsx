import { PillNav } from '../kit/PillNav';

/** The firm’s settings, each at an address of its own. */
export const FIRM_SECTIONS = [
  ['equipment', 'Charging equipment'],
  ['address', 'Address'],
  ['costs', 'Costs and waits'],
  ['prices', 'Prices'],
  ['rates', 'Work rates'],
  ['money-help', 'Money help'],
  ['lessons', 'What jobs teach'],
  ['devices', 'Devices'],
  ['people', 'People'],
  ['customer', 'Customer’s survey'],
  ['mail', 'Mail'],
  ['privacy', 'Personal data'],
  ['checklists', 'Checklists'],
  ['rules', 'Rules'],
  ['record', 'Record of changes'],
] as const;
export type FirmSection = (typeof FIRM_SECTIONS)[number][0];

/** Which part of the firm’s settings is looked at. */
export function FirmNav() {
  return (
    <PillNav
      label="Firm settings"
      parts={FIRM_SECTIONS.map(([section, name]): [string, string] => [`/firm/${section}`, name])}
    />
  );
}
