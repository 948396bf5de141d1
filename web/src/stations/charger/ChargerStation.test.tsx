/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { nodeOf } from '@keen-gauge/core/testing/settled-survey';
import { atSurvey, choose, openHere, pick, press, region, settled, type } from '../../testing/at-survey';

const PROFILE = {
  id: 'dial',
  name: 'Dial charger of ours',
  kind: 'vehicle-charger',
  ratedA: 32,
  phases: 1,
  stepsA: [8, 14, 32],
};

describe('the station of new equipment', () => {
  it('a heat pump: a start above what it runs at is told, and harmonics kept by neither way fail the register', async () => {
    const { survey, assessment } = await atSurvey('charger');
    press('Add something else');
    fireEvent.click(screen.getByRole('menuitem', { name: 'Heat pump' }));
    const panel = region('Heat pump');
    type('Rated current, each phase', '16', panel);
    type('Starting current, each phase', '14', panel);
    expect(openHere()).toContain('starts with 14 A and runs with 16 A');
    type('Starting current, each phase', '24', panel);
    expect(openHere()).not.toContain('starts with');
    pick('Harmonics and flicker', 'Neither', panel);
    expect(survey().proposals.at(-1)).toMatchObject({ kind: 'heat-pump', startingA: 24, harmonics: 'neither' });
    expect(assessment().verdicts.find(({ id }) => id === 'registered')?.answer).toBe(false);
  });

  it('20 A of PV on one phase are more than 16 A may be sent back, and the operator is asked first', async () => {
    const { assessment } = await atSurvey('charger');
    expect(assessment().route.way).toBe('fit-then-notify');
    press('Add something else');
    fireEvent.click(screen.getByRole('menuitem', { name: 'PV' }));
    type('Sends back at most, each phase', '20', region('PV'));
    expect(assessment().route.way).toBe('ask-then-fit');
  });

  it('the firm’s equipment fills a charger in; a setting it does not have is told, and one it has is not', async () => {
    const { survey, goTo } = await atSurvey('charger', {
      changes: [(survey) => (survey.proposals = [])],
      answers: { '/firm/equipment': { profiles: [PROFILE] } },
    });
    press('Add a vehicle charger');
    await settled();
    pick('Choose a charger', 'Dial charger of ours');
    expect(survey().proposals[0]).toMatchObject({ ratedA: 32, stepsA: [8, 14, 32] });
    await goTo('limit');
    choose('How is it kept inside the supply?', 'Fixed limit');
    type('Held to', '13');
    expect(openHere()).toContain('it cannot be set to 13 A');
    press('Held to: 14 A');
    expect(openHere()).not.toContain('cannot be set');
    // 14 A × 230 V = 3.2 kW.
    expect(screen.getByRole('table', { name: 'What each step means' }).textContent).toContain('3.2 kW');
  });

  it('the guards: 20.52 + 32 A on 40 A are 12.5 over; held to 10 A 9.5 are left', async () => {
    await atSurvey('limit', { changes: [(survey) => (nodeOf(survey, 'cut-out').ratingA = 40)] });
    const guards = within(region(/^Guards/));
    // 40 − 20.52 = 19.48 A: of 32, 25, 20, 16, 13, 10 and 6 A the last four hold.
    expect(region(/^Guards/).textContent).toContain('4 of 7 ways hold');
    expect(guards.getByRole('columnheader', { name: 'Cut-out 40 A' })).toBeTruthy();
    const cutOut = (way: RegExp): string | undefined =>
      within(guards.getByRole('row', { name: way }))
        .getAllByRole('cell')
        .find(({ dataset }) => dataset['column'] === 'Cut-out')?.textContent;
    expect(cutOut(/^Full, 32 A/)).toBe('12.5 over');
    expect(cutOut(/^10 A/)).toBe('9.5 left');
  });

  it('the guards: a way of which it is not known whether it holds is told as such, and not as one that fails', async () => {
    await atSurvey('limit', { changes: [(survey) => delete nodeOf(survey, 'meter').ratingA] });
    expect(region(/^Guards/).textContent).toMatch(/0 of 7 ways hold, [1-7] not known/);
  });

  it('a clamp: on the wrong side it is told to see nothing of the charger; before the meter it is refused', async () => {
    const { survey, assessment } = await atSurvey('limit');
    choose('How is it kept inside the supply?', 'Clamp management');
    const place = screen.getByRole('radiogroup', { name: 'Where the clamp sits' });
    const sits = (name: RegExp): void => {
      fireEvent.click(within(place).getByRole('radio', { name }));
    };
    sits(/^Meter/);
    expect(openHere()).toContain('before the meter');
    sits(/^Isolator/);
    expect(openHere()).not.toContain('before the meter');
    type('Set-point', '80');
    type('Fail-safe current', '6');
    expect(survey().proposals[0]?.limiter).toMatchObject({ clampNodeId: 'isolator', setPointA: 80, failSafeA: 6 });
    const limiter = (): string | undefined => assessment().verdicts.find(({ id }) => id === 'limiter')?.why;
    choose('On which conductor?', 'Line');
    choose('Does its arrow point along the current, street to house?', 'No');
    expect(openHere()).toContain('it reads what comes in as going out');
    choose('Does its arrow point along the current, street to house?', 'Yes');
    choose('Would it sit inside sealed equipment?', 'Yes');
    expect(openHere()).toContain('the clamp would sit inside sealed equipment');
    choose('Would it sit inside sealed equipment?', 'No');
    expect(limiter()).not.toContain('sealed');
  });

  it('commissioning by hand: a reading that fell is a reversed clamp, one within tolerance passes', async () => {
    const { assessment } = await atSurvey('commissioning', {
      changes: [
        ({ proposals }) => {
          const [car] = proposals;
          if (car) car.limiter = { kind: 'clamp', clampNodeId: 'isolator', setPointA: 80, failSafeA: 6 };
        },
      ],
    });
    const panel = region('Commissioning the limiter');
    type('Known load switched on', '13', panel);
    type('The reading rose by', '-13', panel);
    expect(panel.textContent).toContain('it fell by 13 A: the clamp is reversed');
    expect(assessment().demand.limiter.commissioned).toBe('failed');
    type('The reading rose by', '12.9', panel);
    expect(assessment().demand.limiter.commissioned).toBe('in-part');
    type('Lead pulled: it went to', '6', panel);
    expect(within(panel).getAllByText('Passed')).toHaveLength(2);
    press('Sign this commissioning now', panel);
    expect(panel.textContent).toContain('Commissioned by Isla');
  });
});
