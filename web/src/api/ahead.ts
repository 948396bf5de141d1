import { fetcher } from './client';

/** How long an answer asked for ahead is taken for what there is. */
const GOOD_MS = 10_000;

const asked = new Map<string, { readonly answer: Promise<unknown>; readonly at: number }>();

/** Asks the server for something while what will show it is itself on its way. */
export function askAhead(path: string): void {
  const answer = fetcher(path);
  // Told to whoever takes it.
  answer.catch(() => undefined);
  asked.set(path, { answer, at: Date.now() });
}

/** What was asked for ahead a moment ago, once; otherwise it is asked for now. */
export function askedAheadOrNow<T>(path: string): Promise<T> {
  const ahead = asked.get(path);
  asked.delete(path);
  return ahead && Date.now() - ahead.at < GOOD_MS ? (ahead.answer as Promise<T>) : fetcher<T>(path);
}
