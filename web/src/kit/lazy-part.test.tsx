/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { lazyPart } from './lazy-part';

const Part = ({ word }: { readonly word: string }) => <p>the part, {word}</p>;

beforeEach(() => {
  globalThis.fetch = (() => Promise.resolve({})) as unknown as typeof fetch;
});

it('shows a part once it has been fetched, and at once the next time', async () => {
  let fetched = 0;
  const Lazy = lazyPart(() => {
    fetched += 1;
    return Promise.resolve({ default: Part });
  });
  const first = render(<Lazy word="first" />);
  expect(await screen.findByText('the part, first')).toBeTruthy();
  first.unmount();
  render(<Lazy word="again" />);
  expect(screen.getByText('the part, again')).toBeTruthy();
  expect(fetched).toBe(1);
});

it('says where it cannot be fetched, leaves what is around it, and tries again', async () => {
  let there = false;
  const Lazy = lazyPart<{ word: string }>(() =>
    there ? Promise.resolve({ default: Part }) : Promise.reject(new Error('no link')),
  );
  render(
    <div>
      <h1>around</h1>
      <Lazy word="late" />
    </div>,
  );
  expect(await screen.findByText(/could not be loaded/)).toBeTruthy();
  expect(screen.getByText('around')).toBeTruthy();
  there = true;
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(await screen.findByText('the part, late')).toBeTruthy();
});

it('shows a part that comes between being drawn and being asked for', () => {
  // Comes at the very moment it is wanted: fetched ahead by what is drawn after it.
  const Lazy = lazyPart<{ word: string }>(
    () =>
      ({
        then: (come: (made: { default: typeof Part }) => void) => {
          come({ default: Part });
        },
      }) as unknown as Promise<{ default: typeof Part }>,
  );
  const FetchesAhead = (): null => {
    Lazy.fetchAhead();
    return null;
  };
  render(
    <>
      <Lazy word="in between" />
      <FetchesAhead />
    </>,
  );
  expect(screen.getByText('the part, in between')).toBeTruthy();
});
