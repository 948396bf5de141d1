import type { TrialFault } from '../survey/trial-words';
import { fresh, step, type ControllerTerms, type Running } from './controller';
import { OPERATES_AT, timeConstant } from '../management/fuse-warming';
import { DAYS_A_YEAR, MINUTES_A_DAY, MINUTES_A_YEAR, type HouseYear } from './household';
import { seeded } from './random';

/** What the vehicle needs and when it is there. */
export interface VehicleNeeds {
  readonly kwhPerDay: number;
  readonly arrivesH: number;
  readonly leavesH: number;
  /** What its own charger takes, each phase. */
  readonly onboardA: number;
  readonly phases: 1 | 3;
  /** Charging only between these hours of the day, over midnight where the second is the earlier. */
  readonly cheap?: { readonly fromH: number; readonly toH: number } | undefined;
}

export interface YearTerms extends ControllerTerms {
  readonly ratingA: number;
  readonly nominalV: number;
  /** Whether the charger’s own current passes the clamp; where it does not, the controller reckons with a false figure. */
  readonly seesOwn: boolean;
  /** What goes wrong, and on what share of days, from the vehicle’s arrival until it leaves. */
  readonly fault?: TrialFault | undefined;
  readonly faultShare: number;
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

/** Whether charging is let at each minute of the day; null where it always is. */
export function cheapMinutes(cheap: VehicleNeeds['cheap']): Uint8Array | null {
  if (!cheap || cheap.fromH === cheap.toH) return null;
  const [from, to] = [Math.round(cheap.fromH * 60), Math.round(cheap.toH * 60)];
  return Uint8Array.from({ length: MINUTES_A_DAY }, (_each, at) =>
    (from < to ? at >= from && at < to : at >= from || at < to) ? 1 : 0,
  );
}

/** What the charger drew in a year, and what the vehicle had of it. */
interface ChargerYear {
  /** Amperes, minute by minute; good until the next year is played. */
  readonly ownA: Float32Array;
  readonly neededKwh: number;
  readonly deliveredKwh: number;
  readonly morningsShort: number;
  readonly pauses: number;
}

/**
 * Plays a year minute by minute. At this step the controller answers within the minute; what happens inside it is played
 * second by second in an evening. The vehicle's days come from the seed alone, so every way of running meets the same days.
 */
export function playYear(
  house: HouseYear,
  needs: VehicleNeeds,
  running: Running,
  terms: YearTerms,
  seed: number,
): YearFigures {
  const { ownA, ...vehicle } = chargerYear(house, needs, running, terms, seed);
  return { ...supplyYear(house.allA, ownA, terms.ratingA), ...vehicle };
}

/** Used again for every year, since a fresh one costs more than what is reckoned on it; nobody outside ever sees it. */
const SHEET = new Float32Array(MINUTES_A_YEAR);

/** From each arrival until the vehicle has what it wants or leaves: nothing is reckoned for the minutes between. */
function chargerYear(
  { allA, unseenA }: HouseYear,
  needs: VehicleNeeds,
  running: Running,
  terms: YearTerms,
  seed: number,
): ChargerYear {
  const random = seeded(seed ^ 0x5bd1e995);
  const kwhPerAMinute = (needs.phases * terms.nominalV) / 60000;
  const ownA = SHEET.fill(0);
  const open = cheapMinutes(needs.cheap);
  const controller = new YearController(running, needs.onboardA, terms);
  const days = Array.from({ length: DAYS_A_YEAR }, (_each, day) => ({
    kwh: Math.max(0, random.about(needs.kwhPerDay, needs.kwhPerDay * 0.35)),
    arrives: day * MINUTES_A_DAY + Math.round(random.about(needs.arrivesH, 0.8) * 60),
    leaves: (day + 1) * MINUTES_A_DAY + Math.round(needs.leavesH * 60),
    fault: random.next() < terms.faultShare ? terms.fault : undefined,
  }));
  let neededKwh = 0;
  let deliveredKwh = 0;
  let morningsShort = 0;
  let wanted = 0;
  for (const [day, { kwh, arrives, leaves, fault }] of days.entries()) {
    wanted += kwh;
    neededKwh += kwh;
    controller.begin(fault);
    const next = days[day + 1]?.arrives ?? MINUTES_A_YEAR;
    const until = Math.min(leaves, next, MINUTES_A_YEAR);
    for (let minute = Math.max(0, arrives); minute < until && wanted > 1e-9; minute += 1) {
      if (open !== null && open[minute % MINUTES_A_DAY] === 0) {
        controller.rest();
        continue;
      }
      const other = allA[minute] ?? 0;
      const own = controller.minute(unseenA === null ? other : other - (unseenA[minute] ?? 0));
      ownA[minute] = own;
      // The last of it takes less than a minute at full current; what is short of the least current is still taken.
      const taken = Math.min(wanted, own * kwhPerAMinute);
      wanted -= taken;
      deliveredKwh += taken;
    }
    controller.rest();
    if (leaves > Math.min(next, MINUTES_A_YEAR - 1)) continue;
    // Under a tenth of a kilowatt-hour nobody misses.
    if (wanted > 0.1) morningsShort += 1;
    wanted = 0;
  }
  // What was still wanted on the last evening is charged in the next year.
  return { ownA, neededKwh: neededKwh - wanted, deliveredKwh, morningsShort, pauses: controller.pauses };
}

/** The controller minute by minute, with what has gone wrong with it tonight. */
class YearController {
  private readonly state = fresh();
  private fault: TrialFault | undefined;
  private seenBefore: number | null = null;
  private asked = 0;

