/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { atSurvey, press, region, type, type Given } from '../../testing/at-survey';
import { priced, pricesAnswer } from '../../testing/priced';

const at = (given: Given = {}) =>
  atSurvey('materials', {
    ...given,
    changes: [priced, ...(given.changes ?? [])],
    answers: { ...pricesAnswer(), ...given.answers },
  });
const line = (name: RegExp): HTMLElement => {
  const found = screen.getAllByRole('button', { name }).find((each) => each.hasAttribute('aria-expanded'));
  const item = found?.closest('li');
  if (!item) throw new Error(`no line ${String(name)}`);
  return item;
};
const toPay = (): string => within(region('Sums')).getByRole('button', { name: /^To pay/ }).textContent;

describe('materials and price', () => {
  it('shows every line with where it comes from, and the sum to the penny', async () => {
    await at();
    // 402.31 of materials and 236.00 of work, 20 % on it: see the estimate’s own test.
    expect(toPay()).toBe('£765.97');
    expect(within(line(/Flat twin and earth, 6 mm².*section 1/)).getByText('11 m')).toBeTruthy();
  });

  it('a sum opens its working, down to the price list', async () => {
    await at();
    press(/^Materials: /, region('Sums'));
    expect(await screen.findByText('11 × £2.17 × 125 % = £29.84')).toBeTruthy();
    expect(screen.getAllByText(/Source: price list, Flat twin/).length).toBeGreaterThan(0);
  });

  it('a line takes another quantity, says what the survey has, and goes back to it', async () => {
    const { survey } = await at();
    press(/Flat twin and earth, 6 mm².*section 1/, region('Materials'));
    type('How much', '20', line(/Flat twin and earth, 6 mm².*section 1/));
    expect(survey().works?.lines).toEqual([{ id: 'wall-cable', quantity: 20, by: 'Isla Tester' }]);
    expect(screen.getByText(/changed; the survey says 11 m/)).toBeTruthy();
    press('Back to what the survey says');
    expect(survey().works?.lines).toEqual([]);
    expect(toPay()).toBe('£765.97');
  });

  it('a struck line stays to be seen, lowers the sum, and undo puts it back', async () => {
    const { survey, undo } = await at();
    press(/^Set of labels and notices Labels/, region('Materials'));
    press('Strike this line');
    expect(survey().works?.lines).toMatchObject([{ id: 'site-labels', struck: true }]);
    // 563 pence of labels, and 20 % of them.
    expect(toPay()).toBe('£759.22');
    expect(within(line(/Set of labels/)).getByText(/struck/)).toBeTruthy();
    undo();
    expect(toPay()).toBe('£765.97');
  });

  it('an item of the price list is added by its words', async () => {
    const { survey } = await at();
    press('Add a line');
    await userEvent.type(screen.getByLabelText('What'), 'post ped');
    press('Post or pedestal for equipment');
    expect(survey().works?.lines).toMatchObject([{ item: 'post', quantity: 1 }]);
    expect(toPay()).toBe('£1,043.47');
  });

  it('words of one’s own have no price, and that is said', async () => {
    await at();
    press('Add a line');
    await userEvent.type(screen.getByLabelText('What'), 'Scaffold');
    press('Add it in these words');
    expect(screen.getByText('1 line has no price: the sum is of the rest.')).toBeTruthy();
    expect(toPay()).toBe('£765.97');
  });

  it('where prices are kept from somebody the lines stand without money', async () => {
    await at({ answers: pricesAnswer({}, true) });
    expect(screen.queryByRole('button', { name: /^To pay/ })).toBeNull();
    expect(document.body.textContent).not.toContain('£');
    expect(screen.getByText(/keeps prices from your role/)).toBeTruthy();
  });

  it('with nothing to connect says where to go', async () => {
    await at({ changes: [(survey) => void (survey.proposals = [])] });
    expect(screen.getByText(/nothing is bought or done/)).toBeTruthy();
  });
});

describe('steps in time', () => {
  it('are planned, each with its settings, its route and its sum', async () => {
    const { survey } = await at();
    press('Plan two steps');
    expect(survey().stages).toHaveLength(2);
    const first = region('Step 1');
    expect(await within(first).findByText(/held to/)).toBeTruthy();
    expect(await within(first).findByText(/to pay in this step/)).toBeTruthy();
    expect(within(first).getByText(/Route: Fit, then notify/)).toBeTruthy();
    press('Remove step 1');
    press('Remove step 1');
    expect(survey().stages).toBeUndefined();
  });
});
