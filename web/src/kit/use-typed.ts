import { useState } from 'react';

/**
 * What is typed for a value that is kept elsewhere and comes back a moment later. Where the value becomes another than the one taken from it (undo, another tab),
 * that is shown in its place and `onMoved` is told.
 *
 * @returns what stands in the box, putting something in it, and noting the value that was taken from it
 */
export function useTyped<V>(
  value: V,
  written: (value: V) => string,
  onMoved?: () => void,
): readonly [typed: string, setTyped: (text: string) => void, take: (value: V) => void] {
  const [typed, setTyped] = useState(() => written(value));
  const [taken, take] = useState(value);
  const [seen, setSeen] = useState(value);
  if (seen !== value) {
    setSeen(value);
    if (value !== taken) {
      take(value);
      setTyped(written(value));
      onMoved?.();
    }
  }
  return [typed, setTyped, take];
}
