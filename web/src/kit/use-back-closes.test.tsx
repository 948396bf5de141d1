/** @jest-environment jsdom */
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { BrowserRouter, Link, Route, Routes } from 'react-router';
import { Sheet } from './Sheet';

function Station() {
  const [open, setOpen] = useState(false);
  const close = (): void => {
    setOpen(false);
  };
  return (
    <>
      <button
        onClick={() => {
          setOpen(true);
        }}
      >
        Open
      </button>
      <Sheet title="Working" isOpen={open} onClose={close}>
        <Link to="/next" replace onClick={close}>
          On
        </Link>
      </Sheet>
    </>
  );
}

const here = (): string => window.location.pathname;

const stepBack = async (): Promise<void> => {
  await act(
    () =>
      new Promise<void>((resolve) => {
        window.addEventListener('popstate', () => setTimeout(resolve), { once: true });
        window.history.back();
      }),
  );
};

beforeEach(() => {
  window.history.pushState({}, '', '/before');
  window.history.pushState({}, '', '/station');
  render(
    <BrowserRouter>
      <Routes>
        <Route path="/station" element={<Station />} />
        <Route path="/next" element={<p>Next</p>} />
        <Route path="/before" element={<p>Before</p>} />
      </Routes>
    </BrowserRouter>,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Open' }));
});

test('Back puts a sheet away and stays; the next Back leaves', async () => {
  await stepBack();
  expect(screen.queryByRole('dialog')).toBeNull();
  expect(here()).toBe('/station');
  await stepBack();
  expect(here()).toBe('/before');
});

test('a sheet closed by its button leaves no entry behind', async () => {
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  await waitFor(() => {
    expect(window.history.state).not.toHaveProperty('sheet');
  });
  expect(here()).toBe('/station');
  await stepBack();
  expect(here()).toBe('/before');
});

test('a link in a sheet leads on, and Back from there comes to the page beneath the sheet', async () => {
  fireEvent.click(screen.getByRole('link', { name: 'On' }));
  await screen.findByText('Next');
  await stepBack();
  expect(here()).toBe('/station');
  expect(screen.queryByRole('dialog')).toBeNull();
});
