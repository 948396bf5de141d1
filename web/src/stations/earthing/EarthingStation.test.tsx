/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { atSurvey, choose, openHere, press, region, type } from '../../testing/at-survey';

describe('the earthing station', () => {
  it('asks nothing of the earth before the arrangement is known; the conductor followed settles it', async () => {
    const { survey } = await atSurvey('earthing', { changes: [(survey) => (survey.earthing = {})] });
    expect(openHere()).toContain('Which earthing arrangement is it?');
    expect(openHere()).not.toContain('bond');
    choose('The supply comes on overhead lines', 'Yes');
    expect(screen.getByText('That suggests TT, and does not prove it.')).toBeTruthy();
    choose('The earthing conductor goes to a rod, plate or tape in the ground, and nowhere else', 'Yes');
    press('Record TT');
    expect(survey().earthing.arrangement).toBe('tt');
    expect(openHere()).toContain('TT: what is the electrode’s resistance?');
  });

  it('an electrode above 200 Ω is not stable enough, and 84 Ω is', async () => {
    const { survey } = await atSurvey('earthing');
    choose('Arrangement', 'TT');
    press('Electrode resistance');
    type('Electrode resistance, Ω', '240');
    expect(openHere()).toContain('An electrode of 240 Ω is above 200 Ω');
    type('Electrode resistance, Ω', '84');
    expect(openHere()).not.toContain('An electrode of');
    expect(survey().readings.at(-1)).toMatchObject({ kind: 'electrode-resistance', value: 84 });
  });

  it('a board on TT is covered by an RCD before it, and says so', async () => {
    await atSurvey('earthing', {
      changes: [
        ({ supply, earthing }) => {
          earthing.arrangement = 'tt';
          const board = supply.nodes.find(({ id }) => id === 'board');
          if (board) board.fedFrom = 'rcd';
          supply.nodes.push({
            id: 'rcd',
            kind: 'rcd',
            fedFrom: 'isolator',
            rcdType: 'A',
            residualMa: 100,
          });
        },
      ],
    });
    expect(within(region('RCD cover')).getByRole('listitem').textContent).toContain('Covered');
  });

  it('bonding is asked by what comes in: metal unbonded is wrong, and 10 mm² puts it right', async () => {
    const { survey } = await atSurvey('earthing', {
      changes: [({ earthing }) => delete earthing.services?.find(({ id }) => id === 'water')?.sizeMm2],
    });
    choose('Gas, where it comes in', 'None here');
    choose('Water, where it comes in', 'Metal');
    choose('Water: bonded?', 'No');
    expect(openHere()).toContain('Water: not bonded, and it comes in as metal.');
    choose('Water: bonded?', 'Yes');
    press('Water: bonding conductor: 10 mm²');
    expect(openHere()).not.toContain('Water: not bonded');
    expect(survey().earthing.services?.find(({ id }) => id === 'water')).toMatchObject({ bonded: 'yes', sizeMm2: 10 });
  });

  it('a vehicle outdoors on PME needs something against an open PEN; on TN-S nothing', async () => {
    const { assessment } = await atSurvey('earthing');
    expect(region(/^Open PEN/).textContent).toContain('Nothing is needed.');
    choose('Arrangement', 'TN-C-S');
    expect(region(/^Open PEN/).textContent).not.toContain('Nothing is needed.');
    expect(assessment().verdicts.find(({ id }) => id === 'open-pen')?.answer).not.toBe(true);
  });
});
