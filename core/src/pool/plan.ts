import type { Decided } from '../assessment';
import type { Rules } from '../rules/rules';
import type { Pool, PoolDrivers } from '../survey/pool';
import type { Survey } from '../survey/survey';
import { protects, supplyTree, towardsStreet } from '../tree/supply-tree';
import { USUAL_DRIVERS, type DriverKind } from './drivers';
import { besideOf, elsewhereOf, type WithElse } from './elsewhere';
import { carsAlong, carsTyped, type YearOfCars } from './growth';
import type { SharedPart } from './guarantees';
import { clampedAt, poolOnSupply } from './on-supply';
import type { Outlet, PoolTerms } from './pool-year';

/** What a pool is played from; with a seed it gives the same figures anywhere. */
export interface PlannedPool extends WithElse {
  readonly outlets: readonly Outlet[];
  readonly kinds: readonly DriverKind[];
  readonly setPointA: number;
  /** The least fuse that everything the clamps see passes and nothing else does. */
  readonly fuse: { readonly label: string; readonly ratingA: number } | null;
  readonly terms: PoolTerms;
  /** Cars year by year, as typed or along the curve; none where neither is known. */
  readonly years: readonly YearOfCars[];
}

const USUAL_TURN_MIN = 15;

/** What a survey’s pool is played from; or what it still needs, in a sentence. */
export function plannedPool(
  survey: Survey,
  assessment: Decided,
  rules: Rules,
): PlannedPool | { readonly needs: string } {
  const { pool } = survey;
  if (!pool || pool.outlets.length === 0) return { needs: 'The bays of the row.' };
  if (pool.setPointA === undefined) return { needs: 'The set-point.' };
  const elsewhere = elsewhereOf(survey, assessment, rules);
  if ('needs' in elsewhere) return elsewhere;
  const beside = besideOf(survey, elsewhere);
  if ('needs' in beside) return beside;
  const { outlets, parts } = poolOnSupply(survey, assessment, rules);
  return {
    outlets,
    fuse: fuseOf(survey, parts),
    besideA: beside.besideA,
    kinds: pool.drivers === undefined || pool.drivers.length === 0 ? USUAL_DRIVERS : pool.drivers.map(kindOf),
    setPointA: pool.setPointA,
    elsewhere,
    terms: {
      policy: pool.policy ?? 'equal',
      leastA: rules.leastChargingA.value,
      turnMin: pool.turnMin ?? USUAL_TURN_MIN,
      nominalV: rules.nominalVoltageV.value,
    },
    years: yearsOf(pool),
  };
}

/** The smallest fuse at or above the clamps with nothing beside them. */
function fuseOf(survey: Survey, parts: readonly SharedPart[]): PlannedPool['fuse'] {
  const tree = supplyTree(survey);
  const clamps = clampedAt(survey, tree);
  const above = new Set(towardsStreet(clamps).flatMap((here) => (protects(here) ? [here.node.id] : [])));
  const fuses = parts.flatMap(({ id, label, ratingA, unseenA }) =>
    ratingA !== null && above.has(id) && Object.values(unseenA).every((amperes) => amperes === 0)
      ? [{ label, ratingA }]
      : [],
  );
  return fuses.sort((a, b) => a.ratingA - b.ratingA)[0] ?? null;
}

/** Years looked ahead along a curve. */
const YEARS = 15;

function yearsOf({ carsByYear, firstYear, startCars = 0, ceilingCars, middleYear, outlets }: Pool): YearOfCars[] {
  if (carsByYear && carsByYear.length > 0) return carsTyped(carsByYear);
  if (firstYear === undefined || middleYear === undefined) return [];
  return carsAlong({ firstYear, startCars, ceiling: ceilingCars ?? outlets.length, middleYear }, YEARS);
}

/** Drivers as typed; what is left out is a usual commuter’s. */
function kindOf(typed: PoolDrivers): DriverKind {
  const [usual] = USUAL_DRIVERS;
  const said = Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== undefined));
  return { ...(usual as DriverKind), label: 'Drivers', share: 1, ...said };
}
