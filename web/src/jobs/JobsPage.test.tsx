/** @jest-environment jsdom */
import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter, Outlet, Route, Routes, useLocation } from 'react-router';
import { SWRConfig } from 'swr';
import type { Job } from '../api/jobs';
import { JobsPage } from './JobsPage';

const job = (values: Partial<Job>): Job => ({
  id: `job-${values.number ?? 1}`,
  number: 1,
  state: 'surveying',
  place: '1 Test Lane',
  wanted: 'Vehicle charger',
  customer: 'A. Tester',
  route: 'ask-then-fit',
  nextQuestion: null,
  changedAt: '2026-11-27T09:00:00Z',
  createdBy: 'Isla Tester',
  answer: null,
  assignedTo: null,
  nextOn: null,
  nextWhat: null,
  late: false,
  archived: false,
  ...values,
});

const JOBS = [
  job({ number: 1, place: '1 Test Lane', nextOn: '2026-11-20', nextWhat: 'reply', late: true, state: 'with-operator' }),
  job({ number: 2, place: '2 Test Lane', fromCustomer: 3, assignedTo: { id: 'p2', name: 'Tobin Tester' } }),
];

/** What was asked of the server: method, path and what was sent. */
let asked: { method: string; path: string; body: unknown }[];

beforeEach(() => {
  asked = [];
  globalThis.matchMedia = ((query: string) => ({
    matches: true,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  })) as unknown as typeof matchMedia;
  globalThis.fetch = (input, init) => {
    const path = (input as string).replace(/^.*\/api/, '');
    const method = init?.method ?? 'GET';
    asked.push({ method, path, body: typeof init?.body === 'string' ? JSON.parse(init.body) : undefined });
    const answer = path.startsWith('/people')
      ? { people: [{ id: 'p2', name: 'Tobin Tester', role: 'surveyor' }] }
      : method === 'PATCH'
        ? JOBS[0]
        : { jobs: JOBS, total: 2, stages: { 'with-operator': 1, surveying: 1 } };
    return Promise.resolve({
      ok: true,
      status: 200,
      headers: new Map([['content-type', 'application/json']]) as unknown as Headers,
      json: () => Promise.resolve(answer as unknown),
      text: () => Promise.resolve(JSON.stringify(answer)),
    } as Response);
  };
});

function Where() {
  return <output data-testid="address">{useLocation().search}</output>;
}

async function shown(address = '/'): Promise<void> {
  render(
    <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0 }}>
      <MemoryRouter initialEntries={[address]}>
        <Routes>
          <Route element={<Outlet context={{ id: 'me', name: 'Isla Tester' }} />}>
            <Route
              path="*"
              element={
                <>
                  <JobsPage />
                  <Where />
                </>
              }
            />
          </Route>
        </Routes>
      </MemoryRouter>
    </SWRConfig>,
  );
  await screen.findAllByRole('list');
}
const rows = (): HTMLElement[] => screen.getAllByRole('listitem');
const menu = async (row: HTMLElement, entry: string): Promise<void> => {
  fireEvent.click(within(row).getByRole('button', { name: /^More for/ }));
  fireEvent.click(await screen.findByRole('menuitem', { name: entry }));
  await act(() => new Promise((resolve) => setTimeout(resolve, 10)));
};

describe('the list of jobs', () => {
  it('says of each job its stage, whose it is, and what is next or late', async () => {
    await shown();
    expect(rows()[0]?.textContent).toMatch(/With the operator.*Late: Operator’s reply, Fri,? 20 Nov.*Not assigned/);
    expect(rows()[1]?.textContent).toContain('Tobin Tester');
  });

  it('asks the server what its address asks, and keeps a filter there', async () => {
    await shown('/?order=next&late=yes');
    expect(asked.map(({ path }) => path)).toContain('/jobs?late=yes&order=next');
    fireEvent.click(screen.getByRole('button', { name: 'Group by stage' }));
    await screen.findByRole('list', { name: 'Jobs: With the operator' });
    expect(screen.getByTestId('address').textContent).toBe('?late=yes&order=next&group=stage');
    fireEvent.click(screen.getByRole('button', { name: 'Clear the filter' }));
    expect(screen.getByTestId('address').textContent).toBe('?order=next&group=stage');
  });

  it('archives a job, says so, and takes it back', async () => {
    await shown();
    await menu(rows()[0] as HTMLElement, 'Archive');
    expect(asked).toContainEqual({ method: 'PATCH', path: '/jobs/job-1', body: { archived: true } });
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    await act(() => new Promise((resolve) => setTimeout(resolve, 10)));
    expect(asked).toContainEqual({ method: 'PATCH', path: '/jobs/job-1', body: { archived: false } });
  });

  it('gives a job to somebody, or to nobody', async () => {
    await shown();
    await menu(rows()[1] as HTMLElement, 'Assign');
    const sheet = screen.getByRole('dialog', { name: 'Assign KG-0002' });
    fireEvent.click(await within(sheet).findByRole('radio', { name: /Not assigned/ }));
    await act(() => new Promise((resolve) => setTimeout(resolve, 10)));
    expect(asked).toContainEqual({ method: 'PATCH', path: '/jobs/job-2', body: { assignedTo: 'nobody' } });
  });

  it('starts a job for a house like it from its survey', async () => {
    await shown();
    await menu(rows()[0] as HTMLElement, 'Duplicate for a house like it');
    const sheet = screen.getByRole('dialog', { name: 'Duplicate for a house like it' });
    fireEvent.change(within(sheet).getByLabelText('Where'), { target: { value: '3 Test Lane' } });
    fireEvent.click(within(sheet).getByRole('button', { name: 'Start the survey' }));
    await act(() => new Promise((resolve) => setTimeout(resolve, 10)));
    const made = asked.find(({ method }) => method === 'POST');
    expect(made?.body).toMatchObject({ place: '3 Test Lane', wanted: 'Vehicle charger', like: 'job-1' });
  });
});
