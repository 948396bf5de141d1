/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import type { Reading } from '@keen-gauge/core/survey/reading';
import { atSurvey, pick, press, region, type } from '../testing/at-survey';
import { LAST_INSTRUMENT } from './fresh-reading';

const LOOP_TESTER = { id: 'loop', name: 'Loop tester', serial: 'LT-1', calibrationDue: '2027-03-01', retired: false };
const OLD_TESTER = { id: 'old', name: 'Loop tester', serial: 'LT-0', calibrationDue: null, retired: true };
const NO_DATE = { id: 'multi', name: 'Multimeter', serial: '', calibrationDue: null, retired: false };
const answers = { '/instruments': { instruments: [LOOP_TESTER, OLD_TESTER, NO_DATE] } };

const ZE: Reading = {
  id: 'ze',
  kind: 'loop-impedance-external',
  value: 0.4,
  nodeId: 'cut-out',
  takenBy: 'Isla Tester',
  takenAt: '2026-03-02T09:00:00Z',
  instrument: 'Loop tester, LT-1',
  calibrationDue: '2027-03-01',
};
const PFC: Reading = { ...ZE, id: 'pfc', kind: 'prospective-fault-current', value: 1.15 };

const readings = (): HTMLElement => region('Readings');

describe('readings at a station', () => {
  beforeEach(() => {
    localStorage.clear();
  });

  it('are taken by whoever is signed in, with the instrument used last, and say when', async () => {
    localStorage.setItem(LAST_INSTRUMENT, 'loop');
    const { survey } = await atSurvey('earthing', { answers });
    press('Loop impedance Ze', readings());
    type('Loop impedance Ze, Ω', '0.35', readings());
    expect(survey().readings.at(-1)).toMatchObject({
      kind: 'loop-impedance-external',
      value: 0.35,
      takenBy: 'Isla Tester',
      instrument: 'Loop tester, LT-1',
      calibrationDue: '2027-03-01',
    });
  });

  it('are never taken with an instrument that is out of use', async () => {
    localStorage.setItem(LAST_INSTRUMENT, 'old');
    const { survey } = await atSurvey('earthing', { answers });
    press('Loop impedance Ze', readings());
    expect(survey().readings.at(-1)?.instrument).toBeUndefined();
    pick('Instrument', 'Multimeter', readings());
    expect(survey().readings.at(-1)).toMatchObject({ instrument: 'Multimeter' });
    expect(survey().readings.at(-1)?.calibrationDue).toBeUndefined();
    expect(localStorage.getItem(LAST_INSTRUMENT)).toBe('multi');
  });

  it('are written as the instrument shows them: a bound stays one, and words are not taken for a number', async () => {
    const { survey } = await atSurvey('earthing', { answers });
    press('Loop impedance Ze', readings());
    type('Loop impedance Ze, Ω', '> 20', readings());
    expect(survey().readings.at(-1)).toMatchObject({ value: 20, bound: 'above' });
    type('Loop impedance Ze, Ω', 'about right', readings());
    expect(screen.getByText('A number, or a bound such as > 999, is expected.')).toBeTruthy();
    expect(survey().readings.at(-1)).toMatchObject({ value: 20 });
    type('Loop impedance Ze, Ω', '', readings());
    expect(survey().readings.at(-1)?.value).toBeUndefined();
  });

  it('that are unlikely are asked about, and stand once they have been taken again', async () => {
    const { survey } = await atSurvey('earthing', {
      answers,
      changes: [(given) => (given.readings = [{ ...ZE, value: 12 }])],
    });
    expect(readings().textContent).toContain('Take it again.');
    press('Taken again, it stands', readings());
    expect(survey().readings[0]?.confirmed).toBe(true);
    expect(readings().textContent).not.toContain('Take it again.');
  });

  it('stand in a line with who took them, and open to be changed or removed', async () => {
    const { survey, undo } = await atSurvey('earthing', { answers, changes: [(given) => (given.readings = [ZE])] });
    expect(readings().textContent).toContain('0.4 Ω · Loop tester, LT-1 · Isla Tester');
    press(/^Loop impedance Ze : /, readings());
    type('Loop impedance Ze, Ω', '0.5', readings());
    expect(survey().readings[0]?.value).toBe(0.5);
    press(/^Remove the reading/, readings());
    expect(survey().readings).toEqual([]);
    undo();
    expect(survey().readings).toHaveLength(1);
  });

  it('once each kind is there, the buttons for another are put away under a name', async () => {
    await atSurvey('earthing', { answers, changes: [(given) => (given.readings = [ZE, PFC])] });
    const more = screen.getByText('Another reading').closest('details');
    expect(more?.open).toBe(false);
    expect(within(more as HTMLElement).getAllByRole('button', { hidden: true })).toHaveLength(2);
  });
});
