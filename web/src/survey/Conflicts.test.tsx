/** @jest-environment jsdom */
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { fireEvent, render, screen } from '@testing-library/react';
import { SWRConfig } from 'swr';
import { Conflicts } from './Conflicts';
import { SurveyStore } from './survey-store';

const conflict = {
  change: { kind: 'set', path: ['place', 'customerName'], from: 'A. Quarry', to: 'A. Quarry-Jones' },
  theirs: 'B. Quarry',
} as const;

const entry = (seq: number, person: string, path: readonly string[]) => ({
  id: `r${seq}`,
  seq,
  person,
  madeAt: `2026-03-0${seq}T10:30:00.000Z`,
  changes: [{ kind: 'set', path, to: 'x' }],
});

Element.prototype.scrollIntoView = jest.fn();

const asked = jest.fn<Promise<Response>, [string]>();
Object.assign(globalThis, { fetch: asked });

function store(): SurveyStore {
  const survey = blankSurvey();
  const made = new SurveyStore(
    { survey, revisionId: 'r1', seq: 1 },
    {
      send: () => new Promise(() => undefined),
      keep: () => undefined,
      later: () => undefined,
      newId: () => 'new',
    },
  );
  made.adopt({ base: survey, document: survey, conflicts: [conflict] });
  return made;
}

function show(made: SurveyStore): void {
  render(
    <SWRConfig value={{ provider: () => new Map() }}>
      <Conflicts jobId="j1" store={made} />
    </SWRConfig>,
  );
}

beforeEach(() => {
  asked.mockReset();
  asked.mockImplementation(() =>
    Promise.resolve({
      ok: true,
      status: 200,
      headers: new Headers({ 'content-type': 'application/json' }),
      json: () =>
        Promise.resolve({
          entries: [
            entry(4, 'Somebody Later', ['place', 'town']),
            entry(3, 'Isla Quenby', ['place', 'customerName']),
            entry(2, 'Somebody Before', ['place', 'customerName']),
          ],
          more: false,
        }),
    } as unknown as Response),
  );
});

describe('a field set here and elsewhere', () => {
  it('shows both values side by side, and who set the other last and when', async () => {
    show(store());
    expect(screen.getByText('Also changed elsewhere: Place: customer name', { exact: false })).toBeTruthy();
    expect(screen.getByText('A. Quarry-Jones')).toBeTruthy();
    expect(screen.getByText('B. Quarry')).toBeTruthy();
    expect(await screen.findByText('Isla Quenby, 3 Mar 2026, 10:30')).toBeTruthy();
    expect(Element.prototype.scrollIntoView).toHaveBeenCalled();
  });

  it('keeps mine as a fresh edit, or theirs as it stands', () => {
    const made = store();
    show(made);
    fireEvent.click(screen.getByRole('button', { name: 'Keep mine: A. Quarry-Jones' }));
    expect(made.get().survey.place.customerName).toBe('A. Quarry-Jones');
    expect(made.get().conflicts).toEqual([]);
  });

  it('asks the server nothing while there is nothing to choose', () => {
    const made = store();
    made.settle(conflict, false);
    show(made);
    expect(asked).not.toHaveBeenCalled();
  });
});
