/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { atSurvey, press, region, settled, type } from '../testing/at-survey';

const ANSWERS = { '/jobs/job-1/packs': { packs: [] } };

describe('the review of a survey', () => {
  it('shows the route, the verdicts, what is confirmed and what is assumed, on one page', async () => {
    await atSurvey('review', {
      answers: ANSWERS,
      changes: [(survey) => (survey.intake.loop = { status: 'not-looped', evidence: 'signs-only' })],
    });
    await settled();
    expect(region('Route').textContent).toContain('Ask, then fit');
    const claims = within(region('Who confirmed what')).getAllByRole('listitem');
    expect(claims.find((each) => each.textContent.includes('Service not looped'))?.textContent).toContain('Assumed');
    expect(claims.find((each) => each.textContent.includes('Cut-out'))?.textContent).toContain('Confirmed');
    expect(region('Since the last pack').textContent).toContain('No pack has been signed yet.');
  });

  it('hands back with a comment, which is asked at its place and answered there', async () => {
    const { survey, goTo, assessment } = await atSurvey('review', { answers: ANSWERS, me: { name: 'Maren Tester' } });
    type('What is to be corrected or explained', 'Which way does the tail go?');
    press('Hand it back with this');
    expect(survey().comments).toMatchObject([
      { station: 'cut-out', says: 'Which way does the tail go?', by: 'Maren Tester' },
    ]);
    await goTo('cut-out');
    const handed = region('Handed back');
    expect(handed.textContent).toContain('Which way does the tail go?');
    type('What was done about it, or why it stands', 'Left, behind the meter.', handed);
    press('Mark it settled', handed);
    expect(survey().comments).toMatchObject([{ reply: 'Left, behind the meter.', settledBy: 'Maren Tester' }]);
    expect(screen.queryByRole('region', { name: 'Handed back' })).toBeNull();
    expect(assessment().findings.filter(({ id }) => id === 'comment-open')).toEqual([]);
  });

  it('is read by the office, which neither hands back nor settles', async () => {
    await atSurvey('review', { answers: ANSWERS, me: { role: 'office' } });
    expect(screen.queryByRole('button', { name: 'Hand it back with this' })).toBeNull();
  });
});