  constructor(
    private readonly running: Running,
    private readonly onboardA: number,
    private readonly terms: YearTerms,
  ) {}

  get pauses(): number {
    return this.state.pauses;
  }

  begin(fault: TrialFault | undefined): void {
    this.fault = this.running.kind === 'managed' ? fault : undefined;
    this.seenBefore = null;
  }

  rest(): void {
    this.state.ownA = 0;
    this.asked = 0;
  }

  /** What the charger draws in a minute in which the clamp sees so much of the house. */
  minute(seenA: number): number {
    const { state, running, onboardA, terms, fault } = this;
    const reading = seenA + (terms.seesOwn ? state.ownA : 0);
    if (fault === undefined) return step(state, running, reading, onboardA, 1, terms);
    const before = this.seenBefore ?? seenA;
    this.seenBefore = seenA;
    switch (fault) {
      case 'clamp-reversed':
        return step(state, running, -reading, onboardA, 1, terms);
      case 'lag':
        // Acting on what was so a minute ago.
        return step(state, running, before + state.ownA, onboardA, 1, terms);
      case 'vehicle-slow': {
        // Drawing what was asked of it a minute ago.
        const drawn = this.asked;
        this.asked = step(state, running, reading, onboardA, 1, terms);
        return (state.ownA = drawn);
      }
      default:
        // Clamp or link lost: within the minute the fail-safe current is in force.
        return step(state, running, null, onboardA, 1, terms);
    }
  }
}

/** What the fuse made of a year: every minute of it. */
function supplyYear(
  allA: Float32Array,
  ownA: Float32Array,
  ratingA: number,
): Pick<YearFigures, 'highestA' | 'highestDay' | 'minutesOver' | 'longestOverMin' | 'warmest'> {
  const decay = Math.exp(-1 / timeConstant(ratingA));
  const gain = 1 - decay;
  const perRating = 1 / ratingA;
  const overA = ratingA + 1e-6;
  // One by one: unpacked from a list, numbers are kept as objects at first, at twice the time.
  let theta = 0;
  let warmest = 0;
  let highestA = 0;
  let highestAt = 0;
  let minutesOver = 0;
  let over = 0;
  let longestOverMin = 0;
  for (let minute = 0; minute < MINUTES_A_YEAR; minute += 1) {
    const total = (allA[minute] ?? 0) + (ownA[minute] ?? 0);
    if (total > highestA) {
      highestA = total;
      highestAt = minute;
    }
    if (total > overA) {
      minutesOver += 1;
      over += 1;
      if (over > longestOverMin) longestOverMin = over;
    } else over = 0;
    const share = total * perRating;
    theta = theta * decay + share * share * gain;
    if (theta > warmest) warmest = theta;
  }
  const highestDay = Math.floor(highestAt / MINUTES_A_DAY);
  return { highestA, highestDay, minutesOver, longestOverMin, warmest: warmest / OPERATES_AT };
}
