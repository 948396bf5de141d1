/** @jest-environment jsdom */
import { plainSurvey } from '@keen-gauge/core/survey/opening/read';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { settledSurvey } from '@keen-gauge/core/testing/settled-survey';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { memo, Profiler, type ReactNode } from 'react';
import { SurveyProvider, type SurveyAtHand } from '../survey/SurveyContext';
import { SurveyStore, type Links } from '../survey/survey-store';
import { BoundAnswer, BoundChoice, BoundCode, BoundNumber, BoundSelect, BoundText } from './bound';

const LINKS: Links = {
  send: () => Promise.resolve({ kind: 'no-answer' }),
  keep: () => undefined,
  later: () => undefined,
  newId: () => 'id',
};

const storeOf = (survey: Survey = plainSurvey(settledSurvey())): SurveyStore =>
  new SurveyStore({ survey, revisionId: 'r1', seq: 1 }, LINKS);

/** The controls under a survey at hand, of which only the store matters to them. */
function shown(store: SurveyStore, children: ReactNode): void {
  render(<SurveyProvider value={{ store } as unknown as SurveyAtHand}>{children}</SurveyProvider>);
}

const type = (label: string, text: string): void => {
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
};

describe('controls bound to a place in the survey', () => {
  it('a number has unit, bounds and wholeness of its field, and what is out of them changes nothing', () => {
    const store = storeOf();
    shown(
      store,
      <>
        <BoundNumber path={['supply', 'nodes', 'cut-out', 'ratingA']} label="Fuse" />
        <BoundNumber path={['loads', store.get().survey.loads[0]?.id ?? '', 'quantity']} label="How many" />
      </>,
    );
    expect(screen.getByText('A')).toBeTruthy();
    const rating = (): number | undefined =>
      store.get().survey.supply.nodes.find(({ id }) => id === 'cut-out')?.ratingA;
    const before = rating();
    type('Fuse', '999999');
    expect(screen.getByText(new RegExp(`^From 1 to 3000 A; ${before ?? ''} A is still used`))).toBeTruthy();
    expect(rating()).toBe(before);
    type('Fuse', '63');
    expect(rating()).toBe(63);
    type('Fuse', '');
    expect(rating()).toBeUndefined();
    type('How many', '2.5');
    expect(screen.getByText(/^A whole number is expected/)).toBeTruthy();
  });

  it('a text is no longer than its field, and empty text is not known', () => {
    const store = storeOf();
    shown(store, <BoundText path={['place', 'town']} label="Town" />);
    expect(screen.getByLabelText('Town').getAttribute('maxlength')).toBe('100');
    type('Town', 'Netherby');
    expect(store.get().survey.place.town).toBe('Netherby');
    type('Town', '');
    expect(store.get().survey.place).not.toHaveProperty('town');
  });

  it('choices, answers and codes set what they stand for', () => {
    const store = storeOf();
    const [car] = store.get().survey.proposals;
    const id = car?.id ?? '';
    shown(
      store,
      <>
        <BoundChoice
          path={['earthing', 'arrangement']}
          label="Arrangement"
          options={[
            { value: 'tn-s', label: 'TN-S' },
            { value: 'tt', label: 'TT' },
          ]}
        />
        <BoundAnswer path={['proposals', id, 'typeTested']} label="Type-tested?" />
        <BoundCode
          path={['supply', 'phases']}
          label="Phases"
          codes={[
            { value: 1, label: 'Single' },
            { value: 3, label: 'Three' },
          ]}
        />
        <BoundSelect path={['place', 'nation']} label="Nation" options={[{ value: 'wales', label: 'Wales' }]} />
      </>,
    );
    fireEvent.click(screen.getByRole('radio', { name: /^TT/ }));
    fireEvent.click(screen.getByRole('radio', { name: 'No' }));
    fireEvent.click(screen.getByRole('radio', { name: /^Three/ }));
    const { earthing, proposals, supply } = store.get().survey;
    expect([earthing.arrangement, proposals[0]?.typeTested, supply.phases]).toEqual(['tt', 'no', 3]);
  });

  it('shows what the server found wrong with the very field', () => {
    const store = storeOf();
    const refused = { ...store.get(), faults: [{ path: '$.place.town', wrong: 'is 7', expected: 'text' }] };
    Object.defineProperty(store, 'get', { value: () => refused });
    shown(
      store,
      <>
        <BoundText path={['place', 'town']} label="Town" />
        <BoundText path={['place', 'postcode']} label="Postcode" />
      </>,
    );
    expect(screen.getAllByText('It is 7; text is expected.')).toHaveLength(1);
  });

  it('only what shows the changed value is drawn anew', () => {
    const store = storeOf();
    const drawn: string[] = [];
    const Watched = memo(function Watched({ name, children }: { readonly name: string; readonly children: ReactNode }) {
      return (
        <Profiler id={name} onRender={(id) => drawn.push(id)}>
          {children}
        </Profiler>
      );
    });
    shown(
      store,
      <>
        <Watched name="town">
          <BoundText path={['place', 'town']} label="Town" />
        </Watched>
        <Watched name="postcode">
          <BoundText path={['place', 'postcode']} label="Postcode" />
        </Watched>
        <Watched name="fuse">
          <BoundNumber path={['supply', 'nodes', 'cut-out', 'ratingA']} label="Fuse" />
        </Watched>
      </>,
    );
    drawn.splice(0);
    type('Town', 'Netherby');
    expect(new Set(drawn)).toEqual(new Set(['town']));
    drawn.splice(0);
    act(() => {
      store.set(['supply', 'nodes', 'cut-out', 'ratingA'], 63);
    });
    expect(new Set(drawn)).toEqual(new Set(['fuse']));
    drawn.splice(0);
    act(() => {
      store.set(['notes'], 'Nothing of these.');
    });
    expect(drawn).toEqual([]);
  });
});
