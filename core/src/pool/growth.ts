import { DAYS_A_YEAR } from '../trial/household';
import { quantile } from '../trial/statistics';
import { kindAt, staysOf, type DriverKind, type Stays } from './drivers';
import { poolYear, type Left, type Outlet, type PoolTerms, type PoolYear } from './pool-year';

/** On so many mornings somebody may find their car not ready. Source: guide section 16: one in twenty. */
export const MOST_SHORT_SHARE = 0.05;

/** How many cars there are in a year of the plan. */
export interface YearOfCars {
  readonly year: number;
  readonly cars: number;
}

/** Cars by year along an S: slow, fast, and slow towards a ceiling. */
export interface Curve {
  readonly firstYear: number;
  readonly startCars: number;
  readonly ceiling: number;
  /** The year in which half of the growth has come. */
  readonly middleYear: number;
}

/**
 * Cars in each of so many years along an S: start + (ceiling − start) × (1 − ½ to the power t²), where t is 0 in the first year and 1 in the middle year.
 *
 * @example carsAlong({ firstYear: 2026, startCars: 4, ceiling: 40, middleYear: 2031 }, 10) // 4 in 2026, 22 in 2031
 */
export function carsAlong({ firstYear, startCars, ceiling, middleYear }: Curve, years: number): YearOfCars[] {
  const half = Math.max(1, middleYear - firstYear);
  return Array.from({ length: years }, (_each, at) => {
    const risen = 1 - 0.5 ** ((at / half) ** 2);
    return { year: firstYear + at, cars: Math.round(startCars + (ceiling - startCars) * risen) };
  });
}

/** Cars year by year as they are typed, in order; a year between two of them has those of the one before. */
export function carsTyped(typed: readonly { readonly year?: number; readonly cars?: number }[]): YearOfCars[] {
  const known = typed
    .flatMap(({ year, cars }) => (year === undefined || cars === undefined ? [] : [{ year, cars }]))
    .sort((a, b) => a.year - b.year);
  const [first, last] = [known[0], known.at(-1)];
  if (!first || !last) return [];
  return Array.from({ length: last.year - first.year + 1 }, (_each, at) => {
    const year = first.year + at;
    return { year, cars: known.filter((each) => each.year <= year).at(-1)?.cars ?? first.cars };
  });
}

/** A pool to be played with any number of cars. */
export interface PoolPlan {
  readonly outlets: readonly Outlet[];
  readonly kinds: readonly DriverKind[];
  readonly left: Left;
  readonly terms: PoolTerms;
}

/** A pool under so many cars for a year of one seed. */
export interface PoolFigures {
  readonly cars: number;
  /** Share of mornings on which somebody’s car is not ready. */
  readonly shortShare: number;
  readonly neededKwh: number;
  readonly missedKwh: number;
  readonly waitedH: number;
  /** The least and the most that any driver received of what was needed. */
  readonly fairness: readonly [number, number];
  readonly highestA: number;
  readonly worstDay: number;
}

/** The first so many cars of a plan’s row, each with its own days: a year of them, or fewer. */
export function carsOf(plan: Pick<PoolPlan, 'kinds'>, cars: number, seed: number, days = DAYS_A_YEAR): Stays[] {
  return Array.from({ length: cars }, (_each, place) => kindAt(plan.kinds, place))
    .flatMap((kind) => kind ?? [])
    .map((kind, place) => staysOf(kind, place, seed, days));
}

/** Plays a plan under so many cars. */
export function playCars(plan: PoolPlan, cars: number, seed: number): PoolFigures {
  return figuresOf(poolYear(plan.outlets, carsOf(plan, cars, seed), plan.left, plan.terms));
}

/** The figures of a year that was played. */
export function figuresOf({ cars, daysShort, worstDay, drawnA }: PoolYear): PoolFigures {
  const sum = (of: (car: PoolYear['cars'][number]) => number): number =>
    cars.reduce((total, car) => total + of(car), 0);
  const shares = cars
    .filter(({ neededKwh }) => neededKwh > 0)
    .map((car) => Math.min(1, car.deliveredKwh / car.neededKwh));
  let highestA = 0;
  for (const line of drawnA) for (const amperes of line) if (amperes > highestA) highestA = amperes;
  return {
    cars: cars.length,
    shortShare: daysShort.length / DAYS_A_YEAR,
    neededKwh: sum(({ neededKwh }) => neededKwh),
    missedKwh: Math.max(
      0,
      sum(({ neededKwh, deliveredKwh }) => neededKwh - deliveredKwh),
    ),
    waitedH: sum(({ waitedH }) => waitedH),
    fairness: shares.length === 0 ? [1, 1] : [Math.min(...shares), Math.max(...shares)],
    highestA,
    worstDay,
  };
}

/**
 * How many cars a plan carries under one seed: the most at which no more than one morning in twenty fails; a car in every bay is tried first, then by halving. `told` hears of
 * every year that is played.
 */
export function carried(plan: PoolPlan, seed: number, told: (figures: PoolFigures) => void = () => undefined): number {
  let [holds, fails] = [0, plan.outlets.length + 1];
  while (fails - holds > 1) {
    const tried = holds === 0 && fails > plan.outlets.length ? plan.outlets.length : (holds + fails) >> 1;
    const figures = playCars(plan, tried, seed);
    told(figures);
    if (figures.shortShare <= MOST_SHORT_SHARE) holds = tried;
    else fails = tried;
  }
  return holds;
}

/** How many cars are carried over several seeds: the middle, and what one in twenty stays under and over. */
export interface CarriedSpread {
  readonly least: number;
  readonly median: number;
  readonly most: number;
}

export function carriedSpread(found: readonly number[]): CarriedSpread {
  const sorted = [...found].sort((a, b) => a - b);
  return { least: quantile(sorted, 0.05), median: quantile(sorted, 0.5), most: quantile(sorted, 0.95) };
}

/** The first year with more cars than are carried; null where none has. */
export function yearReached(years: readonly YearOfCars[], carries: number): number | null {
  return years.find(({ cars }) => cars > carries)?.year ?? null;
}
