import { MINUTES_A_DAY } from '../trial/household';
import { carried, carsOf, figuresOf, type PoolFigures, type PoolPlan } from './growth';
import { elsewhereYear, type PlannedPool } from './plan';
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
  left: leftOf(planned.setPointA, elsewhereYear(planned.elsewhere, seed)),
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
