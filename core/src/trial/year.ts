import { chargersYear } from './chargers-year';
import { fullest, lineYear, type PartYear } from './fuse-year';
import { MINUTES_A_YEAR, type HouseYear } from './household';
import type { TrialPlan, TrialWay } from './plan';

/** One household-year under one way of running the chargers: of the supply’s own fuse on its fullest line, and of each part. */
export interface YearFigures extends PartYear {
  readonly neededKwh: number;
  readonly deliveredKwh: number;
  readonly morningsShort: number;
  readonly pauses: number;
  /** What the household’s appliances took; 0 where it is a log’s. */
  readonly houseKwh: number;
  /** Every part on the way in the plan’s order, the supply’s fuse first. */
  readonly parts: readonly PartYear[];
}

const NOTHING = new Float32Array(MINUTES_A_YEAR);
/** Room for what several chargers draw at one part. */
const TOGETHER = new Float32Array(MINUTES_A_YEAR);

/** Plays a year of a house under one way, minute by minute. */
export function playYear(
  house: HouseYear,
  plan: Omit<TrialPlan, 'ways' | 'house' | 'seed'>,
  way: TrialWay,
  seed: number,
): YearFigures {
  const { chargers, parts, terms } = plan;
  const { ownA, ...vehicles } = chargersYear(house, chargers, way.runs, terms, seed);
  const judged = parts.map(({ ratingA, sums }) =>
    fullest(
      sums.map((sum, line) => {
        const on = ownA.filter((_each, at) => chargers[at]?.sums.includes(sum));
        return lineYear(house.sums[sum] ?? NOTHING, addedUp(on), ratingA, line);
      }),
    ),
  );
  const [own] = judged;
  if (!own) throw new Error('A trial judges at least the fuse of the supply.');
  return { ...own, ...vehicles, houseKwh: house.kwh, parts: judged };
}

/** What several chargers draw together, minute by minute; good until the next is added up. */
export function addedUp(all: readonly Float32Array[]): Float32Array {
  const [first, ...others] = all;
  if (!first) return NOTHING;
  if (others.length === 0) return first;
  TOGETHER.set(first);
  for (const each of others)
    for (let at = 0; at < MINUTES_A_YEAR; at += 1) TOGETHER[at] = (TOGETHER[at] ?? 0) + (each[at] ?? 0);
  return TOGETHER;
}
