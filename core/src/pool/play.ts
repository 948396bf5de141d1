import { MINUTES_A_DAY } from '../trial/household';
import { carried, carsOf, figuresOf, type PoolFigures, type PoolPlan } from './growth';
import { elsewhereYear } from './elsewhere';
import { type PlannedPool } from './plan';
import { lineYear, type PartYear } from '../trial/fuse-year';
import { leftOf, poolYear, WATCHED_MIN, type Watched } from './pool-year';
import type { Policy } from './policies';

/** What one seed made of a pool under one policy. */
export interface PlayedSeed {
  readonly policy: Policy;
  readonly seed: number;
  /** How many cars are carried: at most one morning in twenty fails. */
  readonly carried: number;
  /** Every number of cars that was played on the way, fewest first. */
  readonly played: readonly PoolFigures[];
}

const planOf = (planned: PlannedPool, policy: Policy, seed: number): PoolPlan => ({
  outlets: planned.outlets,
  kinds: planned.kinds,
  left: leftOf(planned.setPointA, elsewhereYear(planned, seed)),
  terms: { ...planned.terms, policy },
});

/** Finds how many cars a pool carries under one policy and seed. */
export function playSeed(planned: PlannedPool, policy: Policy, seed: number): PlayedSeed {
  const played: PoolFigures[] = [];
  const found = carried(planOf(planned, policy, seed), seed, (figures) => played.push(figures));
  return { policy, seed, carried: found, played: played.sort((a, b) => a.cars - b.cars) };
}

/** The night of the worst day: what every outlet drew, minute by minute from midnight before it for a day and a half, and what was left for all. */
export interface WorstNight {
  readonly day: number;
  readonly figures: PoolFigures;
  readonly outletsA: Watched;
}

/** Plays so many cars again and follows the night before the worst morning; null where every car was ready every day. */
export function worstNight(planned: PlannedPool, policy: Policy, seed: number, cars: number): WorstNight | null {
  const plan = planOf(planned, policy, seed);
  const stays = carsOf(plan, cars, seed);
  const figures = figuresOf(poolYear(plan.outlets, stays, plan.left, plan.terms));
  if (figures.shortShare === 0) return null;
  const day = Math.max(0, figures.worstDay - 1);
  const outletsA = stays.map(() => new Float32Array(WATCHED_MIN));
  poolYear(plan.outlets, stays, plan.left, plan.terms, { day, into: outletsA });
  return { day, figures, outletsA };
}

/** From noon to noon of what was watched. */
export const NIGHT = [MINUTES_A_DAY / 2, WATCHED_MIN] as const;

/** What passes the clamps in a year with so many cars, on the fullest line, held against a fuse: the highest minute, and the warmest it was as a share of what operates it; indicative. */
export function fuseUnder(
  planned: PlannedPool,
  policy: Policy,
  seed: number,
  cars: number,
  ratingA: number,
): Pick<PartYear, 'highestA' | 'warmest'> {
  const plan = planOf(planned, policy, seed);
  const { drawnA } = poolYear(plan.outlets, carsOf(plan, cars, seed), plan.left, plan.terms);
  const elseA = elsewhereYear(planned, seed);
  const lines = drawnA.map((drawn, line) =>
    lineYear(elseA[line] ?? new Float32Array(drawn.length), drawn, ratingA, line),
  );
  return {
    highestA: Math.max(...lines.map(({ highestA }) => highestA)),
    warmest: Math.max(...lines.map(({ warmest }) => warmest)),
  };
}
