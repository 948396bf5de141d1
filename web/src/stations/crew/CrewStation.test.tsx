/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { atSurvey, press, region, type } from '../../testing/at-survey';
import { priced, pricesAnswer } from '../../testing/priced';

const at = (events: readonly object[] = []) =>
  atSurvey('crew', {
    changes: [priced],
    answers: { ...pricesAnswer(), '/jobs/job-1/events': { events } },
  });
const tick = (name: RegExp): void => {
  fireEvent.click(screen.getByRole('checkbox', { name }));
};

describe('the crew sheet', () => {
  it('has where, what to load, and what is fitted', async () => {
    await at();
    expect(within(region('Where, when, whom to ring')).getByText(/1 Test Lane/)).toBeTruthy();
    expect(
      within(region('Load in the van')).getByRole('checkbox', { name: /Flat twin and earth, 6\smm²: 12\sm/ }),
    ).toBeTruthy();
    expect(region('Cautions').textContent).toMatch(/Only the operator may remove the cut-out fuse/);
  });

  it('is ticked with who and when, and a tick is taken back', async () => {
    const { survey } = await at();
    tick(/^Device: MCB B40/);
    expect(survey().fit?.ticks).toMatchObject([{ id: 'device-car', by: 'Isla Tester' }]);
    tick(/^Device: MCB B40/);
    expect(survey().fit?.ticks).toEqual([]);
  });

  it('what is fitted differently becomes what the survey says, with the plan beside it', async () => {
    const { survey, undo } = await at();
    press('Fitted differently: Cable');
    const here = region('As fitted: Cable');
    type('As fitted', '10', here);
    type('Why', 'Only that was in the van', here);
    press('Record what was fitted', here);
    expect(survey().proposals[0]?.circuit?.sizeMm2).toBe(10);
    expect(survey().fit?.differences).toMatchObject([
      { id: 'cable-car', planned: '6 mm²', fitted: '10 mm²', why: 'Only that was in the van', by: 'Isla Tester' },
    ]);
    expect(region('Fitted differently').textContent).toContain('10 mm² in place of 6 mm²');
    // One step: the figure and what is said of it go back together.
    undo();
    expect(survey().proposals[0]?.circuit?.sizeMm2).toBe(6);
    expect(survey().fit).toBeUndefined();
  });

  it('on a phone opens whom to ring, the dangers and the next part; the others are a press away', async () => {
    await at();
    const openParts = (): (string | null)[] =>
      screen
        .getAllByRole('button', { expanded: true })
        .map((each) => each.closest('section')?.getAttribute('aria-label') ?? null)
        .filter((each) => each !== null);
    expect(openParts()).toEqual(['Where, when, whom to ring', 'Cautions', 'Load in the van']);
    press(/^Load in the van/);
    press(/^Device, cable and terminals/);
    expect(openParts()).toEqual(['Where, when, whom to ring', 'Cautions', 'Device, cable and terminals']);
    // The last tick of a part does not close it under the thumb.
    within(region('Cautions'))
      .getAllByRole('checkbox')
      .forEach((each) => {
        fireEvent.click(each);
      });
    expect(openParts()).toContain('Cautions');
    expect(region('Cautions').textContent).toMatch(/(\d+) of \1/);
  });

  it('hours are entered for the tasks that were estimated', async () => {
    const { survey } = await at();
    type('Run and fix cable', '1.5', region('Hours and materials used'));
    expect(survey().fit?.hours).toEqual([{ id: 'run-cable', hours: 1.5 }]);
  });
});
