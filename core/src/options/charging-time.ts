import { HAIR } from '../rules/rounding';
import type { Driver } from '../survey/driver';
import type { Rules } from '../rules/rules';

/** What a charging current does for the driver: energy a day, hours for it, and whether the night is long enough. */
export interface ChargingTime {
  /** At its most, in kW: what limit, set-points and the vehicle itself let it have; 0 below the least charging current. */
  readonly powerKw: number;
  /** With everything else running, in kW: what the others leave of the set-point. As `powerKw` where nothing manages it. */
  readonly leastKw: number;
  readonly neededKwh: number | null;
  /** For the day’s energy at its most; null where it charges nothing. */
  readonly hours: number | null;
  /** Null where it depends on what the others leave, and no trial was played of it. */
  readonly enough: boolean | null;
  /** Mornings a year on which the middle household was short, where a trial of this way was played from this survey. */
  readonly morningsShort?: number;
}

/** What a charger may draw, in amperes on each of its lines. */
export interface ChargingCurrent {
  readonly mostA: number;
  /** With everything else running. */
  readonly leastA: number;
  readonly lines: 1 | 3;
}

/** Power in kW from amperes on so many lines at the nominal voltage; under the least charging current it is none. */
export function chargingPower(amperes: number, lines: 1 | 3, rules: Rules): number {
  return amperes + HAIR < rules.leastChargingA.value ? 0 : (amperes * lines * rules.nominalVoltageV.value) / 1000;
}

/** Hours a day in which it may charge: those it stands there, and no more than the cheap ones. Undefined where neither is said. */
function hoursToCharge({ hoursThere, cheapFromH, cheapToH }: Driver): number | undefined {
  if (cheapFromH === undefined || cheapToH === undefined || cheapFromH === cheapToH) return hoursThere;
  // From 0 to 24 is the whole day and not none of it.
  const cheap = (cheapToH - cheapFromH + 24) % 24 || 24;
  return Math.min(hoursThere ?? 24, cheap);
}

/** Hours from miles a day at the pack’s energy a mile, or the driver’s own, against the hours the vehicle stands there. */
export function chargingTime(
  driver: Driver | undefined,
  { mostA, leastA, lines }: ChargingCurrent,
  rules: Rules,
  morningsShort?: number,
): ChargingTime {
  const onboard = driver?.onboardA ?? Infinity;
  const powerKw = chargingPower(Math.min(mostA, onboard), lines, rules);
  const leastKw = chargingPower(Math.min(leastA, onboard), lines, rules);
  const perMile = driver?.kwhPerMile ?? rules.kwhPerMile.value;
  const neededKwh = driver?.milesPerDay === undefined ? null : driver.milesPerDay * perMile;
  const hours = neededKwh === null || powerKw <= 0 ? null : neededKwh / powerKw;
  const there = driver && hoursToCharge(driver);
  return {
    powerKw,
    leastKw,
    neededKwh,
    hours,
    enough: isEnough({ powerKw, leastKw, neededKwh, there, morningsShort }),
    ...(morningsShort === undefined ? {} : { morningsShort }),
  };
}

/** So many mornings short a year are still enough: one a month. */
const SHORT_A_YEAR = 12;

function isEnough(of: {
  readonly powerKw: number;
  readonly leastKw: number;
  readonly neededKwh: number | null;
  readonly there: number | undefined;
  readonly morningsShort: number | undefined;
}): boolean | null {
  const { powerKw, leastKw, neededKwh, there, morningsShort } = of;
  if (neededKwh === null || neededKwh === 0) return neededKwh === null ? null : true;
  if (powerKw <= 0) return false;
  if (there === undefined) return null;
  const fits = (kilowatts: number): boolean => neededKwh <= kilowatts * there + HAIR;
  // At its most not even: never. With everything running still: always. Between the two only a trial can tell.
  if (!fits(powerKw)) return false;
  if (fits(leastKw)) return true;
  return morningsShort === undefined ? null : morningsShort <= SHORT_A_YEAR;
}
