/** @jest-environment jsdom */
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { SWRConfig } from 'swr';
import type { Instrument } from '../api/instruments';
import { fakeServer, Refusal, type Asked } from '../testing/fake-server';
import InstrumentsPage from './InstrumentsPage';

const LOOP: Instrument = {
  id: 'loop',
  name: 'Loop tester',
  serial: 'LT-1',
  calibrationDue: '2020-03-01',
  retired: false,
};
const CLAMP: Instrument = { id: 'clamp', name: 'Clamp meter', serial: '', calibrationDue: null, retired: false };

/** The page over a server that has these; what is put replaces or joins them, unless it refuses. */
function open(instruments: readonly Instrument[], refuse?: Refusal): readonly Asked[] {
  let known = [...instruments];
  const asked = fakeServer(({ method, path, body }) => {
    if (method === 'GET') return { instruments: known };
    if (refuse) return refuse;
    const id = path.split('/').at(-1) ?? '';
    const put = { calibrationDue: null, ...(body as object), id } as Instrument;
    known = known.some((each) => each.id === id) ? known.map((each) => (each.id === id ? put : each)) : [...known, put];
    return { instruments: known };
  });
  render(
    <SWRConfig value={{ provider: () => new Map(), shouldRetryOnError: false }}>
      <MemoryRouter>
        <InstrumentsPage />
      </MemoryRouter>
    </SWRConfig>,
  );
  return asked;
}

const puts = (asked: readonly Asked[]): readonly Asked[] => asked.filter(({ method }) => method === 'POST');

describe('the firm’s instruments', () => {
  it('says what to do where there are none', async () => {
    open([]);
    expect(await screen.findByText('None yet. Add the testers the firm uses.')).toBeTruthy();
  });

  it('adds one with its serial number, which it then stands under', async () => {
    const asked = open([]);
    await userEvent.click(await screen.findByRole('button', { name: 'Add an instrument' }));
    const save = screen.getByRole('button', { name: 'Save' });
    expect(save).toHaveProperty('disabled', true);
    await userEvent.type(screen.getByLabelText('What it is'), ' Insulation tester ');
    await userEvent.type(screen.getByLabelText('Serial number'), 'IT-7');
    await userEvent.click(save);
    expect(await screen.findByRole('region', { name: 'Insulation tester' })).toBeTruthy();
    expect(puts(asked)[0]?.body).toEqual({ name: 'Insulation tester', serial: 'IT-7', retired: false });
  });

  it('tells of one past its date, and no more once it is out of use', async () => {
    const asked = open([LOOP]);
    const panel = await screen.findByRole('region', { name: 'Loop tester' });
    expect(panel.textContent).toContain('Calibration was due on 2020-03-01.');
    await userEvent.click(within(panel).getByRole('button', { name: 'Take out of use: Loop tester LT-1' }));
    await waitFor(() => {
      expect(panel.textContent).toContain('Out of use.');
    });
    expect(panel.textContent).not.toContain('was due');
    expect(puts(asked)[0]?.body).toMatchObject({ retired: true });
    await userEvent.click(within(panel).getByRole('button', { name: /^Put back in use/ }));
    await waitFor(() => {
      expect(panel.textContent).toContain('was due');
    });
  });

  it('keeps what was typed where the server refuses it, and where nobody answers', async () => {
    open([CLAMP], new Refusal(400, { title: 'Not valid', detail: 'The name is too long.' }));
    await userEvent.click(await screen.findByRole('button', { name: /^Change Clamp meter/ }));
    await userEvent.clear(screen.getByLabelText('What it is'));
    await userEvent.type(screen.getByLabelText('What it is'), 'Clamp');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('The name is too long.')).toBeTruthy();
    expect(screen.getByLabelText('What it is')).toHaveProperty('value', 'Clamp');
    globalThis.fetch = () => Promise.reject(new TypeError('no connection'));
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/Nothing typed is lost\./)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(screen.getByRole('region', { name: 'Clamp meter' })).toBeTruthy();
  });
});
