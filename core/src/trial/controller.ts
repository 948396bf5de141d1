/** How the charger is run in a trial. */
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
 * One step of the controller: what is available is the set-point less what the clamp reads besides the charger; whole
 * amperes, rounded down; under the least it pauses, and goes on once enough has been there for the restart delay. A clamp that
 * is lost (`null`) means the fail-safe current. Source: guide section 11; IEC 61851 for the least and the whole amperes.
 */
export function step(
  state: ControllerState,
  running: Running,
  readingA: number | null,
  wantedA: number,
  minutes: number,
  terms: ControllerTerms,
): number {
  const most = Math.min(running.limitA, wantedA);
  if (most <= 0) {
    state.ownA = 0;
    return 0;
  }
  if (running.kind === 'free') return (state.ownA = most);
  const available = readingA === null ? running.failSafeA : running.setPointA - (readingA - state.ownA);
  const target = Math.floor(Math.min(most, available) + 1e-6);
  if (target < terms.leastA) {
    if (!state.paused && state.ownA > 0) state.pauses += 1;
    state.paused = true;
    state.enoughMin = 0;
    return (state.ownA = 0);
  }
  if (state.paused) {
    state.enoughMin += minutes;
    if (state.enoughMin < terms.restartMin) return (state.ownA = 0);
    state.paused = false;
  }
  return (state.ownA = target);
}
