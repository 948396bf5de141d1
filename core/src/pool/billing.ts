import type { PoolCosts as TypedCosts } from '../survey/pool';

/** What a pool costs its owner, in pence; a year where nothing else is said. */
export interface PoolCosts {
  readonly energyPencePerKwh: number;
  readonly standingPencePerDay: number;
  readonly upkeepPencePerYear: number;
  readonly installationPence: number;
  /** Over how many years the installation is to be earned back. */
  readonly overYears: number;
}

/** What a driver would pay from an own supply instead. */
export interface OwnSupplyCosts {
  readonly energyPencePerKwh: number;
  /** The driver’s own installation, and over how many years. */
  readonly installationPence: number;
  readonly overYears: number;
}

/** A row’s costs in whole pence as they are typed; null where one of them is not. */
export function costsOf(typed: TypedCosts | undefined): PoolCosts | null {
  const { energyPencePerKwh, standingPencePerDay, upkeepPounds, installationPounds, overYears } = typed ?? {};
  if (
    energyPencePerKwh === undefined ||
    standingPencePerDay === undefined ||
    upkeepPounds === undefined ||
    installationPounds === undefined ||
    overYears === undefined
  )
    return null;
  return {
    energyPencePerKwh,
    standingPencePerDay,
    upkeepPencePerYear: Math.round(upkeepPounds * 100),
    installationPence: Math.round(installationPounds * 100),
    overYears,
  };
}

/** What a driver would pay from an own supply, over as many years as the row; null where it is not typed. */
export function ownCostsOf(typed: TypedCosts | undefined): OwnSupplyCosts | null {
  const { ownEnergyPencePerKwh, ownInstallationPounds, overYears } = typed ?? {};
  if (ownEnergyPencePerKwh === undefined || ownInstallationPounds === undefined || overYears === undefined) return null;
  return {
    energyPencePerKwh: ownEnergyPencePerKwh,
    installationPence: Math.round(ownInstallationPounds * 100),
    overYears,
  };
}

/** One outlet at a stated mileage. */
export interface BilledMonth {
  readonly milesPerYear: number;
  readonly kwh: number;
  readonly pence: number;
  /** From an own supply; null where nothing is known of one. */
  readonly ownPence: number | null;
}

/**
 * The price that covers energy, standing charge, upkeep and the installation, in pence a kilowatt-hour, unrounded: energy + (365 × standing + upkeep + installation ÷ years) ÷ kWh a year.
 * Null where nothing is charged, since nothing can be spread over it. Source: guide section 16.
 */
export function coveringPrice(costs: PoolCosts, kwhPerYear: number): number | null {
  const { energyPencePerKwh, standingPencePerDay, upkeepPencePerYear, installationPence, overYears } = costs;
  if (kwhPerYear <= 0 || overYears <= 0) return null;
  const fixed = 365 * standingPencePerDay + upkeepPencePerYear + installationPence / overYears;
  return energyPencePerKwh + fixed / kwhPerYear;
}

/** What an outlet costs a month at each mileage, in whole pence, at a price in pence a kilowatt-hour, beside an own supply. */
export function billed(
  pricePence: number,
  mileages: readonly number[],
  kwhPerMile: number,
  own: OwnSupplyCosts | null,
): BilledMonth[] {
  return mileages.map((milesPerYear) => {
    const kwh = (milesPerYear * kwhPerMile) / 12;
    const ownPence =
      own === null || own.overYears <= 0
        ? null
        : Math.round(kwh * own.energyPencePerKwh + own.installationPence / own.overYears / 12);
    return { milesPerYear, kwh, pence: Math.round(kwh * pricePence), ownPence };
  });
}
