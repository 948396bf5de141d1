import { playEvening, type EveningTerms, type Moment } from '@keen-gauge/core/trial/evening';
import { householdYear } from '@keen-gauge/core/trial/household';
import type { TrialPlan } from '@keen-gauge/core/trial/plan';
import { playYear, type YearFigures } from '@keen-gauge/core/trial/year';
import { expose } from 'comlink';

/** One household-year of a plan under each of its ways, in their order. */
function year(plan: TrialPlan, index: number): YearFigures[] {
  const seed = plan.seed + index;
  const house = householdYear(plan.loads, seed);
  return plan.ways.map(({ running }) => playYear(house, plan.needs, running, plan.terms, seed));
}

/** A day of one household-year second by second, every tenth second kept: as fine as a screen shows. */
function evening(plan: TrialPlan, index: number, day: number, way: number, fault: EveningTerms['fault']): Moment[] {
  const seed = plan.seed + index;
  const running = plan.ways[way]?.running;
  if (!running) return [];
  const terms = { ...plan.terms, everyS: 2, lagS: 5, fault };
  const house = householdYear(plan.loads, seed);
  return playEvening(house, day, plan.needs.arrivesH, plan.needs.onboardA, running, terms, seed).filter(
    ({ second }) => second % 10 === 0,
  );
}

const worker = { year, evening };
export type TrialWorker = typeof worker;
expose(worker);
