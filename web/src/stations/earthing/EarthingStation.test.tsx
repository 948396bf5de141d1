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

  it('the four ways against an open PEN are compared while none is chosen; then what the others need is put away', async () => {
    const { survey } = await atSurvey('earthing', { changes: [({ earthing }) => (earthing.arrangement = 'tn-c-s')] });
    const panel = region('Open PEN: New charger');
    const ways = (): string[] =>
      within(within(panel).getByRole('radiogroup', { name: 'Open-PEN method' }))
        .getAllByRole('radio')
        .map((radio) => radio.closest('label')?.textContent ?? '');
    expect(ways()).toHaveLength(4);
    // Each with what it needs.
    for (const way of ways()) expect(way).toMatch(/(Needs evidence|Does not fit|OK).{10,}/);
    expect(within(panel).queryByText('What the others need')).toBeNull();
    choose('Open-PEN method', 'A separate device');
    expect(survey().proposals[0]?.openPen).toBe('separate-device');
    expect(ways().filter((way) => /(Needs evidence|Does not fit|OK)$/.test(way))).toHaveLength(3);
    expect(within(panel).getByText('What the others need').closest('details')?.textContent).toContain('A TT island:');
  });

  it('what seldom comes in stands under a name of its own, and where it is answered it stays', async () => {
    const { survey, goTo } = await atSurvey('earthing');
    const others = screen.getByText('Something else').closest('details') as HTMLElement;
    expect(others.textContent).toContain('oil, structural steel, another part');
    choose('Oil, where it comes in', 'Metal');
    expect(others.textContent).toContain('Oil: bonded?');
    await goTo('loop');
    await goTo('earthing');
    expect(survey().earthing.services?.find(({ id }) => id === 'oil')).toMatchObject({ incoming: 'metal' });
    expect(screen.getByText('Something else').closest('details')?.textContent).not.toContain('Oil');
  });

  it('a part is tested where the test tells something: not one that is bonded, nor one that comes in as plastic', async () => {
    await atSurvey('earthing');
    const main = region('Main bonding');
    // Gas comes in as plastic and water is bonded.
    expect(main.textContent).not.toContain('resistance to earth');
    choose('Water: bonded?', 'No');
    expect(main.textContent).toContain('Water: resistance to earth');
  });

  it('for the adiabatic equation the conductor may be 6 mm²: √(1 500² × 0.1) ÷ 143 = 3.3 mm²', async () => {
    const { survey } = await atSurvey('earthing');
    type('Earth fault current, where known', '1500');
    type('How long it lasts', '0.1');
    expect(survey().earthing.conductor).toMatchObject({ faultCurrentA: 1500, disconnectionS: 0.1 });
    const byEquation = within(region('Earthing conductor')).getByRole('button', { name: /^By the equation/ });
    expect(byEquation.textContent).toContain('3.3');
  });
});
