import { HAIR, wholeBelow } from '../rules/rounding';
/** How a charger is run in a trial. */
export type Running =
  | { readonly kind: 'free'; readonly limitA: number }
  | { readonly kind: 'managed'; readonly limitA: number; readonly setPointA: number; readonly failSafeA: number };

/** Least current a vehicle charges at, and how long that much must be there before charging goes on. */
export interface ControllerTerms {
  readonly leastA: number;
  readonly restartMin: number;
}

/** What the controller knows from one step to the next. */
export interface ControllerState {
  /** What the charger draws. */
  ownA: number;
  paused: boolean;
  /** Minutes for which enough has been there while paused. */
  enoughMin: number;
  pauses: number;
}

export function fresh(): ControllerState {
  return { ownA: 0, paused: false, enoughMin: 0, pauses: 0 };
}

/**
 * One step of the controller with its own clamp: what is available is the set-point less what the clamp reads besides the charger; a clamp that
 * is lost (`null`) means the fail-safe current. Source: guide section 11.
 */
export function step(
  state: ControllerState,
  running: Running,
  readingA: number | null,
  wantedA: number,
  minutes: number,
  terms: ControllerTerms,
): number {
  const availableA =
    running.kind === 'free'
      ? Infinity
      : readingA === null
        ? running.failSafeA
        : running.setPointA - (readingA - state.ownA);
  return grant(state, running, availableA, wantedA, minutes, terms);
}

/**
 * Gives the charger what is available, in whole amperes rounded down; under the least it pauses, and goes on once enough has been there for the
 * restart delay: `minutes` is how long after this step the next one comes. Source: guide section 11; IEC 61851 for the least and the whole amperes.
 */
export function grant(
  state: ControllerState,
  running: Running,
  availableA: number,
  wantedA: number,
  minutes: number,
  { leastA, restartMin }: ControllerTerms,
): number {
  const most = Math.min(running.limitA, wantedA);
  if (most <= 0) return (state.ownA = 0);
  // Nothing charges at less than the least, however it is limited.
  if (running.kind === 'free') return (state.ownA = most < leastA ? 0 : most);
  const target = wholeBelow(Math.min(most, availableA));
  if (target < leastA) {
    if (!state.paused && state.ownA > 0) state.pauses += 1;
    state.paused = true;
    state.enoughMin = 0;
    return (state.ownA = 0);
  }
  if (state.paused) {
    if (state.enoughMin < restartMin - HAIR) {
      state.enoughMin += minutes;
      return (state.ownA = 0);
    }
    state.paused = false;
  }
  return (state.ownA = target);
}
