/** @jest-environment jsdom */
import { ukDay } from '@keen-gauge/core/calendar/days';
import { starterBook } from '@keen-gauge/core/price/starter';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { SWRConfig } from 'swr';
import type { Me } from '../api/me';
import { fakeServer, Refusal, type Asked } from '../testing/fake-server';
import { LessonsPanel } from './LessonsPanel';
import { PricesPanel } from './PricesPanel';

let book: PriceBook;
let version: number;
let asked: readonly Asked[];
let lessons: object;

beforeEach(() => {
  sessionStorage.clear();
  book = starterBook();
  version = 3;
  lessons = { tasks: [], materials: [], kinds: [], finished: 0 };
  asked = fakeServer(({ method, path, body }) => {
    if (path === '/firm/lessons') return lessons;
    if (path !== '/firm/prices') return undefined;
    if (method === 'POST') {
      const put = body as { book: PriceBook; version: number };
      if (put.version !== version)
        return new Refusal(409, { title: 'Changed meanwhile', detail: 'Somebody else has saved the prices.' });
      book = put.book;
      version += 1;
    }
    return { book, version, hidden: false };
  });
});

const show = (panel: React.ReactNode): void => {
  render(<SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0 }}>{panel}</SWRConfig>);
};
const me = (role: Me['role']): Me => ({ id: 'me', role }) as Me;
const type = (label: string, value: string): void => {
  const input = screen.getByLabelText(label);
  fireEvent.change(input, { target: { value } });
  fireEvent.blur(input);
};
const saved = (): PriceBook => {
  const last = asked.filter(({ method }) => method === 'POST').at(-1);
  if (!last) throw new Error('nothing was saved');
  return (last.body as { book: PriceBook }).book;
};

describe('the firm’s prices', () => {
  it('an hour typed in pounds is saved in whole pence, with the version it was taken from', async () => {
    show(<PricesPanel me={me('office')} />);
    await screen.findByLabelText('An hour as sold (£)');
    type('An hour as sold (£)', '48.50');
    fireEvent.click(screen.getByText('Save'));
    await screen.findByText(/Every price is worked out by it now/);
    expect(saved().terms.hourPence).toBe(4850);
    expect(asked.find(({ method }) => method === 'POST')?.body).toMatchObject({ version: 3 });
  });
  it('where somebody else has saved meanwhile, theirs is fetched, and yours is kept until you choose', async () => {
    show(<PricesPanel me={me('office')} />);
    await screen.findByLabelText('An hour as sold (£)');
    type('An hour as sold (£)', '50');
    version = 4;
    fireEvent.click(screen.getByText('Save'));
    fireEvent.click(await screen.findByText('Keep mine, to save over theirs'));
    fireEvent.click(screen.getByText('Save'));
    await screen.findByText(/Every price is worked out by it now/);
    expect(saved().terms.hourPence).toBe(5000);
    expect(version).toBe(5);
  });
  it('a new price of an item from today stands beside the old one', async () => {
    show(<PricesPanel me={me('office')} />);
    const [item] = book.items;
    if (!item) throw new Error('no item');
    fireEvent.change(await screen.findByLabelText('Search the price list'), { target: { value: item.id } });
    fireEvent.click(document.querySelector(`[data-line="${item.name}"]`) ?? document.body);
    fireEvent.click(screen.getByText('A new price from today'));
    fireEvent.click(screen.getByText('Save'));
    await screen.findByText(/Every price is worked out by it now/);
    expect(
      saved()
        .items.filter(({ id }) => id === item.id)
        .map(({ validFrom }) => validFrom),
    ).toEqual([undefined, ukDay(new Date())]);
  });
  it('only a supervisor says who sees prices', async () => {
    show(<PricesPanel me={me('office')} />);
    await screen.findByLabelText('An hour as sold (£)');
    expect(screen.queryByText('Who sees prices')).toBeNull();
  });
  it('a supervisor hides them from surveyors', async () => {
    show(<PricesPanel me={me('supervisor')} />);
    fireEvent.click(await screen.findByText('Who sees prices'));
    const surveyors = screen.getByRole('radiogroup', { name: 'Surveyors' });
    fireEvent.click(within(surveyors).getByRole('radio', { name: 'Do not' }));
    fireEvent.click(screen.getByText('Save'));
    await screen.findByText(/Every price is worked out by it now/);
    expect(saved().terms.hiddenFrom).toEqual(['surveyor']);
  });
});

describe('what jobs teach', () => {
  it('a rate is taken over only at a press, with what surfaces and grounds have of their own', async () => {
    book.rates = [{ task: 'run-cable', hours: 0.1, by: [{ id: 'stone', hours: 0.2 }] }];
    const lesson = { task: 'run-cable', jobs: 5, median: 1.3, quartiles: [1.2, 1.5], wanted: 0 };
    lessons = { tasks: [lesson], materials: [], kinds: [], finished: 5 };
    show(<LessonsPanel />);
    const take = await screen.findByRole('button', { name: 'Take 0.13 h over' });
    expect(asked.some(({ method }) => method === 'POST')).toBe(false);
    lessons = { tasks: [{ ...lesson, median: 1, quartiles: [0.92, 1.15] }], materials: [], kinds: [], finished: 5 };
    fireEvent.click(take);
    await waitFor(() => {
      expect(screen.queryByRole('button', { name: /^Take/ })).toBeNull();
    });
    expect(saved().rates).toEqual([{ task: 'run-cable', hours: 0.13, by: [{ id: 'stone', hours: 0.26 }] }]);
  });
  it('too few jobs say how many more are wanted; materials are told by name', async () => {
    const [item] = book.items;
    lessons = {
      tasks: [{ task: 'dig', jobs: 2, median: null, quartiles: null, wanted: 3 }],
      materials: [{ item: item?.id, jobs: 6, median: 1.08, quartiles: [1, 1.1], wanted: 0 }],
      kinds: [],
      finished: 2,
    };
    show(<LessonsPanel />);
    expect(await screen.findByText('2 jobs so far; 3 more before a rate is suggested.')).toBeTruthy();
    const materials = screen.getByRole('region', { name: 'Materials against the plan' });
    expect(await within(materials).findByText(item?.name ?? '?')).toBeTruthy();
    expect(materials.textContent).toContain('Typically 1.08 × what was planned, over 6 jobs');
  });
});
