/**
 * @jest-environment jsdom
 * @jsxImportSource preact
 */
import { fireEvent, screen, waitFor } from '@testing-library/dom';
import { render } from 'preact';
import { QuotationApp } from './app';
import type { Choice, Shown } from './server';

const choice = (id: string, totalPence: number, more: Partial<Choice> = {}): Choice => ({
  id,
  title: `Way ${id}`,
  does: ['Supply and fit a charger.'],
  lines: [],
  netPence: 100000,
  taxes: [{ name: 'VAT', percent: 20, pence: 20000 }],
  totalPence,
  operatorPence: 0,
  operatorWords: 'We tell the operator afterwards.',
  help: [],
  stages: [],
  ...more,
});
const SHOWN: Shown = {
  quote: {
    format: 'keen-gauge-quotation',
    version: 1,
    number: 'Q-0007',
    revision: 1,
    date: '2026-12-01',
    validUntil: '2026-12-31',
    firm: { name: 'Fennel', address: '1 Test Yard', telephone: '01632 960 001', email: '' },
    to: { name: 'A. Tester', address: '2 Test Lane' },
    about: 'A charger on the drive',
    choices: [choice('one', 120000), choice('two', 150000)],
    assumes: ['The wall is brick.'],
    wouldChange: [],
    excluded: [],
    disruption: [],
    conditions: '',
    pictures: [],
  },
  fingerprint: 'f'.repeat(64),
  state: 'sent',
  isExpired: false,
  hasNewer: false,
  answers: [],
};
const ACCEPTED: Shown = {
  ...SHOWN,
  state: 'accepted',
  answers: [{ kind: 'accepted', choice: 'two', name: 'A. Tester', words: null, cameAt: '2026-12-02T10:00:00Z' }],
};

let asked: { path: string; body: Record<string, unknown> }[];
let answer: (path: string) => { status: number; body?: unknown };
beforeEach(() => {
  asked = [];
  globalThis.fetch = (input, init) => {
    const path = (input as string).replace('/api/quotation', '');
    asked.push({ path, body: JSON.parse(init?.body as string) as Record<string, unknown> });
    const { status, body } = answer(path);
    if (status === 0) return Promise.reject(new TypeError('no signal'));
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response);
  };
});

function open(first: Shown | { status: number; body?: unknown }): void {
  answer = () => ('quote' in first ? { status: 200, body: first } : first);
  document.body.innerHTML = '<div id="root"></div>';
  render(<QuotationApp token="t0ken" />, document.getElementById('root') as HTMLElement);
}
const press = (name: string | RegExp): void => {
  fireEvent.click(screen.getByRole('button', { name }));
};

describe('the customer’s quotation', () => {
  it('cannot be accepted before one of several ways is chosen; then under the fingerprint of what was read', async () => {
    open(SHOWN);
    await screen.findByText('Choose one of these 2:');
    expect(screen.getByRole('button', { name: 'Choose one above to accept it' })).toHaveProperty('disabled', true);
    fireEvent.click(screen.getByRole('radio', { name: /Way two/ }));
    await waitFor(() => {
      press(/^Accept for £1,500.00/);
    });
    await screen.findByRole('heading', { name: 'Accept this quotation' });
    answer = () => ({ status: 200, body: ACCEPTED });
    press('Accept and order');
    await screen.findByText('You accepted this quotation.');
    expect(asked.at(-1)).toMatchObject({
      path: '/accept',
      body: { token: 't0ken', choice: 'two', name: 'A. Tester', fingerprint: SHOWN.fingerprint },
    });
    expect(screen.queryByRole('button', { name: /^Accept/ })).toBeNull();
  });
  it('sent again after the line broke goes under the id it had, so that it counts once', async () => {
    open(SHOWN);
    await screen.findByText('A charger on the drive');
    press('Ask something');
    fireEvent.input(await screen.findByLabelText('Your question'), { target: { value: 'When?' } });
    answer = () => ({ status: 0 });
    await waitFor(() => {
      expect(screen.getByRole('button', { name: 'Send the question' })).toHaveProperty('disabled', false);
    });
    press('Send the question');
    expect((await screen.findByRole('alert')).textContent).toContain('Nothing is lost');
    answer = () => ({ status: 200, body: SHOWN });
    press('Send the question');
    await screen.findByText('Your question has been sent.');
    const [first, second] = asked.filter(({ path }) => path === '/question');
    expect(second?.body['id']).toBe(first?.body['id']);
    expect(second?.body['words']).toBe('When?');
  });
  it('past its last day can be asked about and not accepted', async () => {
    open({ ...SHOWN, isExpired: true });
    await screen.findByText(/past its last day/);
    expect(screen.queryByRole('button', { name: /^Accept|above to accept/ })).toBeNull();
    expect(screen.getByRole('button', { name: 'Ask something' })).toBeTruthy();
  });
  it('steps and what they come to stand in their order', async () => {
    const stage = { settings: ['held to 16 A'], operator: 'We tell the operator.', when: '2027-04-12' };
    const stages = [
      { ...stage, name: 'Now', totalPence: 90000 },
      { ...stage, name: 'A cable of its own', totalPence: 60000 },
    ];
    open({ ...SHOWN, quote: { ...SHOWN.quote, choices: [choice('one', 150000, { stages })] } });
    const now = await screen.findByText('Now');
    const later = screen.getByText('A cable of its own');
    expect(now.compareDocumentPosition(later) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
    expect(document.body.textContent).toContain('£600.00');
  });
  it('a closed link says why; without a signal it can be tried again', async () => {
    open({ status: 404, body: { detail: 'This link does not work any more.' } });
    await screen.findByText('This link does not work any more.');
    open({ status: 0 });
    await screen.findByRole('heading', { name: 'There is no connection' });
    answer = () => ({ status: 200, body: SHOWN });
    press('Try again');
    await screen.findByRole('heading', { name: 'Your quotation' });
  });
});
