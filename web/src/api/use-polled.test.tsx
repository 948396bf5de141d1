/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import { SWRConfig } from 'swr';
import { usePolled } from './use-polled';

jest.mock('./client', () => ({ fetcher: jest.fn() }));
const { fetcher } = jest.requireMock<{ fetcher: jest.Mock }>('./client');

function Shown() {
  const { data, mutate } = usePolled<{ left: number }>('/things', ({ left }) => (left > 0 ? 500 : 0), {
    dedupingInterval: 0,
  });
  return (
    <>
      <output>{data?.left ?? 'nothing yet'}</output>
      <button onClick={() => void mutate({ left: 3 }, { revalidate: false })}>Begin</button>
    </>
  );
}

describe('an address asked again by itself', () => {
  beforeEach(() => {
    jest.useFakeTimers();
    fetcher.mockReset();
  });
  afterEach(() => {
    jest.useRealTimers();
  });

  it('begins when what is known calls for it, and ends when an answer no longer does', async () => {
    fetcher.mockResolvedValueOnce({ left: 0 });
    render(
      <SWRConfig value={{ provider: () => new Map() }}>
        <Shown />
      </SWRConfig>,
    );
    await act(() => jest.advanceTimersByTimeAsync(10));
    expect(screen.getByRole('status').textContent).toBe('0');
    await act(() => jest.advanceTimersByTimeAsync(5000));
    expect(fetcher).toHaveBeenCalledTimes(1);

    // Known from elsewhere to have begun: now it is followed.
    fetcher.mockResolvedValueOnce({ left: 2 }).mockResolvedValueOnce({ left: 1 }).mockResolvedValueOnce({ left: 0 });
    await act(async () => {
      screen.getByRole('button', { name: 'Begin' }).click();
      await jest.advanceTimersByTimeAsync(100);
    });
    await act(() => jest.advanceTimersByTimeAsync(5000));
    expect(screen.getByRole('status').textContent).toBe('0');
    expect(fetcher).toHaveBeenCalledTimes(4);
  });
});
