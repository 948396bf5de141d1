/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { Searched } from './Searched';

const items = Array.from({ length: 12 }, (_each, at) => `Flat ${at + 1}`);
const shown = (): string[] => screen.queryAllByRole('listitem').map((each) => each.textContent);
const list = (of: readonly string[], atAGlance: number) =>
  render(
    <Searched label="Search flats" of={of} textOf={(each) => each} atAGlance={atAGlance}>
      {(seen) => (
        <ul>
          {seen.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      )}
    </Searched>,
  );
const search = (text: string): void => {
  fireEvent.change(screen.getByRole('searchbox', { name: 'Search flats' }), { target: { value: text } });
};

describe('a list that may be long', () => {
  it('shows so many at a glance, and all of them at a press', () => {
    list(items, 5);
    expect(shown()).toEqual(items.slice(0, 5));
    fireEvent.click(screen.getByRole('button', { name: 'Show all 12' }));
    expect(shown()).toEqual(items);
    expect(screen.queryByRole('button')).toBeNull();
  });
  it('finds any of them by its words, whatever their case, and says where there is none', () => {
    list(items, 5);
    search('flat 11');
    expect(shown()).toEqual(['Flat 11']);
    search('garage');
    expect(shown()).toEqual([]);
    expect(screen.getByText('No match.')).toBeTruthy();
    search('  ');
    expect(shown()).toHaveLength(5);
  });
  it('has no search for a list that is read at a glance', () => {
    list(items.slice(0, 4), 5);
    expect(screen.queryByRole('searchbox')).toBeNull();
    expect(shown()).toHaveLength(4);
  });
});
