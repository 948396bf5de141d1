const LONGEST_S = 15 * 60;

/** Failed so often, a task is shown to a supervisor; it is still tried, a quarter of an hour apart. */
export const STUCK_AFTER = 6;

/** How long to wait after the first, second, third failure, in seconds: 1, 2, 4 …, a quarter of an hour at most. */
export function backOffS(attempts: number): number {
  return Math.min(LONGEST_S, 2 ** Math.min(Math.max(0, attempts - 1), 20));
}
