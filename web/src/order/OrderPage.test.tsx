/** @jest-environment jsdom */
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter, Outlet, Route, Routes } from 'react-router';
import { SWRConfig } from 'swr';
import type { Job } from '../api/jobs';
import { fakeServer, type Asked } from '../testing/fake-server';
import OrderPage from './OrderPage';

const job = (values: Partial<Job>): Job =>
  ({
    id: `job-${values.number ?? 1}`,
    number: 1,
    state: 'surveying',
    place: '1 Test Lane',
    wanted: 'Vehicle charger',
    customer: 'A. Tester',
    changedAt: '2026-11-27T09:00:00Z',
    quotation: null,
    archived: false,
    ...values,
  }) as Job;

const ACCEPTED = job({ number: 1, place: '1 Test Lane', quotation: 'accepted' });
const OTHER = job({ number: 2, place: '2 Other Row' });
const row = { item: 'cable', name: 'Cable 6 mm²', unit: 'm', supplierCode: 'C6', need: 32.4, inVan: 10, soldIn: 25 };

let asked: readonly Asked[];
beforeEach(() => {
  asked = fakeServer(({ path }) => {
    if (path === '/firm/order')
      return {
        suppliers: [
          { supplier: 'Counter', pence: 5250, rows: [{ ...row, buy: 25, pence: 5250, jobs: ['1 Test Lane'] }] },
        ],
        open: [{ job: '1 Test Lane', text: 'Cable of the charger' }],
      };
    const jobs = path.includes('search') ? [OTHER] : [ACCEPTED];
    return { jobs, total: jobs.length, stages: {} };
  });
  render(
    <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0 }}>
      <MemoryRouter>
        <Routes>
          <Route element={<Outlet context={{ id: 'me' }} />}>
            <Route path="/" element={<OrderPage />} />
          </Route>
        </Routes>
      </MemoryRouter>
    </SWRConfig>,
  );
});

describe('an order', () => {
  it('begins with what was accepted, and says what to buy of it, what the van has and what has no item', async () => {
    fireEvent.click(await screen.findByRole('button', { name: 'What to buy for 1 job' }));
    const counter = await screen.findByRole('region', { name: 'Counter' });
    expect(counter.textContent).toContain('32.4 m needed, 10 m in the van, sold in 25 m');
    expect(within(counter).getByText('£52.50', { selector: 'h2 + *, h2 + * *' })).toBeTruthy();
    expect(screen.getByText(/1 Test Lane: Cable of the charger/)).toBeTruthy();
    expect(asked.find(({ path }) => path === '/firm/order')?.body).toEqual({ jobs: ['job-1'] });
  });
  it('other jobs are found by their words and stay once they are chosen', async () => {
    await screen.findByText('1 Test Lane');
    const search = screen.getByLabelText('Search for other jobs');
    fireEvent.change(search, { target: { value: 'other' } });
    fireEvent.click(await screen.findByRole('checkbox', { name: /2 Other Row/ }));
    fireEvent.change(search, { target: { value: '' } });
    fireEvent.click(screen.getByRole('checkbox', { name: /1 Test Lane/ }));
    await waitFor(() => {
      expect(screen.getByRole('checkbox', { name: /2 Other Row/ })).toHaveProperty('checked', true);
    });
    fireEvent.click(screen.getByRole('button', { name: 'What to buy for 1 job' }));
    await screen.findByRole('region', { name: 'Counter' });
    expect(asked.find(({ path }) => path === '/firm/order')?.body).toEqual({ jobs: ['job-2'] });
  });
});
