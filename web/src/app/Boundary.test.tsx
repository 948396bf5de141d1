/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { Boundary } from './Boundary';

let wrong = true;

function Part(): React.ReactNode {
  if (wrong) throw new Error('a part that fails');
  return <p>the part</p>;
}

beforeEach(() => {
  wrong = true;
  globalThis.fetch = (() => Promise.resolve({})) as unknown as typeof fetch;
  // React tells of every error that a boundary takes.
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
});

const shown = (at: string): React.JSX.Element => (
  <>
    <h1>around</h1>
    <Boundary at={at} of="part">
      <Part />
    </Boundary>
  </>
);

describe('a boundary round a part of the page', () => {
  it('says that something went wrong, leaves what is around it, and tries again when asked', () => {
    render(shown('loads'));
    expect(screen.getByText('Something went wrong here.')).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'around' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(screen.getByText('Something went wrong here.')).toBeTruthy();
    wrong = false;
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(screen.getByText('the part')).toBeTruthy();
  });

  it('another station is another try', () => {
    const { rerender } = render(shown('loads'));
    wrong = false;
    rerender(shown('loads'));
    expect(screen.queryByText('the part')).toBeNull();
    rerender(shown('route'));
    expect(screen.getByText('the part')).toBeTruthy();
  });

  it('tells the server of it', () => {
    const told: string[] = [];
    globalThis.fetch = ((path: string) => {
      told.push(path);
      return Promise.resolve({});
    }) as unknown as typeof fetch;
    render(shown('loads'));
    expect(told.length).toBeGreaterThan(0);
  });
});
