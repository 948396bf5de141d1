/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useChosen } from './use-chosen';

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

const asked = (recorded: string | undefined) =>
  renderHook(({ now }: { readonly now: string | undefined }) => useChosen(now), { initialProps: { now: recorded } });

describe('an answer on its way back', () => {
  it('is chosen at the press, and stays when it is recorded', () => {
    const { result, rerender } = asked(undefined);
    act(() => {
      result.current[1]('yes');
    });
    expect(result.current[0]).toBe('yes');
    rerender({ now: 'yes' });
    act(() => jest.advanceTimersByTime(5000));
    expect(result.current[0]).toBe('yes');
  });

  it('gives way to what is recorded instead, at once', () => {
    const { result, rerender } = asked('no');
    act(() => {
      result.current[1]('yes');
    });
    rerender({ now: 'unknown' });
    expect(result.current[0]).toBe('unknown');
  });

  it('goes back where nothing is recorded: it was not taken', () => {
    const { result } = asked('no');
    act(() => {
      result.current[1]('yes');
    });
    act(() => jest.advanceTimersByTime(999));
    expect(result.current[0]).toBe('yes');
    act(() => jest.advanceTimersByTime(1));
    expect(result.current[0]).toBe('no');
  });
});
