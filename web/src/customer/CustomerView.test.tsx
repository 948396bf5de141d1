/** @jest-environment jsdom */
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { CUSTOMER_STEPS } from '@keen-gauge/core/customer/steps';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { CustomerReply, FromCustomer } from '../api/customer';
import { atSurvey } from '../testing/at-survey';
import { fakeServer, type Asked } from '../testing/fake-server';

const asked = (step: string) => {
  const found = CUSTOMER_STEPS.find(({ id }) => id === step);
  if (!found) throw new Error(step);
  return found;
};
const reply = (more: Partial<CustomerReply>): CustomerReply => ({
  id: 'r1',
  linkId: 'l1',
  asked: asked(more.step ?? 'shower'),
  step: 'shower',
  round: 1,
  says: { choice: '1' },
  cameAt: '2026-11-30T18:00:00Z',
  state: 'came',
  reason: null,
  decidedBy: null,
  pictures: [],
  ...more,
});
const from = (answers: readonly CustomerReply[], more: Partial<FromCustomer> = {}): FromCustomer => ({
  mails: true,
  link: {
    id: 'l1',
    steps: CUSTOMER_STEPS.filter(({ id }) => ['danger', 'shower', 'tariff'].includes(id)),
    madeBy: 'Isla',
    madeAt: '2026-11-29T09:00:00Z',
    expiresAt: '2999-01-01T00:00:00Z',
    revokedAt: null,
    openedAt: '2026-11-30T17:00:00Z',
    doneAt: null,
  },
  answers,
  ...more,
});
const survey = () => ({
  ...blankSurvey(),
  proposals: [{ id: 'car', kind: 'vehicle-charger' as const, ratedA: 32, limiter: {} }],
});
const sent = (asked: readonly Asked[]) =>
  asked.filter(({ method }) => method === 'POST').map(({ path, body }) => [path.replace(/^\/jobs\/[^/]+/, ''), body]);

describe('what came from the customer', () => {
  it('is shown beside what taking it would change; taken, it is in the survey as the customer’s word', async () => {
    const asked = fakeServer(({ method }) =>
      method === 'GET' ? from([reply({})]) : from([reply({ state: 'taken', decidedBy: 'Me' })]),
    );
    const { store } = await atSurvey('customer', { survey: survey(), fetch: globalThis.fetch });
    const card = await screen.findByRole('region', { name: /electric shower/ });
    expect(within(card).getByText('Yes, one')).toBeTruthy();
    expect(within(card).getByText(/Adds a load, assumed until confirmed: Electric shower 9.5 kW/)).toBeTruthy();
    await userEvent.click(within(card).getByRole('button', { name: 'Take it into the survey' }));
    await waitFor(() => {
      expect(sent(asked)).toEqual([['/customer/answers/r1/take', {}]]);
    });
    expect(store.get().survey.loads).toMatchObject([{ id: 'r1', assumed: true }]);
    expect(store.get().survey.statements).toMatchObject([{ id: 'r1', says: 'Yes, one' }]);
    expect(await screen.findByText('Decided: 1')).toBeTruthy();
  });

  it('is asked again only with a reason, and changes nothing then', async () => {
    const asked = fakeServer(({ method }) =>
      method === 'GET' ? from([reply({})]) : from([reply({ state: 'again', reason: 'Why?' })]),
    );
    const { store } = await atSurvey('customer', { survey: survey(), fetch: globalThis.fetch });
    const user = userEvent.setup();
    await user.click(await screen.findByRole('button', { name: 'Ask again …' }));
    const button = screen.getByRole('button', { name: 'Ask again' });
    expect(button.hasAttribute('disabled')).toBe(true);
    await user.type(screen.getByLabelText(/What should be different/), 'Is there a cord?');
    await user.click(button);
    await waitFor(() => {
      expect(sent(asked)).toEqual([['/customer/answers/r1/again', { reason: 'Is there a cord?' }]]);
    });
    expect(store.get().survey.loads).toEqual([]);
    expect(await screen.findByText(/1 asked again and not back yet/)).toBeTruthy();
  });

  it('by a link before this one is still there to be reviewed, and not to be asked again', async () => {
    fakeServer(() => from([reply({ linkId: 'l0' })]));
    await atSurvey('customer', { survey: survey(), fetch: globalThis.fetch });
    expect(await screen.findByRole('button', { name: 'Take it into the survey' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Ask again …' })).toBeNull();
    expect(screen.getByText(/; 0 came\./)).toBeTruthy();
  });

  it('of danger is told at once, with whom to ring', async () => {
    fakeServer(() => from([reply({ step: 'danger', says: { choice: 'yes', words: '<b>smoke</b>' } })]));
    await atSurvey('customer', {
      survey: { ...survey(), place: { customerPhone: '01632 960 118' } },
      fetch: globalThis.fetch,
    });
    expect(await screen.findByText(/Ring the customer now/)).toBeTruthy();
    expect(screen.getByText('01632 960 118')).toBeTruthy();
    // What a stranger typed is text.
    expect(screen.getByText(/<b>smoke<\/b>/)).toBeTruthy();
  });
});

describe('asking the customer', () => {
  it('ticks what helps with what is open, and makes a link that is shown once', async () => {
    const asked = fakeServer(({ method }) =>
      method === 'GET' ? { link: null, answers: [], mails: false } : from([], { token: 'secret', mails: false }),
    );
    await atSurvey('customer', { survey: survey(), fetch: globalThis.fetch });
    await screen.findByRole('heading', { name: 'Ask the customer' });
    expect(screen.queryByRole('button', { name: 'Send the link' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Make a link to hand over' }));
    expect(await screen.findByText('http://localhost/c/#secret')).toBeTruthy();
    const [[, body] = []] = sent(asked);
    const { steps } = body as { steps: string[] };
    expect(steps).toEqual(expect.arrayContaining(['danger', 'cut-out-label', 'heating', 'bill']));
    expect(steps).toEqual(CUSTOMER_STEPS.map(({ id }) => id).filter((id) => steps.includes(id)));
  });
});
