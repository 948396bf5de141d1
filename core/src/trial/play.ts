import type { LogDay } from '../demand/measured/log-days';
import type { TrialFault } from '../survey/trial-words';
import { eveningSeconds, faultWindow, momentsOf, playSeconds, type Moment } from './evening';
import { householdYear, type HouseYear } from './household';
import { logYear } from './log-year';
import type { TrialPlan } from './plan';
import { playYear, type YearFigures } from './year';

/** The house of one household-year of a plan; `days` are the log's, where the plan takes the house from one. */
function houseOf({ house, seed }: TrialPlan, index: number, days: readonly LogDay[]): HouseYear {
  return house.from === 'habits' ? householdYear(house.loads, seed + index) : logYear(days, seed + index);
}

/** One household-year of a plan under each of its ways, in their order. */
export function playHousehold(plan: TrialPlan, index: number, days: readonly LogDay[]): YearFigures[] {
  const house = houseOf(plan, index, days);
  return plan.ways.map(({ running }) => playYear(house, plan.needs, running, plan.terms, plan.seed + index));
}

/** How the bench's, and most, controllers behave: a reading every 2 s, the vehicle 5 s behind, a minute without word. */
export const EVENING_TERMS = { everyS: 2, lagS: 5, timeoutS: 60 } as const;

/** As fine as a screen shows. */
const SHOWN_S = 10;

/** A day of one household-year second by second, under one way and with a fault if wanted. */
export function playDay(
  plan: TrialPlan,
  at: { readonly index: number; readonly day: number; readonly way: number },
  fault: TrialFault | undefined,
  days: readonly LogDay[],
): Moment[] {
  const running = plan.ways[at.way]?.running;
  if (!running) return [];
  const seconds = eveningSeconds(houseOf(plan, at.index, days), at.day, plan.needs, plan.seed + at.index);
  const { leastA, restartMin, ratingA, seesOwn } = plan.terms;
  const terms = {
    ...EVENING_TERMS,
    leastA,
    restartMin,
    ratingA,
    seesOwn,
    onboardA: plan.needs.onboardA,
    fault: fault === undefined ? undefined : faultWindow(fault, plan.needs.arrivesH),
  };
  return momentsOf(seconds, playSeconds(seconds, running, terms), SHOWN_S);
}
