/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { MemoryRouter } from 'react-router';
import { answeredAfter, nothingCame } from '../offline/connection';
import { SaveMark } from './SaveMark';
import { SurveyStore, type Outcome } from './survey-store';

/** A store whose server answers as told, and its mark. */
function shown(outcome: () => Outcome): { store: SurveyStore; run: () => Promise<void>; says: () => string } {
  const due: (() => void)[] = [];
  const store = new SurveyStore(
    { survey: blankSurvey(), revisionId: 'r1', seq: 1 },
    {
      send: () => Promise.resolve(outcome()),
      keep: () => undefined,
      later: (_wait, work) => due.push(work),
      newId: () => 'id',
    },
  );
  render(
    <MemoryRouter>
      <SaveMark store={store} />
    </MemoryRouter>,
  );
  return {
    store,
    run: async () => {
      await act(async () => {
        due.shift()?.();
        for (let turn = 0; turn < 5; turn += 1) await Promise.resolve();
      });
    },
    says: () => screen.getByRole('status').textContent,
  };
}
const type = (store: SurveyStore): void => {
  act(() => {
    store.set(['notes'], 'x');
  });
};

it('says nothing more than saved while all is well', async () => {
  const { store, run, says } = shown(() => ({ kind: 'saved', saved: { revisionId: 'r2', seq: 2 } }));
  expect(says()).toBe('Saved');
  type(store);
  expect(says()).toBe('Not saved');
  await run();
  expect(says()).toBe('Saved');
});

it.each<[Outcome, RegExp]>([
  [{ kind: 'no-answer' }, /no connection.*Kept on this device/],
  [{ kind: 'unavailable' }, /sent again by itself.*Kept on this device/],
  [{ kind: 'failed', under: 'ab12' }, /wrong at the server.*Kept on this device.*Say ab12/],
  [{ kind: 'signed-out' }, /signed out.*Kept on this device/],
  [{ kind: 'refused', faults: [] }, /not valid.*Kept on this device/],
])('%j: says why, and where it is kept', async (outcome, words) => {
  const { store, run, says } = shown(() => outcome);
  type(store);
  await run();
  expect(says()).toMatch(words);
});

it('says where nothing is kept on this device, before and after it went wrong', async () => {
  const { store, run, says } = shown(() => ({ kind: 'no-answer' }));
  act(() => {
    store.kept(false);
  });
  type(store);
  expect(says()).toMatch(/keeps nothing: leave the page open/);
  await run();
  expect(says()).toMatch(/Not kept on this device either/);
});

it('a failure can be tried again', async () => {
  let well = false;
  const { store, run, says } = shown(() =>
    well ? { kind: 'saved', saved: { revisionId: 'r2', seq: 2 } } : { kind: 'failed', under: '' },
  );
  type(store);
  for (let times = 0; times < 4; times += 1) await run();
  well = true;
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  await run();
  expect(says()).toBe('Saved');
});

it('says the same at every key while there is no connection: what stands below must not move', async () => {
  const { store, run, says } = shown(() => ({ kind: 'no-answer' }));
  type(store);
  await run();
  const without = says();
  act(nothingCame);
  act(() => {
    store.set(['notes'], 'xy');
  });
  expect(says()).toBe(without);
  act(() => {
    answeredAfter(10);
  });
  expect(says()).not.toBe(without);
});
