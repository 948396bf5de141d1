import { seeded } from './random';

const HOURS_A_YEAR = 8760;

/** The made-up year is always this one, so that homes added up meet the same cold evening. */
const YEAR_SEED = 20;

/**
 * Outdoor temperature of a made-up year in °C, hour by hour from 1 January: about 10 °C on average, coldest in late January, the afternoon
 * warmer than the night, and days that stay alike for a while. Not the record of any place; what is asked of it stands in docs/methods/trial.md.
 */
function madeUpYear(): Float32Array {
  const random = seeded(YEAR_SEED);
  const outdoorC = new Float32Array(HOURS_A_YEAR);
  let spell = 0;
  for (let day = 0; day < 365; day += 1) {
    const season = -Math.cos((2 * Math.PI * (day - 24)) / 365);
    // Cold and warm spells: each day keeps most of the one before.
    spell = 0.75 * spell + random.about(0, 1.9);
    for (let hour = 0; hour < 24; hour += 1) {
      const ofDay = -Math.cos((2 * Math.PI * (hour - 3)) / 24) * (3 + 1.2 * season);
      outdoorC[day * 24 + hour] = 10.3 + 6.2 * season + spell + ofDay;
    }
  }
  return outdoorC;
}

export const OUTDOOR_C: Float32Array = madeUpYear();

/** Heating is wanted below this, and all of it at the second, in °C. */
const WANTED_BELOW_C = 15.5;
const DESIGN_C = -4;

/** The share of a home's greatest need for heat that an outdoor temperature asks for, from 0 to 1. */
export function heatShare(outdoorC: number): number {
  return Math.min(1, Math.max(0, (WANTED_BELOW_C - outdoorC) / (WANTED_BELOW_C - DESIGN_C)));
}
