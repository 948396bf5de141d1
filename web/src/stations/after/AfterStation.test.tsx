/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { atSurvey, choose, press, region, settled, type } from '../../testing/at-survey';

const ANSWERS = {
  '/jobs/job-1/events': { events: [] },
  '/jobs/job-1/packs': { packs: [] },
  '/jobs/job-1/submissions': { conversations: [], hasLink: false },
  '/holidays/england': { today: '2026-03-02', holidays: [] },
};

describe('the station after the job', () => {
  it('tests are judged as they are typed: > 999 MΩ passes, an RCD of 340 ms fails, what is missing is not judged', async () => {
    const { survey } = await atSurvey('tests', { answers: ANSWERS });
    const tests = region(/^Tests of/);
    press('Insulation resistance', tests);
    type('Insulation resistance, MΩ', '> 999', tests);
    const row = (name: RegExp): string => within(tests).getByRole('row', { name }).textContent;
    expect(row(/Insulation resistance/)).toContain('Passes');
    press('RCD trip time', tests);
    type('RCD trip time, ms', '340', tests);
    expect(row(/RCD trip time/)).toContain('Fails');
    expect(row(/Loop impedance Zs/)).toContain('Not judged');
    choose('Polarity right at every point?', 'Yes');
    expect(row(/Polarity/)).toContain('Passes');
    expect(survey().readings.map(({ proposalId }) => proposalId)).toEqual(['car', 'car']);
  });

  it('a job with something owed is closed only with a reason', async () => {
    await atSurvey('after', { answers: ANSWERS });
    await settled();
    const closing = region('Closing the job');
    expect(closing.textContent).toContain('The survey is not signed off.');
    const close = within(closing).getByRole('button', { name: 'Close the job' });
    expect(close.hasAttribute('disabled')).toBe(true);
    type('Why close it with tasks still due?', 'The customer has moved away.', closing);
    expect(close.hasAttribute('disabled')).toBe(false);
  });

  it('a closed job says when, by whom and why, and can be opened again', async () => {
    const events = [
      {
        id: 'e1',
        kind: 'closed',
        day: '2026-03-04',
        details: { note: 'The customer has moved away.' },
        by: 'Maren Tester',
        at: '2026-03-04T10:00:00Z',
      },
    ];
    await atSurvey('after', { answers: { ...ANSWERS, '/jobs/job-1/events': { events } } });
    await settled();
    expect(region('Closing the job').textContent).toContain('The customer has moved away.');
    expect(screen.getByRole('button', { name: 'Open it again' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Close the job' })).toBeNull();
  });
});
