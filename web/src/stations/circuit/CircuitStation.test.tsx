/** @jest-environment jsdom */
import type { Change } from '@keen-gauge/core/testing/settled-survey';
import { screen, within } from '@testing-library/react';
import { atSurvey, openHere, pick, press, region, type } from '../../testing/at-survey';

/** The charger hangs from a board of its own, at the end of a feeder of which nothing is recorded. */
const inAnOutbuilding: Change = ({ supply, proposals }) => {
  supply.nodes.push({ id: 'feed', kind: 'feeder', fedFrom: 'board', label: 'Outbuilding feeder' });
  supply.nodes.push({ id: 'out', kind: 'board', fedFrom: 'feed', label: 'Outbuilding board' });
  const [car] = proposals;
  if (car) car.nodeId = 'out';
};

describe('the circuit station', () => {
  it('a size that passes says so; a length too long for its drop fails and says which size passes', async () => {
    const { assessment } = await atSurvey('circuit');
    const status = (): string => within(region(/^Size of the cable/)).getByRole('status').textContent;
    expect(assessment().circuits[0]?.recorded?.state).toBe('passes');
    press(/^Section 1 : 10 m, clipped direct, 30 °C/);
    type('Length', '95', region('Section 1'));
    // 7.3 mV/A/m × 32 A × 95 m = 22.2 V, 9.6 % of 230 V.
    expect(assessment().circuits[0]?.recorded?.state).not.toBe('passes');
    expect(status()).toMatch(/mm² is the smallest that passes|No size/);
  });

  it('the smallest size is found, another is chosen, and undo takes the choice back', async () => {
    const { survey, undo } = await atSurvey('circuit', {
      changes: [({ proposals }) => delete proposals[0]?.circuit?.sizeMm2],
    });
    const sizes = region(/^Size of the cable/);
    const smallest = /([\d.]+) mm² is the smallest that passes/.exec(within(sizes).getByRole('status').textContent);
    expect(smallest).not.toBeNull();
    press('Choose 10 mm²', sizes);
    expect(survey().proposals[0]?.circuit?.sizeMm2).toBe(10);
    expect(within(sizes).getByRole('heading', { name: '10 mm², chosen' })).toBeTruthy();
    undo();
    expect(survey().proposals[0]?.circuit?.sizeMm2).toBeUndefined();
  });

  it('heat that the table has no row for is said, and not rounded', async () => {
    const { assessment } = await atSurvey('circuit');
    press(/^Section 1/);
    type('Air', '33', region('Section 1'));
    expect(assessment().circuits[0]?.recorded?.state).not.toBe('passes');
    press('Air: 30 °C', region('Section 1'));
    expect(assessment().circuits[0]?.recorded?.state).toBe('passes');
  });

  it('a device below what the charger draws is told: 20 A before 32 A', async () => {
    const { assessment } = await atSurvey('circuit');
    const device = region(/^Device and RCD/);
    press(/^Device of the circuit/, device);
    press('Device of the circuit: 20 A', device);
    expect(openHere()).toMatch(/20 A/);
    expect(assessment().verdicts.find(({ id }) => id === 'circuit')?.answer).not.toBe(true);
    press('Device of the circuit: 40 A', device);
    expect(assessment().verdicts.find(({ id }) => id === 'circuit')?.answer).toBe(true);
  });

  it('a section is added and removed, and one of which nothing is known leaves the size open', async () => {
    const { survey, assessment } = await atSurvey('circuit');
    press('Add a section');
    expect(survey().proposals[0]?.circuit?.segments).toHaveLength(2);
    expect(assessment().circuits[0]?.recorded?.state).toBe('not-known');
    type('Length', '3', region('Section 2'));
    pick('How laid', 'Clipped direct', region('Section 2'));
    expect(survey().proposals[0]?.circuit?.segments?.[1]).toMatchObject({ lengthM: 3, laid: 'clipped' });
  });

  it('a feeder asks for its device and cable, and for what else runs there', async () => {
    await atSurvey('circuit', {
      changes: [inAnOutbuilding],
    });
    const feeder = region('Outbuilding feeder');
    expect(feeder.textContent).toContain('What device feeds it?');
    expect(openHere()).toContain('Outbuilding feeder: What else runs there? Nothing is recorded.');
    expect(screen.getAllByText(/Outbuilding feeder/).length).toBeGreaterThan(1);
  });

  it('a feeder and the circuit at its end are gone through one by one: the first with something open stands open', async () => {
    const { survey } = await atSurvey('circuit', {
      changes: [inAnOutbuilding],
    });
    const part = (name: string): HTMLDetailsElement =>
      within(region(name)).getAllByText(name, { exact: false })[0]?.closest('details') as HTMLDetailsElement;
    expect(part('Outbuilding feeder').open).toBe(true);
    expect(part('New charger').open).toBe(false);
    // What somebody believes of it is asked where few need it, and judged like anything else.
    type('Thick enough for', '32', region('Outbuilding feeder'));
    expect(survey().supply.nodes.find(({ id }) => id === 'feed')?.claimedRatingA).toBe(32);
    expect(region('Outbuilding feeder').textContent).toContain('32 A: ');
  });

  it('one circuit alone stands as it is, with nothing to open', async () => {
    await atSurvey('circuit');
    expect(region('New charger').querySelector(':scope > details')).toBeNull();
  });
});
