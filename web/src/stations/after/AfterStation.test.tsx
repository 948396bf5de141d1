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

  it('of a row of outlets the lead is pulled once, and what was recorded of one by itself stays', async () => {
    const { survey, undo } = await atSurvey('commissioning', {
      answers: ANSWERS,
      changes: [
        (row) => {
          const [like] = row.proposals;
          const behind = { kind: 'clamp', setPointA: 60, failSafeA: 6, clampNodeId: 'isolator' } as const;
          const ids = ['bay-1', 'bay-2', 'bay-3'];
          row.proposals = ids.map((id) => ({
            ...like,
            kind: 'vehicle-charger',
            id,
            label: id,
            limiter: { ...behind },
          }));
          row.pool = { outlets: ids.map((id) => ({ id })), setPointA: 60, failSafeA: 6, clampNodeId: 'isolator' };
        },
      ],
    });
    const pulled = (): unknown[] => survey().proposals.map(({ limiter }) => limiter.test?.pulledA);
    const [first] = screen.getAllByRole('region', { name: 'Commissioning the limiter' });
    type('Lead pulled: it went to', '13', first);
    expect(first?.textContent).toContain('One lead for 3 outlets: 1 recorded, the highest went to 13 A.');
    press('The other 2 went to 6 A', first);
    expect(pulled()).toEqual([13, 6, 6]);
    expect(first?.textContent).toContain('3 recorded');
    undo();
    expect(pulled()).toEqual([13, undefined, undefined]);
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
