/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { atSurvey, choose, openHere, type } from '../../testing/at-survey';

describe('the loop station', () => {
  it('adds the neighbours’ demand to this property’s: 20.52 + 60 = 80.5 A now, 52.52 + 60 = 112.5 A after', async () => {
    const { survey } = await atSurvey('loop', {
      changes: [(survey) => (survey.intake.loop = {})],
    });
    choose('Two service cables at the cut-out', 'Seen');
    choose('Loop status', 'Feeds next door');
    expect(survey().intake.loop).toMatchObject({ status: 'feeds-next-door', signs: [{ answer: 'not-fine' }] });
    type('What the shared service may carry', '100');
    expect(screen.getByRole('button', { name: /^Together now: 80\.5 A/ })).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Together after: 112\.5 A/ })).toBeTruthy();
    // What next door really draws takes the place of what is assumed.
    type('Their demand together, each phase', '20');
    expect(screen.getByRole('button', { name: /^Together now: 40\.5 A/ })).toBeTruthy();
    expect(openHere()).toContain('2 to 6 months');
  });
  it('asks how a service is known not to be looped, and takes outward signs for not known', async () => {
    const { survey, assessment } = await atSurvey('loop', { changes: [(survey) => (survey.intake.loop = {})] });
    expect(screen.queryByRole('radiogroup', { name: 'How is that known?' })).toBeNull();
    choose('Loop status', 'Not looped');
    choose('How is that known?', 'Outward signs only');
    expect(assessment().supply.loop).not.toBe('own');
    choose('How is that known?', 'Cable traced');
    expect(assessment().supply.loop).toBe('own');
    expect(survey().intake.loop.evidence).toBe('cable-traced');
  });
});
