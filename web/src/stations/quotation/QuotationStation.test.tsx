/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { nodeOf, settledSurvey, type Change } from '@keen-gauge/core/testing/settled-survey';
import type { Quotation, QuotationAnswer, Quotations } from '../../api/quotations';
import { atSurvey, press, region } from '../../testing/at-survey';
import { fakeServer, type Asked } from '../../testing/fake-server';
import { priced, pricesAnswer } from '../../testing/priced';

const quotation = (more: Partial<Quotation> = {}): Quotation => ({
  id: 'q1',
  number: 7,
  revision: 1,
  quote: {
    number: 'Q-0007',
    date: '2026-12-01',
    choices: [{ id: 'as-recorded', title: 'New charger', totalPence: 76597 }],
  } as unknown as Quotation['quote'],
  fingerprint: 'f',
  surveySeq: 1,
  validUntil: '2026-12-31',
  state: 'made',
  madeBy: 'Isla',
  madeAt: '2026-12-01T09:00:00Z',
  ...more,
});
const answer = (more: Partial<QuotationAnswer>): QuotationAnswer => ({
  id: 'a1',
  quotationId: 'q1',
  kind: 'question',
  choice: null,
  name: 'A. Tester',
  words: 'When?',
  cameAt: '2026-12-02T09:00:00Z',
  ...more,
});
const all = (quotations: readonly Quotation[], more: Partial<Quotations> = {}): Quotations => ({
  quotations,
  answers: [],
  mails: false,
  ...more,
});

/** A server with these quotations, which answers every write with what comes next. */
function open(
  first: Quotations,
  next: Quotations = first,
  hidden = false,
  differs: Change = () => undefined,
): Promise<{ readonly asked: readonly Asked[] }> {
  const prices = pricesAnswer({}, hidden)['/firm/prices'];
  const asked = fakeServer(({ method, path }) =>
    path === '/firm/prices'
      ? prices
      : path.startsWith('/jobs/job-1/quotations')
        ? method === 'GET'
          ? first
          : next
        : { profiles: [] },
  );
  return atSurvey('quotation', { survey: settledSurvey(priced, differs), fetch: globalThis.fetch }).then(() => ({
    asked,
  }));
}
const sent = (asked: readonly Asked[]) =>
  asked.filter(({ method }) => method === 'POST').map(({ path, body }) => [path.replace('/jobs/job-1', ''), body]);

describe('a quotation', () => {
  it('says beside its price that what is recorded does not fit, and why', async () => {
    await open(all([]), all([]), false, (survey) => {
      // A shower of 60 A beside a charger of 32 A on a cut-out of 60 A.
      nodeOf(survey, 'cut-out').ratingA = 60;
      survey.loads.push({ id: 'shower', class: 'instantaneous-water-heating', currentA: 60 });
    });
    const panel = region('Make a quotation');
    expect((await within(panel).findAllByText('Does not fit')).length).toBeGreaterThan(0);
    expect(panel.textContent).toMatch(/over|above|more than/);
  });
  it('is made of the survey as the server has it', async () => {
    const { asked } = await open(all([]), all([quotation()]));
    await userEvent.click(await screen.findByRole('button', { name: 'Make the quotation' }));
    expect(await screen.findByRole('heading', { name: 'Q-0007: not sent yet' })).toBeTruthy();
    expect(sent(asked)).toMatchObject([
      ['/quotations', { revisionId: 'r1', offered: ['as-recorded'], about: 'Vehicle charger', pictures: [] }],
    ]);
  });

  it('is handed over by a link that is shown once', async () => {
    const { asked } = await open(all([quotation()]), all([quotation({ state: 'sent' })], { token: 'secret' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Make a link to hand over' }));
    expect(await screen.findByText('http://localhost/c/quotation.html#secret')).toBeTruthy();
    expect(sent(asked)).toEqual([['/quotations/q1/link', {}]]);
  });

  it('that nobody has answered gets a revision, under its number', async () => {
    const { asked } = await open(all([quotation({ state: 'sent' })]), all([quotation({ id: 'q2', revision: 2 })]));
    await userEvent.click(await screen.findByRole('button', { name: 'Make revision 2 of Q-0007' }));
    await waitFor(() => {
      expect(sent(asked)).toMatchObject([['/quotations', { revises: 7 }]]);
    });
  });

  it('accepted says by whom, and is sent no more', async () => {
    await open(
      all([quotation({ state: 'accepted' })], {
        answers: [answer({}), answer({ id: 'a2', kind: 'accepted', choice: 'as-recorded', words: null })],
      }),
    );
    const here = await screen.findByRole('region', { name: 'Quotation Q-0007' });
    expect(within(here).getByText(/Accepted by A. Tester/)).toBeTruthy();
    expect(within(here).getByText('When?')).toBeTruthy();
    expect(within(here).queryByRole('button', { name: 'Make a link to hand over' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Make the quotation' })).toBeTruthy();
  });

  it('lines without a price stand in its way, and lead to where they are priced', async () => {
    const prices = pricesAnswer()['/firm/prices'];
    fakeServer(({ path }) =>
      path === '/firm/prices' ? prices : path.includes('quotations') ? all([]) : { profiles: [] },
    );
    await atSurvey('quotation', { survey: settledSurvey(), fetch: globalThis.fetch });
    expect((await screen.findByRole('button', { name: 'Make the quotation' })).hasAttribute('disabled')).toBe(true);
    expect(screen.getByRole('link', { name: /Price or strike them/ })).toBeTruthy();
  });

  it('is not for whom prices are kept from', async () => {
    await open(all([]), all([]), true);
    expect(await screen.findByText('Your firm keeps prices from your role.', { exact: false })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Make the quotation' })).toBeNull();
  });

  it('options to choose from are offered beside, each with its sum', async () => {
    const { asked } = await open(all([]), all([quotation()]));
    await screen.findByRole('button', { name: 'Make the quotation' });
    const held = await screen.findByRole('checkbox', { name: /Held to/ });
    await userEvent.click(held);
    press('Make the quotation', region('Make a quotation'));
    await waitFor(() => {
      expect(sent(asked)).toMatchObject([['/quotations', { offered: ['as-recorded', 'fixed-limit'] }]]);
    });
  });
});
