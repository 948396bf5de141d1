/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { nodeOf } from '@keen-gauge/core/testing/settled-survey';
import { atSurvey, choose, region, type } from '../../testing/at-survey';

const ANSWERS = {
  '/jobs/job-1/events': { events: [] },
  '/holidays/england': { today: '2026-03-02', holidays: [] },
};

describe('the route station', () => {
  it('with everything known and right: fit, then notify, with the time the notice has', async () => {
    await atSurvey('route', { answers: ANSWERS });
    const route = region('Route');
    expect(route.textContent).toContain('Fit, then notify');
    expect(route.textContent).toContain('Nothing asks for permission first.');
    expect(within(route).queryAllByRole('listitem')).toEqual([]);
    expect(route.textContent).toContain('Any one trigger would turn this into asking first.');
  });

  it('one reason: 20.52 + 32 = 52.5 A on 40 A asks first, says what would lift it, and leads to where it stands', async () => {
    await atSurvey('route', { answers: ANSWERS, changes: [(survey) => (nodeOf(survey, 'cut-out').ratingA = 40)] });
    const route = region('Route');
    expect(route.textContent).toContain('Ask, then fit');
    const reasons = within(route).getAllByRole('listitem');
    expect(reasons.length).toBeGreaterThan(0);
    // Rounded up: 12.5 less would leave a hair too much.
    expect(route.textContent).toContain('at least 12.6 A less');
    for (const link of within(route).getAllByRole('link'))
      expect(link.getAttribute('href')).toMatch(/^\/jobs\/job-1\//);
  });

  it('a looped service asks first whatever the arithmetic says; not known is not fine', async () => {
    const { assessment } = await atSurvey('route', {
      answers: ANSWERS,
      changes: [({ intake }) => (intake.loop = { status: 'unknown' })],
    });
    expect(assessment().route.triggers.map(({ id }) => id)).toContain('looped-or-unknown');
    expect(region('Route').textContent).toContain('The service may be looped');
  });

  it('what else is asked of the operator is asked first: a larger fuse, and which', async () => {
    const { survey, assessment } = await atSurvey('route', { answers: ANSWERS });
    expect(screen.queryByLabelText('The fuse asked for')).toBeNull();
    choose('A larger cut-out fuse?', 'Yes');
    type('The fuse asked for', '100');
    expect(survey().request).toMatchObject({ fuseUpgrade: true, wantedFuseA: 100 });
    expect(assessment().route.way).toBe('ask-then-fit');
    choose('A larger cut-out fuse?', 'No');
    expect(screen.queryByLabelText('The fuse asked for')).toBeNull();
    expect(assessment().route.way).toBe('fit-then-notify');
  });

  it('every verdict stands with its grounds', async () => {
    const { assessment } = await atSurvey('route', { answers: ANSWERS });
    const rests = region('What this rests on');
    for (const { name } of assessment().verdicts) expect(rests.textContent).toContain(name);
  });
});
