import type { TrialFault } from '../survey/words/trial-words';
import { chargersYear } from './chargers-year';
import { eveningSeconds, faultWindow, momentsOf, playSeconds, type Moment } from './evening';
import { householdYear, type HouseYear } from './household';
import { logYear, type LogDays } from './log-year';
import type { TrialPlan } from './plan';
import { addedUp, playYear, type YearFigures } from './year';

/** The house of one household-year of a plan; `days` are the log's, where the plan takes the house from one. */
export function houseOf(
  { house, seed, appliances, sums, parts, terms }: TrialPlan,
  index: number,
  days: LogDays,
): HouseYear {
  const made = householdYear({ appliances, sums: sums.length, nominalV: terms.nominalV }, seed + index);
  if (house.from === 'habits') return made;
  const logged = logYear(days, seed + index);
  // The log is of the whole: it comes to what the supply's fuse carries.
  for (const sum of parts[0]?.sums ?? []) {
    const into = made.sums[sum];
    const from = logged.get(sums[sum]?.phase ?? 'L1');
    if (into && from) from.forEach((amperes, minute) => (into[minute] = (into[minute] ?? 0) + amperes));
  }
  return { ...made, kwh: 0 };
}

/** One household-year of a plan under each of its ways, in their order. */
export function playHousehold(plan: TrialPlan, index: number, days: LogDays): YearFigures[] {
  const house = houseOf(plan, index, days);
  return plan.ways.map((way) => playYear(house, plan, way, plan.seed + index));
}

/** How the bench's, and most, controllers behave: a reading every 2 s, the vehicle 5 s behind, a minute without word. */
export const EVENING_TERMS = { everyS: 2, lagS: 5, timeoutS: 60 } as const;

/** As fine as a screen shows. */
const SHOWN_S = 10;

/**
 * A day of one household-year second by second on the fullest line of the supply, under one way and with a fault if wanted. The charger asked
 * for is played by the second; other chargers as they were by the minute.
 */
export function playDay(
  plan: TrialPlan,
  at: { readonly index: number; readonly day: number; readonly way: number },
  fault: TrialFault | undefined,
  days: LogDays,
): Moment[] {
  const way = plan.ways[at.way];
  const [charger] = plan.chargers;
  const run = way?.runs[0];
  const [own] = plan.parts;
  if (!way || !charger || !run || !own) return [];
  const seed = plan.seed + at.index;
  const house = houseOf(plan, at.index, days);
  const { line } = playYear(house, plan, way, seed);
  const { ownA } = chargersYear(house, plan.chargers, way.runs, plan.terms, seed);
  const others = (sum: number): Float32Array =>
    addedUp(ownA.filter((_each, place) => place > 0 && plan.chargers[place]?.sums.includes(sum)));
  const minutes = (sum: number): Float32Array => {
    const beside = others(sum);
    return (house.sums[sum] ?? new Float32Array(beside.length)).map(
      (amperes, minute) => amperes + (beside[minute] ?? 0),
    );
  };
  const watched = own.sums[line] ?? 0;
  const seconds = eveningSeconds(
    {
      houseA: minutes(watched),
      clamps: run.clamps.flatMap(({ setPointA, sums }) =>
        sums.map((sum) => ({ setPointA, seesOwn: charger.sums.includes(sum), minutesA: minutes(sum) })),
      ),
      carries: charger.sums.includes(watched),
    },
    at.day,
    charger.needs,
    seed,
  );
  const terms = {
    ...EVENING_TERMS,
    leastA: plan.terms.leastA,
    restartMin: plan.terms.restartMin,
    ratingA: own.ratingA,
    onboardA: charger.needs.onboardA,
    fault: fault === undefined ? undefined : faultWindow(fault, charger.needs.arrivesH),
  };
  return momentsOf(seconds, playSeconds(seconds, run.running, terms), SHOWN_S);
}
