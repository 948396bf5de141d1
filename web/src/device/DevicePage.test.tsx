/** @jest-environment jsdom */
import 'fake-indexeddb/auto';
import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter, Outlet, Route, Routes } from 'react-router';
import { SWRConfig } from 'swr';
import type { Me } from '../api/me';
import { keepAnswer, keepFor } from '../offline/answers';
import { answeredAfter, nothingCame } from '../offline/connection';
import { keepNewJob } from '../offline/new-jobs';
import { jobHere } from '../jobs/start-job';
import { ConnectionBand } from './ConnectionBand';
import DevicePage, { unsentWords } from './DevicePage';
import { isNearlyFull, sizeWords } from './room';
import SignOutSheet from './SignOutSheet';
import { forgetUnsent } from './unsent';

const ME = { id: 'anna', name: 'Anna', rules: { terms: { keptDays: 5 } } } as unknown as Me;
const ID = '6f9619ff-8b86-4d01-b42d-00cf4fc964ff';

async function shown(element: React.ReactNode): Promise<void> {
  await act(async () => {
    render(
      <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0 }}>
        <MemoryRouter>
          <Routes>
            <Route element={<Outlet context={ME} />}>
              <Route path="*" element={element} />
            </Route>
          </Routes>
        </MemoryRouter>
      </SWRConfig>,
    );
    await new Promise((resolve) => setTimeout(resolve, 60));
  });
}

beforeEach(async () => {
  keepFor('anna');
  await forgetUnsent('anna');
  answeredAfter(10);
});

describe('this device', () => {
  it('says that everything is with the server where it is, and for how many days copies are kept', async () => {
    await shown(<DevicePage />);
    const waiting = screen.getByRole('region', { name: 'To be sent' });
    expect(within(waiting).getByRole('status').textContent).toContain('Everything you did is with the server.');
    expect(within(waiting).getByRole('button', { name: 'Send now' }).hasAttribute('disabled')).toBe(true);
    expect(screen.getByText(/Kept for 5 days/)).toBeTruthy();
  });

  it('lists what waits and what is carried along, with its time', async () => {
    nothingCame();
    const made = jobHere({ id: ID, place: '2 Quarry Row', wanted: 'Charger', madeAt: 1 });
    await keepNewJob({ id: ID, personId: 'anna', place: made.place, wanted: made.wanted, revisionId: 'r', madeAt: 1 });
    await keepAnswer(`/jobs/${ID}`, made);
    await keepAnswer(`/jobs/${ID}/survey`, {}, Date.parse('2026-03-02T08:15:00Z'));
    await shown(<DevicePage />);
    const waiting = screen.getByRole('region', { name: 'To be sent' });
    expect(within(waiting).getByRole('status').textContent).toContain('No connection.');
    expect(within(waiting).getByText('new job')).toBeTruthy();
    const carried = screen.getByRole('region', { name: 'Carried along' });
    const link = await within(carried).findByRole('link', { name: /2 Quarry Row/ });
    expect(link.getAttribute('href')).toBe(`/jobs/${ID}`);
    expect(within(carried).getByText(/as of 2 Mar/)).toBeTruthy();
    expect(within(carried).getByRole('button', { name: 'Take along now' }).hasAttribute('disabled')).toBe(true);
  });

  it('counts what waits in words', () => {
    const none = { jobId: 'a', isNew: false, isTyped: false, pictures: 0, logs: 0, signatures: 0 };
    expect(unsentWords({ ...none, isTyped: true, pictures: 1, logs: 2 })).toBe('answers, 1 photograph, 2 logs');
    expect(unsentWords({ ...none, isNew: true, pictures: 6, signatures: 1 })).toBe(
      'new job, 6 photographs, a signature',
    );
    expect(unsentWords({ ...none, refused: 'Too long.' })).toBe('The server would not take it: Too long.');
  });

  it('sizes are said as people say them, and little room is noticed before there is none', () => {
    expect([820_400, 14_200_000, 1_250_000_000].map(sizeWords)).toEqual(['820 kB', '14 MB', '1.3 GB']);
    expect(isNearlyFull({ taken: 700, given: 1_000_000_000, isLasting: true })).toBe(false);
    expect(isNearlyFull({ taken: 850_000_000, given: 1_000_000_000, isLasting: true })).toBe(true);
    expect(isNearlyFull({ taken: 10, given: 50_000_000, isLasting: true })).toBe(true);
  });
});

describe('the band under the head of every page', () => {
  it('is not there while all is well, says that there is no connection, and that it is slow', async () => {
    await shown(<ConnectionBand personId="anna" />);
    expect(screen.queryByRole('status')).toBeNull();
    act(nothingCame);
    expect(screen.getByRole('status').textContent).toContain('No connection. Work is kept here.');
    act(() => {
      answeredAfter(9000);
    });
    expect(screen.getByRole('status').textContent).toContain('The connection is slow.');
    act(() => {
      answeredAfter(20);
    });
    expect(screen.queryByRole('status')).toBeNull();
  });
});

describe('signing out with something unsent', () => {
  it('says how much, and takes it away only when told twice', async () => {
    await keepNewJob({ id: ID, personId: 'anna', place: 'x', wanted: 'y', revisionId: 'r', madeAt: 1 });
    const went = jest.fn();
    await shown(<SignOutSheet personId="anna" isOpen onClose={() => undefined} onGo={went} />);
    expect(await screen.findByText(/^1 job has work of yours/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Sign out all the same …' }));
    expect(went).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('button', { name: /^Yes, take away/ }));
    await waitFor(() => {
      expect(went).toHaveBeenCalledTimes(1);
    });
  });
});
