import type { Driver } from '../survey/driver';
import type { RulePack } from '../rules/rule-pack';

/** What a charging current does for the driver: energy a day, hours for it, and whether the night is long enough. */
export interface ChargingTime {
  readonly powerKw: number;
  readonly neededKwh: number | null;
  readonly hours: number | null;
  readonly enough: boolean | null;
}

/** Power in kW from amperes on so many phases at the nominal voltage. */
export function chargingPower(amperes: number, phases: 1 | 3, pack: RulePack): number {
  return (amperes * phases * pack.nominalVoltageV.value) / 1000;
}

/** Hours a day in which it may charge: those it stands there, and no more than the cheap ones. Undefined where neither is said. */
function hoursToCharge({ hoursThere, cheapFromH, cheapToH }: Driver): number | undefined {
  if (cheapFromH === undefined || cheapToH === undefined || cheapFromH === cheapToH) return hoursThere;
  return Math.min(hoursThere ?? 24, (cheapToH - cheapFromH + 24) % 24);
}

/** Hours from miles a day at the pack’s energy a mile, or the driver’s own, against the hours the vehicle stands there. */
export function chargingTime(driver: Driver | undefined, amperes: number, phases: 1 | 3, pack: RulePack): ChargingTime {
  const onboard = driver?.onboardA;
  const drawn = onboard === undefined ? amperes : Math.min(amperes, onboard);
  const powerKw = chargingPower(drawn, phases, pack);
  const perMile = driver?.kwhPerMile ?? pack.kwhPerMile.value;
  const neededKwh = driver?.milesPerDay === undefined ? null : driver.milesPerDay * perMile;
  const hours = neededKwh === null || powerKw <= 0 ? null : neededKwh / powerKw;
  const there = driver && hoursToCharge(driver);
  return { powerKw, neededKwh, hours, enough: hours === null || there === undefined ? null : hours <= there + 1e-9 };
}
