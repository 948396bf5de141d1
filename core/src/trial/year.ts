import { fresh, step, type ControllerTerms, type Running } from './controller';
import { OPERATES_AT, timeConstant } from './fuse';
import { DAYS_A_YEAR, MINUTES_A_DAY } from './household';
import { seeded } from './random';

/** What the vehicle needs and when it is there. */
export interface VehicleNeeds {
  readonly kwhPerDay: number;
  readonly arrivesH: number;
  readonly leavesH: number;
  /** What its own charger takes, each phase. */
  readonly onboardA: number;
  readonly phases: 1 | 3;
}

export interface YearTerms extends ControllerTerms {
  readonly ratingA: number;
  readonly nominalV: number;
  /** The clamp fails on this share of days, for the whole day; 0 where it never does. */
  readonly clampLostShare: number;
}

/** One household-year under one way of running the charger. */
export interface YearFigures {
  readonly highestA: number;
  readonly minutesOver: number;
  readonly longestOverMin: number;
  /** The warmest the fuse was, as a share of what operates it. */
  readonly warmest: number;
  readonly neededKwh: number;
  readonly deliveredKwh: number;
  readonly morningsShort: number;
  readonly pauses: number;
  /** The day with the highest minute, to be looked at closely. */
  readonly highestDay: number;
}

/**
 * Plays a year minute by minute. At this step the controller answers within the minute; what happens inside it is played
 * second by second in an evening. The vehicle's days come from the seed alone, so every way of running meets the same days.
 */
export function playYear(
  house: Float32Array,
  needs: VehicleNeeds,
  running: Running,
  terms: YearTerms,
  seed: number,
): YearFigures {
  const random = seeded(seed ^ 0x5bd1e995);
  const { ratingA, nominalV, leastA } = terms;
  const decay = Math.exp(-1 / timeConstant(ratingA));
  const kwhPerAMinute = (needs.phases * nominalV) / 60000;
  const state = fresh();
  let [theta, warmest, highestA, highestDay] = [0, 0, 0, 0];
  let [minutesOver, over, longestOverMin] = [0, 0, 0];
  let [neededKwh, deliveredKwh, morningsShort] = [0, 0, 0];
  let [wanted, leaves, lost] = [0, 0, false];
  for (let day = 0; day < DAYS_A_YEAR; day += 1) {
    const start = day * MINUTES_A_DAY;
    const kwh = Math.max(0, random.about(needs.kwhPerDay, needs.kwhPerDay * 0.35));
    const arrives = start + Math.round(random.about(needs.arrivesH, 0.8) * 60);
    const lostToday = random.next() < terms.clampLostShare;
    for (let minute = start; minute < start + MINUTES_A_DAY; minute += 1) {
      if (minute === leaves && wanted > 1e-9) {
        // Under a tenth of a kilowatt-hour nobody misses.
        if (wanted > 0.1) morningsShort += 1;
        wanted = 0;
      }
      if (minute === arrives) {
        wanted += kwh;
        neededKwh += kwh;
        lost = lostToday;
        leaves = start + MINUTES_A_DAY + Math.round(needs.leavesH * 60);
      }
      const other = house[minute] ?? 0;
      let own = 0;
      if (wanted > 1e-9) {
        own = step(
          state,
          running,
          lost && running.kind === 'managed' ? null : other + state.ownA,
          needs.onboardA,
          1,
          terms,
        );
        // The last of it takes less than a minute at full current; what is short of the least current is still taken.
        const taken = Math.min(wanted, own * kwhPerAMinute);
        wanted -= taken;
        deliveredKwh += taken;
      } else if (state.ownA > 0) state.ownA = 0;
      const total = other + own;
      if (total > highestA) {
        highestA = total;
        highestDay = day;
      }
      if (total > ratingA + 1e-6) {
        minutesOver += 1;
        over += 1;
        if (over > longestOverMin) longestOverMin = over;
      } else over = 0;
      const end = (total / ratingA) * (total / ratingA);
      theta = end + (theta - end) * decay;
      if (theta > warmest) warmest = theta;
    }
  }
  // What was still wanted on the last evening is charged in the next year.
  neededKwh -= wanted;
  return {
    highestA,
    minutesOver,
    longestOverMin,
    warmest: warmest / OPERATES_AT,
    neededKwh,
    deliveredKwh,
    morningsShort,
    pauses: leastA > 0 ? state.pauses : 0,
    highestDay,
  };
}
