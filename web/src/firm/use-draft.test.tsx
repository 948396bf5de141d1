/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { SWRConfig } from 'swr';
import type { ReactNode } from 'react';
import { useDraft } from './use-draft';

const as =
  (id: string) =>
  ({ children }: { readonly children: ReactNode }) => (
    <SWRConfig value={{ provider: () => new Map(), fallback: { '/me': { id } } }}>{children}</SWRConfig>
  );
const opened = (who = 'me-1') => renderHook(() => useDraft('address', { address: '' }), { wrapper: as(who) }).result;

beforeEach(() => {
  sessionStorage.clear();
  globalThis.fetch = () => new Promise<Response>(() => undefined);
});

describe('a draft of a form', () => {
  it('is there again after leaving, until it is saved', () => {
    const first = opened();
    act(() => {
      first.current.change({ address: 'Unit 4' });
    });
    const again = opened();
    expect([again.current.draft, again.current.isChanged]).toEqual([{ address: 'Unit 4' }, true]);
    act(() => {
      again.current.settle({ address: 'Unit 4' });
    });
    expect(opened().current.isChanged).toBe(false);
  });

  it('is nobody else’s who signs in in the same tab', () => {
    const mine = opened('me-1');
    act(() => {
      mine.current.change({ address: 'Unit 4' });
    });
    expect(opened('me-2').current.draft).toEqual({ address: '' });
  });
});
