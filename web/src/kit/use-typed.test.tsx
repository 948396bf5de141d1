/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useTyped } from './use-typed';

const written = (value: number | undefined): string => (value === undefined ? '' : String(value));

function drafting(value: number | undefined) {
  const moved = jest.fn();
  const hook = renderHook(({ now }: { readonly now: number | undefined }) => useTyped(now, written, moved), {
    initialProps: { now: value },
  });
  return {
    moved,
    typed: () => hook.result.current[0],
    type: (text: string, value: number | undefined) => {
      act(() => {
        hook.result.current[1](text);
        hook.result.current[2](value);
      });
    },
    comesBack: (now: number | undefined) => {
      hook.rerender({ now });
    },
  };
}

describe('what is typed for a value kept elsewhere', () => {
  it('stands while the value it became is on its way back, and when it has come', () => {
    const { moved, typed, type, comesBack } = drafting(6);
    type('6.0', 6);
    type('6.05', 6.05);
    expect(typed()).toBe('6.05');
    // Drawn once more meanwhile, with what was there before.
    comesBack(6);
    expect(typed()).toBe('6.05');
    comesBack(6.05);
    expect(typed()).toBe('6.05');
    expect(moved).not.toHaveBeenCalled();
  });

  it('is as it was typed where the value can be written in several ways', () => {
    const { typed, type, comesBack } = drafting(undefined);
    type('10.', 10);
    comesBack(10);
    expect(typed()).toBe('10.');
  });

  it('gives way where the value moves for another reason', () => {
    const { moved, typed, type, comesBack } = drafting(6);
    type('16', 16);
    comesBack(16);
    comesBack(6);
    expect(typed()).toBe('6');
    expect(moved).toHaveBeenCalledTimes(1);
    comesBack(undefined);
    expect(typed()).toBe('');
  });
});
