import { useEffect, useState } from 'react';

/** How long an answer may take to come back as what is recorded. */
const COMES_BACK_MS = 1000;

/**
 * An answer to something that is recorded elsewhere: shown as chosen at the press, while it is on its way back. Where something else comes instead, or nothing does, what is recorded is shown.
 *
 * @returns what is shown as chosen, and choosing
 */
export function useChosen<V>(recorded: V): readonly [chosen: V, choose: (value: V) => void] {
  const [chosen, choose] = useState(recorded);
  const [seen, setSeen] = useState(recorded);
  if (seen !== recorded) {
    setSeen(recorded);
    choose(recorded);
  }
  useEffect(() => {
    if (chosen === recorded) return undefined;
    const timer = setTimeout(() => {
      choose(recorded);
    }, COMES_BACK_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [chosen, recorded]);
  return [chosen, choose];
}
