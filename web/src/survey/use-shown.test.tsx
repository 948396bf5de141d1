/** @jest-environment jsdom */
import { settledSurvey } from '@keen-gauge/core/testing/settled-survey';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { Choice } from '../kit/Choice';
import { Keypad } from '../kit/Keypad';
import { NumberInput } from '../kit/NumberInput';
import { SurveyStore, type Links } from './survey-store';
import { useShown } from './use-shown';

const LINKS: Links = {
  send: () => new Promise(() => undefined),
  keep: () => undefined,
  later: () => undefined,
  newId: () => 'r2',
};

/** A page that shows one field, adds to it what it shows, and follows only when it is told to. */
function page() {
  const store = new SurveyStore({ survey: settledSurvey(), revisionId: 'r1', seq: 1 }, LINKS);
  const waiting: (() => void)[] = [];
  const later = (work: () => void): void => {
    waiting.push(work);
  };
  function Page() {
    const { place } = useShown(store, later);
    const shown = place.addressLine2 ?? '';
    const add = (): void => {
      store.set(['place', 'addressLine2'], `${shown}+`);
    };
    return (
      <>
        <output>{shown}</output>
        <input
          aria-label="Typed"
          onInput={({ currentTarget }) => {
            store.set(['place', 'addressLine2'], currentTarget.value);
          }}
        />
        <button onClick={add}>Add</button>
        <Keypad
          label="Keyed"
          whole
          signed={false}
          onKey={(key) => {
            store.set(['place', 'addressLine2'], `${store.get().survey.place.addressLine2 ?? ''}${key}`);
          }}
        />
        <Choice
          label="Answered"
          value={undefined}
          options={[{ value: 'answer', label: 'An answer' }]}
          onChange={(value) => {
            store.set(['place', 'addressLine2'], value);
          }}
        />
        <NumberInput
          label="Usual"
          unit="A"
          value={undefined}
          least={1}
          most={100}
          usual={[63]}
          onChange={(value) => {
            store.set(['place', 'addressLine2'], String(value));
          }}
        />
        <input type="checkbox" aria-label="Add by a tick" checked={false} onChange={add} />
      </>
    );
  }
  render(<Page />);
  return {
    store,
    shown: () => screen.getByRole('status').textContent,
    type: (value: string) => {
      fireEvent.input(screen.getByRole('textbox', { name: 'Typed' }), { target: { value } });
    },
    follow: () => {
      act(() => {
        waiting.splice(0).forEach((work) => {
          work();
        });
      });
    },
    waiting: () => waiting.length,
  };
}

describe('the survey as the page shows it', () => {
  it('follows what is typed a moment later, once for several keys', () => {
    const { shown, type, follow, waiting } = page();
    type('a');
    type('ab');
    expect(shown()).toBe('');
    expect(waiting()).toBe(1);
    follow();
    expect(shown()).toBe('ab');
    type('abc');
    follow();
    expect(shown()).toBe('abc');
  });

  it('has followed before anything else is done, so that nothing typed is written over', () => {
    const { store, type } = page();
    type('a');
    fireEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(store.get().survey.place.addressLine2).toBe('a+');
  });

  it('shows what a button does at once, and what comes from elsewhere', () => {
    const { store, shown, waiting } = page();
    fireEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(shown()).toBe('+');
    act(() => {
      store.undo();
    });
    expect(shown()).toBe('');
    expect(waiting()).toBe(0);
  });

  it('follows what is keyed on a pad as it does what is typed', () => {
    const { store, shown, follow } = page();
    for (const key of ['8', '0']) fireEvent.click(screen.getByRole('button', { name: key }));
    expect(store.get().survey.place.addressLine2).toBe('80');
    expect(shown()).toBe('8');
    follow();
    expect(shown()).toBe('80');
    fireEvent.click(screen.getByRole('button', { name: '5' }));
    fireEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(store.get().survey.place.addressLine2).toBe('805+');
  });

  it.each([
    ['an answer', () => screen.getByText('An answer'), 'answer'],
    ['a usual value', () => screen.getByRole('button', { name: 'Usual: 63 A' }), '63'],
  ])('follows %s, which shows itself as chosen', (_what, found, said) => {
    const { store, shown, follow } = page();
    fireEvent.click(found());
    expect(store.get().survey.place.addressLine2).toBe(said);
    expect(shown()).toBe('');
    follow();
    expect(shown()).toBe(said);
  });

  it('leaves a tick that the browser has changed to be read, and catches up at the press before it', () => {
    const { store, shown, type, follow } = page();
    type('a');
    const tick = screen.getByRole('checkbox', { name: 'Add by a tick' });
    fireEvent.pointerDown(tick);
    fireEvent.click(tick);
    expect(store.get().survey.place.addressLine2).toBe('a+');
    expect(shown()).toBe('a');
    follow();
    expect(shown()).toBe('a+');
  });

  it('shows what was taken back before it was ever shown', () => {
    const { shown, type, follow } = page();
    type('a');
    type('');
    follow();
    expect(shown()).toBe('');
    type('b');
    follow();
    expect(shown()).toBe('b');
  });
});
