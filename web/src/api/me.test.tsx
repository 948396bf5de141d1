/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import { SWRConfig } from 'swr';
import { useMe } from './me';

jest.mock('./client', () => ({
  call: jest.fn(),
  NoAnswer: class extends Error {},
  ServerProblem: class extends Error {},
}));
const { call } = jest.requireMock<{ call: jest.Mock }>('./client');

const seen: (string | null)[] = [];

function Name() {
  const { me, refresh } = useMe();
  seen.push(me === undefined ? null : (me?.name ?? 'nobody'));
  return (
    <>
      <output>{me?.name ?? 'not known'}</output>
      <button
        onClick={() => {
          refresh();
        }}
      >
        Ask again
      </button>
      <button
        onClick={() => {
          refresh(null);
        }}
      >
        Signed out
      </button>
    </>
  );
}

describe('who is signed in', () => {
  it('stays known while it is asked again, and is nobody at once when that is known', async () => {
    call.mockResolvedValueOnce({ id: 'm', name: 'Maren' }).mockResolvedValueOnce({ id: 'm', name: 'Maren Oakhanger' });
    await act(async () => {
      render(
        <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0 }}>
          <Name />
        </SWRConfig>,
      );
      await Promise.resolve();
    });
    expect(screen.getByRole('status').textContent).toBe('Maren');
    seen.splice(0);
    await act(async () => {
      screen.getByRole('button', { name: 'Ask again' }).click();
      await new Promise((resolve) => setTimeout(resolve, 20));
    });
    expect(screen.getByRole('status').textContent).toBe('Maren Oakhanger');
    expect(seen).not.toContain(null);
    act(() => {
      screen.getByRole('button', { name: 'Signed out' }).click();
    });
    expect(seen.at(-1)).toBe('nobody');
  });
});
