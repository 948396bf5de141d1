/** @jest-environment jsdom */
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { screen } from '@testing-library/react';
import { VIEWS } from '../stations/station-names';
import { atSurvey } from '../testing/at-survey';

/** What this page says when a part of it has failed. */
const FAILED = /Something went wrong here|This part could not be loaded/;

describe('every view of a survey', () => {
  it.each(VIEWS)('%s stands with nothing recorded', async (view) => {
    await atSurvey(view, { survey: blankSurvey() });
    expect(screen.getAllByRole('heading', { level: 1 }).length).toBeGreaterThan(0);
    expect(document.body.textContent).not.toMatch(FAILED);
  });

  it.each(VIEWS)('%s stands with a home settled, and no two things asked there have one name', async (view) => {
    await atSurvey(view);
    expect(document.body.textContent).not.toMatch(FAILED);
    const ids = [...document.querySelectorAll('[id]')].map(({ id }) => id);
    expect(ids.filter((id, at) => ids.indexOf(id) !== at)).toEqual([]);
    const groups = screen.queryAllByRole('radiogroup').map((group) => group.getAttribute('aria-labelledby'));
    expect(new Set(groups).size).toBe(groups.length);
  });
});
