/** The made-up firm's instruments. */
export interface DemoInstrument {
  readonly name: string;
  readonly serial: string;
  readonly calibrationDue: string;
}

export const LOOP_TESTER: DemoInstrument = { name: 'Loop tester', serial: 'LT-0417', calibrationDue: '2027-03-01' };

export const ELECTRODE_TESTER: DemoInstrument = {
  name: 'Earth electrode tester',
  serial: 'EE-9',
  calibrationDue: '2026-10-31',
};

export const DEMO_INSTRUMENTS: readonly DemoInstrument[] = [
  LOOP_TESTER,
  { name: 'Clamp meter', serial: 'CM-22', calibrationDue: '2027-06-30' },
  ELECTRODE_TESTER,
];

/** An instrument as a reading names it. */
export function instrumentName({ name, serial }: DemoInstrument): string {
  return serial === '' ? name : `${name}, ${serial}`;
}
