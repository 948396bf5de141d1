/**
 * @jest-environment jsdom
 * @jsxImportSource preact
 */
import { fireEvent, screen, waitFor, within } from '@testing-library/dom';
import { render } from 'preact';
import type { Asked } from './asked';
import { App } from './app';
import { pageKeep } from './kept';

const ASKED: Asked = {
  firm: 'Fennel',
  telephone: '01632 960 001',
  email: '',
  keptMonths: 24,
  isDone: false,
  steps: [
    {
      id: 'danger',
      ask: 'Is anything scorched?',
      how: 'Look only.',
      parts: ['choice', 'words'],
      choices: [
        { value: 'no', label: 'No' },
        { value: 'yes', label: 'Yes' },
      ],
      again: null,
      isIn: false,
    },
    {
      id: 'meter',
      ask: 'Take a photo of the meter.',
      how: 'All of it.',
      parts: ['picture', 'words'],
      again: null,
      isIn: false,
    },
    { id: 'tariff', ask: 'Who is your supplier?', how: '', parts: ['words'], again: null, isIn: false },
  ],
};

let asked: { path: string; body: Record<string, unknown> }[];
let answer: (path: string) => { status: number; body?: unknown };
beforeEach(() => {
  asked = [];
  answer = (path) => ({ status: 200, body: path === '/open' ? ASKED : {} });
  globalThis.fetch = (input, init) => {
    const path = (input as string).replace('/api/customer', '');
    asked.push({ path, body: JSON.parse(init?.body as string) as Record<string, unknown> });
    const { status, body } = answer(path);
    if (status === 0) return Promise.reject(new Error('no connection'));
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response);
  };
  document.body.innerHTML = '<div id="root"></div>';
});
afterEach(() => {
  render(null, root());
});

const root = (): HTMLElement => document.getElementById('root') as HTMLElement;
const keep = pageKeep();
const show = (): void => {
  render(<App token={`token-${Math.random()}`} keep={keep} />, root());
};
/** Pressed once what came before is drawn, as a thumb would. */
const press = async (name: string | RegExp): Promise<void> => {
  await new Promise((resolve) => setTimeout(resolve, 20));
  fireEvent.click(screen.getByRole('button', { name }));
};
const sent = () => asked.filter(({ path }) => path === '/answer').map(({ body }) => body);

describe('the customer’s page', () => {
  it('says what is kept, for how long and why before the first photo, and not to touch anything', async () => {
    show();
    expect(await screen.findByText(/3 steps, each a photo or an answer/)).toBeTruthy();
    expect(screen.getByText(/keeps it for 24 months/)).toBeTruthy();
    expect(screen.getByText(/Where a photo was taken, and with which phone, is removed/)).toBeTruthy();
    expect(screen.getByText(/Do not open, unscrew, unplug or touch anything/)).toBeTruthy();
  });

  it('asks one thing at a time, sends each on its own, and shows at the end what arrived', async () => {
    show();
    await screen.findByRole('button', { name: 'Start' });
    await press('Start');
    await screen.findByRole('heading', { name: 'Is anything scorched?' });
    await press('Send and go on');
    expect((await screen.findByRole('alert')).textContent).toBe('Choose one of the answers.');
    fireEvent.click(screen.getByRole('radio', { name: 'No' }));
    await press('Send and go on');
    await screen.findByRole('heading', { name: 'Take a photo of the meter.' });
    fireEvent.input(screen.getByLabelText('Anything to add?'), { target: { value: 'It is locked away.' } });
    await press('Send and go on');
    await screen.findByRole('heading', { name: 'Who is your supplier?' });
    await press('I cannot do this');
    await screen.findByRole('heading', { name: '2 of 3 arrived' });
    expect(sent()).toMatchObject([
      { step: 'danger', choice: 'no', pictures: [] },
      { step: 'meter', words: 'It is locked away.' },
    ]);
    const items = screen.getAllByRole('listitem');
    expect(within(items[2] as HTMLElement).getByText('Not answered')).toBeTruthy();
    await press('I am finished');
    expect(await screen.findByText(/Fennel looks at it/)).toBeTruthy();
  });

  it('sends nobody back to a meter that burns: whom to ring, and the steps there are gone', async () => {
    show();
    await screen.findByRole('button', { name: 'Start' });
    await press('Start');
    fireEvent.click(await screen.findByRole('radio', { name: 'Yes' }));
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toMatch(/Keep away from it\..*Ring 105 now.*Fennel: 01632 960 001/);
    await press('Send and go on');
    expect(await screen.findByRole('heading', { name: 'Who is your supplier?' })).toBeTruthy();
    expect(screen.queryByText('Take a photo of the meter.')).toBeNull();
  });

  it('asked again shows only that, with why', async () => {
    const [danger, meter, tariff] = ASKED.steps;
    answer = (path) => ({
      status: 200,
      body:
        path === '/open'
          ? { ...ASKED, steps: [{ ...danger, isIn: true }, { ...meter, again: 'The numbers are blurred.' }, tariff] }
          : {},
    });
    show();
    expect(await screen.findByRole('heading', { name: 'One thing again, please' })).toBeTruthy();
    await press('Start');
    expect(await screen.findByText('The numbers are blurred.')).toBeTruthy();
    expect(screen.getByText('Step 1 of 1')).toBeTruthy();
  });

  it('a closed link says so; without a connection it can be tried again', async () => {
    answer = () => ({ status: 404, body: { detail: 'Ask the firm that sent it.' } });
    show();
    expect(await screen.findByText('Ask the firm that sent it.')).toBeTruthy();
    render(null, root());
    answer = () => ({ status: 0 });
    show();
    await screen.findByRole('heading', { name: 'There is no connection' });
    answer = () => ({ status: 200, body: ASKED });
    await press('Try again');
    await waitFor(() => {
      expect(screen.getByRole('button', { name: 'Start' })).toBeTruthy();
    });
  });

  it('draws what a stranger typed as text', async () => {
    answer = () => ({ status: 200, body: { ...ASKED, firm: '<img src=x onerror=alert(1)>' } });
    show();
    await screen.findByRole('button', { name: 'Start' });
    expect(document.querySelector('img')).toBeNull();
  });
});
