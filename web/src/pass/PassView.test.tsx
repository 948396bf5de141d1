/** @jest-environment jsdom */
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { act, fireEvent, screen, within } from '@testing-library/react';
import { atSurvey, press, region, type } from '../testing/at-survey';

const question = (): string => screen.getByRole('heading', { level: 1 }).textContent;
const card = (): HTMLElement => screen.getByRole('region', { name: 'Next question' });

/** As long as an answer stays to be seen. */
async function aMoment(): Promise<void> {
  await act(() => new Promise((resolve) => setTimeout(resolve, 500)));
}

function answer(name: RegExp): void {
  fireEvent.click(within(card()).getByRole('radio', { name }));
}

/** Leaves open whatever is still asked in this round; how many that was. */
function leaveTheRest(): number {
  for (let left = 0; ; left += 1) {
    if (screen.queryByRole('region', { name: 'End of the pass' })) return left;
    press('Leave open');
  }
}

describe('the next question', () => {
  it('begins with the customer, stays while something is typed, and goes on when it is said to be complete', async () => {
    const { survey } = await atSurvey('next', { survey: blankSurvey() });
    expect(question()).toBe('What is the address?');
    fireEvent.click(screen.getByLabelText('Address'));
    type('Address', '3 Test Lane');
    await aMoment();
    expect(question()).toBe('What is the address?');
    press('Next');
    expect(survey().place.addressLine1).toBe('3 Test Lane');
    expect(question()).toBe('What is the meter point number?');
    expect(document.activeElement?.textContent).toBe('What is the meter point number?');
  });

  it('one tap answers and goes on; back shows the answer again, and another may be given', async () => {
    const { survey } = await atSurvey('next', { changes: [({ place }) => delete place.premises] });
    expect(question()).toBe('What kind of premises is it?');
    answer(/^Household/);
    await aMoment();
    expect(survey().place.premises).toBe('household');
    press(screen.queryByRole('region', { name: 'End of the pass' }) ? 'Back' : 'Question before');
    expect(question()).toBe('What kind of premises is it?');
    answer(/^Guest house/);
    expect(survey().place.premises).toBe('guest-house');
  });

  it('left open, a question comes again only in the next round', async () => {
    await atSurvey('next', {
      changes: [({ place }) => delete place.premises, ({ place }) => delete place.postcode],
    });
    const first = question();
    press('Leave open');
    expect(question()).not.toBe(first);
    const left = leaveTheRest() + 1;
    expect(region('End of the pass').textContent).toContain(`${left} questions are still open`);
    press('Go through them again');
    expect(question()).toBe(first);
  });

  it('skipped to the operator, it waits there with its asker and time, is no card any more, and can be taken up again', async () => {
    const { survey, assessment } = await atSurvey('next', { changes: [({ supply }) => delete supply.phases] });
    expect(question()).toBe('Single-phase or three-phase?');
    press('Skip');
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Ask the operator' }));
    expect(survey().putOff).toMatchObject([{ question: 'phases-not-said', to: 'operator', by: 'Isla Tester' }]);
    expect(assessment().questions.find(({ id }) => id === 'phases-not-said')?.askOf).toBe('operator');
    leaveTheRest();
    expect(region('Waiting for the operator').textContent).toContain('Single-phase or three-phase?');
    press('Ask again here: Single-phase or three-phase?');
    expect(survey().putOff).toEqual([]);
  });

  it('a big answer shows that it is taken, and a second tap takes it no second time', async () => {
    const { survey } = await atSurvey('next', {
      changes: [
        (changed) => {
          changed.loads = changed.loads.filter((load) => load.class !== 'socket-circuit');
        },
      ],
    });
    while (!screen.queryByRole('button', { name: '2 rings on 32 A' })) press('Leave open');
    const rings = screen.getByRole('button', { name: '2 rings on 32 A' });
    fireEvent.click(rings);
    expect(rings.getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(rings);
    expect(survey().loads.filter((load) => load.class === 'socket-circuit')).toMatchObject([{ quantity: 2 }]);
    await aMoment();
    expect(screen.queryByRole('button', { name: '2 rings on 32 A' })).toBeNull();
  });

  it('a figure is keyed, and counts as it is keyed', async () => {
    const { survey } = await atSurvey('next', {
      changes: [({ supply }) => delete supply.nodes.find(({ kind }) => kind === 'meter')?.ratingA],
    });
    expect(question()).toBe('Meter: what is its maximum current?');
    const keys = within(card()).getByRole('group', { name: 'Keys for Maximum current' });
    for (const key of ['1', '0', '0']) fireEvent.click(within(keys).getByRole('button', { name: key, hidden: true }));
    expect(survey().supply.nodes.find(({ kind }) => kind === 'meter')?.ratingA).toBe(100);
    await aMoment();
    expect(question()).toBe('Meter: what is its maximum current?');
  });

  it('keys a figure to its end where its first digit turns what is asked into a look, which comes next', async () => {
    const { survey } = await atSurvey('next', {
      changes: [
        ({ supply }) => {
          for (const node of supply.nodes) if (['meter', 'cut-out'].includes(node.kind)) delete node.ratingA;
        },
      ],
    });
    while (question() !== 'Meter: what is its maximum current?') press('Leave open');
    for (const key of ['8', '0']) {
      const keys = within(card()).getByRole('group', { name: 'Keys for Maximum current' });
      fireEvent.click(within(keys).getByRole('button', { name: key, hidden: true }));
      await aMoment();
    }
    expect(survey().supply.nodes.find(({ kind }) => kind === 'meter')?.ratingA).toBe(80);
    press('Next');
    expect(question()).toMatch(/^Meter: /);
    expect(within(card()).getByRole('radio', { name: /^Looked, fine/ })).toBeTruthy();
  });

  it('a card of several answers stays until the last of them, though its question is settled before', async () => {
    const { survey } = await atSurvey('next', {
      changes: [
        ({ proposals }) => delete proposals[0]?.circuit?.deviceRatingA,
        ({ proposals }) => delete proposals[0]?.circuit?.curve,
      ],
    });
    expect(question()).toMatch(/which device will protect it\?$/);
    press(/40 A/);
    press('Enter 40 A');
    await aMoment();
    expect(question()).toMatch(/which device will protect it\?$/);
    answer(/^B$/);
    expect(survey().proposals[0]?.circuit).toMatchObject({ deviceRatingA: 40, curve: 'B' });
    await aMoment();
    expect(question()).not.toMatch(/which device/);
    expect(document.activeElement?.textContent).toBe(question());
  });
});
