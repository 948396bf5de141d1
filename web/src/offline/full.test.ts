/** @jest-environment jsdom */
import { renderHook, act } from '@testing-library/react';
import { DeviceFull, keeping, useFull } from './full';

const wantOfRoom = (): DOMException => new DOMException('', 'QuotaExceededError');

describe('keeping what only this device has', () => {
  it('makes room of the thumbnails first, and tries once more', async () => {
    const removed = jest.fn(() => Promise.resolve(true));
    Object.assign(globalThis, { caches: { delete: removed } });
    const write = jest.fn().mockRejectedValueOnce(wantOfRoom()).mockResolvedValueOnce('kept');
    await expect(keeping(write)).resolves.toBe('kept');
    expect(removed).toHaveBeenCalledWith('keen-gauge-pictures');
    expect(write).toHaveBeenCalledTimes(2);
    Reflect.deleteProperty(globalThis, 'caches');
  });

  it('says in words that it does not fit, and stays full until something as large has fitted', async () => {
    const { result } = renderHook(useFull);
    expect(result.current).toBe(false);
    await act(async () => {
      await expect(keeping(() => Promise.reject(wantOfRoom()), 2_000_000)).rejects.toThrow(DeviceFull);
    });
    expect(result.current).toBe(true);
    await act(() => keeping(() => Promise.resolve(), 100));
    expect(result.current).toBe(true);
    await act(() => keeping(() => Promise.resolve(), 2_000_000));
    expect(result.current).toBe(false);
  });

  it('passes on whatever else went wrong as it is', async () => {
    const broken = new DOMException('', 'InvalidStateError');
    await expect(keeping(() => Promise.reject(broken))).rejects.toBe(broken);
  });
});
