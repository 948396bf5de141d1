/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { atSurvey, choose, openHere, pick, press, region, type } from '../../testing/at-survey';

const gauge = (): string => region('Gauge').textContent;

describe('the loads station', () => {
  it('starts from a usual set where nothing is listed, and asks before it replaces a list', async () => {
    const { survey, undo } = await atSurvey('loads', { changes: [(survey) => (survey.loads = [])] });
    press('Gas-heated home');
    const usual = survey().loads.length;
    expect(usual).toBeGreaterThan(5);
    expect(survey().loads.every(({ assumed }) => assumed === true)).toBe(true);
    // 67.1 A by circuits: the figure of the guide’s gas-heated home.
    expect(gauge()).toContain('67.1');
    press('All-electric flat');
    expect(survey().loads).toHaveLength(usual);
    press('Keep the list');
    expect(screen.queryByRole('alertdialog')).toBeNull();
    press('All-electric flat');
    press('Add to them');
    expect(survey().loads.length).toBeGreaterThan(usual);
    undo();
    expect(survey().loads).toHaveLength(usual);
    press('Confirm all as listed');
    expect(survey().loads.some(({ assumed }) => assumed)).toBe(false);
  });

  it('an appliance is found by its name, and lines are pasted; what is not understood says so', async () => {
    const { survey } = await atSurvey('loads');
    type('Find an appliance', 'induction');
    press(/^Induction hob, 7400 W/);
    expect(survey().loads.at(-1)).toMatchObject({ powerW: 7400, assumed: true });
    type('Find an appliance', 'flux capacitor');
    expect(screen.getByText('Nothing of that name. Add it below by its class.')).toBeTruthy();
    press('Paste lines');
    type('One load a line', '3 × 2.4 kW panel heater\nflux capacitor');
    expect(screen.getByText(/no usual appliance has that name/)).toBeTruthy();
    press('Add 1 load');
    expect(survey().loads.at(-1)).toMatchObject({ quantity: 3, powerW: 2400 });
  });

  it('what a pasted word is, where nothing says it, is asked before it goes in', async () => {
    const { survey } = await atSurvey('loads');
    press('Paste lines');
    type('One load a line', '4 A winch');
    expect(screen.queryByRole('button', { name: 'Add 1 load' })?.hasAttribute('disabled') ?? true).toBe(true);
    pick('What is “4 A winch”?', 'Motors and pumps');
    press('Add 1 load');
    expect(survey().loads.at(-1)).toMatchObject({ class: 'motor', currentA: 4, label: 'winch' });
  });

  it('a load is added by its class, given in watts or amperes, and removed; undo brings it back', async () => {
    const { survey, undo } = await atSurvey('loads');
    pick('Add a load of class', 'Motors and pumps');
    press('Add');
    const added = survey().loads.at(-1);
    expect(added?.class).toBe('motor');
    expect(openHere()).toContain('what size is it? It is missing from the sum');
    const row = screen.getByRole('button', { name: 'Remove Motors and pumps' }).closest('li') as HTMLElement;
    type('Name', 'Bilge pump', row);
    expect(survey().loads.at(-1)?.label).toBe('Bilge pump');
    press('Remove Bilge pump');
    expect(survey().loads).toHaveLength(2);
    undo();
    expect(survey().loads.at(-1)?.label).toBe('Bilge pump');
  });

  it('a method other than the rules’ own needs a reason before it is used', async () => {
    const { survey, assessment } = await atSurvey('loads', {
      changes: [({ loads }) => loads.push({ id: 'kettle', class: 'socket-appliance', powerW: 2300 })],
    });
    choose('Declared maximum demand', 'By appliances');
    expect(survey().declaration).toMatchObject({ basis: 'appliances' });
    expect(assessment().demand.basis).toBe('circuits');
    type('Reason', 'Every socket was opened and followed.');
    expect(assessment().demand.basis).toBe('appliances');
    // 0.66 × 180 W and the kettle at 10 A: less than the 20 A socket circuit.
    expect(assessment().demand.before.L1?.value).toBeLessThan(20);
  });

  it('generation: that there is none is an answer of its own; what there is asks how much it gives', async () => {
    const { survey } = await atSurvey('loads', { changes: [(survey) => delete survey.generation] });
    const panel = region('Generation and storage');
    press('There is none', panel);
    expect(survey().generation).toEqual([]);
    press('Add what there is', panel);
    expect(openHere()).toContain('how much does it give?');
    fireEvent.click(within(panel).getByRole('button', { name: 'The most it gives, each phase: 16 A' }));
    expect(survey().generation?.[0]?.ratedA).toBe(16);
    expect(openHere()).not.toContain('how much does it give?');
  });
});
