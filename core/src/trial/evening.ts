import type { TrialFault } from '../survey/words/trial-words';
import { fresh, grant, type ControllerTerms, type Running } from './controller';
import { OPERATES_AT, warmed } from '../management/fuse-warming';
import { MINUTES_A_DAY } from './household';
import { seeded } from './random';
import { cheapMinutes, type VehicleNeeds } from './chargers-year';

/** What a clamp sees of the house on one line, second by second, and what it is held to. */
export interface ClampSeconds {
  readonly setPointA: number;
  /** Whether the charger’s own current passes it; where not, the controller reckons with a false figure. */
  readonly seesOwn: boolean;
  readonly seenA: Float32Array;
}

/** Second by second: what the house takes, what the clamps see of it, and whether the vehicle wants anything. */
export interface Seconds {
  readonly houseA: Float32Array;
  readonly clamps: readonly ClampSeconds[];
  readonly wants: Uint8Array;
}

export interface SecondTerms extends ControllerTerms {
  readonly ratingA: number;
  readonly onboardA: number;
  /** Seconds between two readings of the clamp, and until the vehicle has followed. */
  readonly everyS: number;
  readonly lagS: number;
  /** Seconds after which a charger that is told nothing goes to its fail-safe current. */
  readonly timeoutS: number;
  readonly fault?: { readonly kind: TrialFault; readonly fromS: number; readonly toS: number } | undefined;
}

/** What a slow controller or a slow vehicle takes instead. */
export const SLOW_S = 30;

export interface PlayedSeconds {
  readonly chargerA: Float32Array;
  /** Share of what operates the fuse. */
  readonly warmth: Float32Array;
}

/** The longest a charger that gives way as it should can pass what it is held to: a reading's wait, and the vehicle's. */
export function responseS({ everyS, lagS }: Pick<SecondTerms, 'everyS' | 'lagS'>): number {
  return everyS + lagS;
}

/** Plays the controller second by second. The fuse starts as warm as the first second keeps it. */
export function playSeconds({ houseA, clamps, wants }: Seconds, running: Running, terms: SecondTerms): PlayedSeconds {
  const { fault, ratingA } = terms;
  const state = fresh();
  const asked = new Float32Array(houseA.length);
  const chargerA = new Float32Array(houseA.length);
  const warmth = new Float32Array(houseA.length);
  let theta = ((houseA[0] ?? 0) / ratingA) ** 2;
  let told = 0;
  let drawn = 0;
  let silentS = 0;
  for (let second = 0; second < houseA.length; second += 1) {
    const house = houseA[second] ?? 0;
    const on = fault !== undefined && second >= fault.fromS && second < fault.toS ? fault.kind : null;
    silentS = on === 'link-lost' ? silentS + 1 : 0;
    const due = second % (on === 'lag' ? SLOW_S : terms.everyS) === 0;
    if (on === 'link-lost' && running.kind === 'managed') {
      // Nobody tells it anything: it goes on as it was, and after its time-out falls back.
      if (silentS > terms.timeoutS)
        told = wants[second] === 1 ? Math.min(running.failSafeA, running.limitA, terms.onboardA) : 0;
      if (told < terms.leastA) told = 0;
    } else if (due) {
      state.ownA = drawn;
      let leftA = running.kind === 'free' ? Infinity : on === 'clamp-off' ? running.failSafeA : Infinity;
      if (running.kind === 'managed' && on !== 'clamp-off')
        for (const { setPointA, seesOwn, seenA } of clamps) {
          const reads = (seenA[second] ?? 0) + (seesOwn ? drawn : 0);
          leftA = Math.min(leftA, setPointA - ((on === 'clamp-reversed' ? -reads : reads) - drawn));
        }
      const wantedA = wants[second] === 1 ? terms.onboardA : 0;
      told = grant(state, running, leftA, wantedA, (on === 'lag' ? SLOW_S : terms.everyS) / 60, terms);
    }
    asked[second] = told;
    // The vehicle follows what it was asked so many seconds ago.
    drawn = asked[Math.max(0, second - (on === 'vehicle-slow' ? SLOW_S : terms.lagS))] ?? 0;
    chargerA[second] = drawn;
    theta = warmed(theta, house + drawn, ratingA, 1 / 60);
    warmth[second] = theta / OPERATES_AT;
  }
  return { chargerA, warmth };
}

/** One moment of an evening, as it is shown. */
export interface Moment {
  readonly second: number;
  readonly houseA: number;
  readonly chargerA: number;
  readonly warmth: number;
}

const SECONDS_A_DAY = 86400;
const NOON_S = SECONDS_A_DAY / 2;

/** A fault sets in so long after the vehicle's arrival and lasts so long; one of fitting was so from the start. */
export function faultWindow(kind: TrialFault, arrivesH: number): { kind: TrialFault; fromS: number; toS: number } {
  if (kind === 'clamp-reversed') return { kind, fromS: 0, toS: SECONDS_A_DAY };
  const fromS = Math.max(0, Math.round(arrivesH * 3600) - NOON_S + 1800);
  return { kind, fromS, toS: fromS + 7200 };
}

/** A year’s minutes of what is watched and of what each clamp sees. */
export interface Minutes {
  readonly houseA: Float32Array;
  readonly clamps: readonly {
    readonly setPointA: number;
    readonly seesOwn: boolean;
    readonly minutesA: Float32Array;
  }[];
  /** Whether the charger is on the line that is watched. */
  readonly carries: boolean;
}

/**
 * The seconds of a day from noon to noon, the vehicle there from its arrival on and always hungry, in its cheap hours if it
 * has any. Within each minute the house moves about its mean, for loads switch at their own moment; a clamp sees it move alike.
 */
export function eveningSeconds(
  { houseA, clamps, carries }: Minutes,
  day: number,
  needs: VehicleNeeds,
  seed: number,
): Seconds {
  const random = seeded(seed + day);
  const from = Math.min(day * MINUTES_A_DAY + MINUTES_A_DAY / 2, houseA.length - MINUTES_A_DAY);
  const open = cheapMinutes(needs.cheap);
  const watched = new Float32Array(SECONDS_A_DAY);
  const wants = new Uint8Array(SECONDS_A_DAY);
  const seen = clamps.map(({ setPointA, seesOwn }) => ({ setPointA, seesOwn, seenA: new Float32Array(SECONDS_A_DAY) }));
  for (let second = 0; second < SECONDS_A_DAY; second += 1) {
    const minute = from + Math.floor(second / 60);
    const moved = second % 60 === 0 ? 0 : random.between(-0.15, 0.15);
    watched[second] = Math.max(0, (houseA[minute] ?? 0) + moved);
    seen.forEach(({ seenA }, at) => (seenA[second] = Math.max(0, (clamps[at]?.minutesA[minute] ?? 0) + moved)));
    const there = second + NOON_S >= needs.arrivesH * 3600;
    const ofDay = Math.floor((second + NOON_S) / 60) % MINUTES_A_DAY;
    wants[second] = carries && there && (open === null || open[ofDay] === 1) ? 1 : 0;
  }
  return { houseA: watched, clamps: seen, wants };
}

/** Every so many seconds of what was played: as fine as a screen shows. */
export function momentsOf({ houseA }: Seconds, { chargerA, warmth }: PlayedSeconds, everyS: number): Moment[] {
  return Array.from({ length: Math.ceil(houseA.length / everyS) }, (_each, at): Moment => {
    const second = at * everyS;
    return {
      second,
      houseA: houseA[second] ?? 0,
      chargerA: chargerA[second] ?? 0,
      warmth: warmth[second] ?? 0,
    };
  });
}
