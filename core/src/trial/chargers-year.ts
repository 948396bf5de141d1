import { HAIR, wholeBelow } from '../rules/rounding';
import type { TrialFault } from '../survey/words/trial-words';
import type { Phase } from '../survey/words/words';
import type { Appliance } from './appliance';
import { fresh, grant, type ControllerTerms, type Running } from './controller';
import { DAYS_A_YEAR, householdYear, MINUTES_A_DAY, MINUTES_A_YEAR, type HouseYear } from './household';
import { seeded } from './random';

/** What the vehicle needs and when it is there. */
export interface VehicleNeeds {
  readonly kwhPerDay: number;
  readonly arrivesH: number;
  readonly leavesH: number;
  /** What its own charger takes, each line. */
  readonly onboardA: number;
  readonly lines: number;
  /** Charging only between these hours of the day, over midnight where the second is the earlier. */
  readonly cheap?: { readonly fromH: number; readonly toH: number } | undefined;
}

/** A charger as it is played: what it is part of, and what its vehicle wants. */
export interface TrialCharger {
  readonly id: string;
  readonly sums: readonly number[];
  readonly phases: readonly Phase[];
  readonly needs: VehicleNeeds;
  readonly interlock?: string | undefined;
  /** Equipment that is no charger and gives way as one: what it would draw. */
  readonly asks?: Appliance | undefined;
}

/** One charger in one way: how it is run, and by which clamps; chargers of one pool share what is left. */
export interface ChargerRun {
  readonly running: Running;
  readonly clamps: readonly { readonly setPointA: number; readonly sums: readonly number[] }[];
  /** -1 where it is on its own. */
  readonly pool: number;
}

export interface YearTerms extends ControllerTerms {
  readonly nominalV: number;
  /** What goes wrong, and on what share of days, from the vehicle’s arrival until it leaves. */
  readonly fault?: TrialFault | undefined;
  readonly faultShare: number;
}

/** What the chargers drew in a year, and what their vehicles had of it. */
export interface ChargersYear {
  /** Amperes of each charger, minute by minute. */
  readonly ownA: readonly Float32Array[];
  readonly neededKwh: number;
  readonly deliveredKwh: number;
  readonly morningsShort: number;
  readonly pauses: number;
}

/** Whether charging is let at each minute of the day; null where it always is. */
export function cheapMinutes(cheap: VehicleNeeds['cheap']): Uint8Array | null {
  if (!cheap || cheap.fromH === cheap.toH) return null;
  const [from, to] = [Math.round(cheap.fromH * 60), Math.round(cheap.toH * 60)];
  return Uint8Array.from({ length: MINUTES_A_DAY }, (_each, at) =>
    (from < to ? at >= from && at < to : at >= from || at < to) ? 1 : 0,
  );
}

/** Used again for every year, since a fresh one costs more than what is reckoned on it; good until the next year is played. */
const SHEETS: Float32Array[] = [];

/**
 * Plays a year minute by minute. At this step the controller answers within the minute; what happens inside it is played second by second in
 * an evening. Each vehicle's days come from the seed and its place in the list, so every way of running meets the same days.
 */
export function chargersYear(
  house: HouseYear,
  chargers: readonly TrialCharger[],
  runs: readonly ChargerRun[],
  terms: YearTerms,
  seed: number,
): ChargersYear {
  const all = chargers.flatMap((charger, at): Session[] => {
    const run = runs[at];
    if (!run) return [];
    const own = (SHEETS[at] ??= new Float32Array(MINUTES_A_YEAR)).fill(0);
    return [new Session(charger, run, house, terms, seed, at, own)];
  });
  // What nobody manages is there first; the managed ones share what it leaves.
  const inTurn = [...all.filter(({ managed }) => !managed), ...all.filter(({ managed }) => managed)];
  const [only] = inTurn;
  if (inTurn.length === 1 && only) only.playAlone();
  else playTogether(inTurn);
  for (const each of all) each.end();
  const total = (of: (each: Session) => number): number => all.reduce((sum, each) => sum + of(each), 0);
  return {
    ownA: all.map(({ ownA }) => ownA),
    neededKwh: total(({ neededKwh }) => neededKwh),
    deliveredKwh: total(({ deliveredKwh }) => deliveredKwh),
    morningsShort: total(({ morningsShort }) => morningsShort),
    pauses: total(({ pauses }) => pauses),
  };
}

/** Several chargers minute by minute, passing over the time in which nobody wants anything. */
function playTogether(inTurn: readonly Session[]): void {
  let minute = 0;
  while (minute < MINUTES_A_YEAR) {
    let next = MINUTES_A_YEAR;
    for (const each of inTurn) {
      each.upTo(minute);
      const wakes = each.wakes(minute);
      if (wakes < next) next = wakes;
    }
    if (next > minute) {
      minute = next;
      continue;
    }
    for (const each of inTurn) each.play(minute, inTurn);
    minute += 1;
  }
}

/** One clamp on one line as a charger's controller reads it. */
interface Reading {
  readonly setPointA: number;
  readonly houseA: Float32Array;
  readonly sum: number;
}

/** One charger through a year: its vehicle comes, is charged as its way allows, and goes. */
class Session {
  readonly managed: boolean;
  readonly sums: readonly number[];
  private readonly interlock: string | undefined;
  private readonly terms: YearTerms;
  neededKwh = 0;
  deliveredKwh = 0;
  morningsShort = 0;
  /** What it draws in this minute. */
  private drawsA = 0;
  private readonly state = fresh();
  private readonly readings: readonly Reading[];
  private readonly group: Uint8Array | null;
  private readonly asksA: Float32Array | null;
  private readonly cheap: Uint8Array | null;
  private readonly kwhPerAMinute: number;
  private readonly onboardA: number;
  private readonly arrives = new Int32Array(DAYS_A_YEAR);
  private readonly leaves = new Int32Array(DAYS_A_YEAR);
  private readonly kwh = new Float64Array(DAYS_A_YEAR);
  private readonly faulty = new Uint8Array(DAYS_A_YEAR);
  private day = -1;
  private until = 0;
  private wanted = 0;
  private fault: TrialFault | undefined;
  private seenBefore: number | null = null;
  private askedA = 0;

  constructor(
    charger: TrialCharger,
    private readonly run: ChargerRun,
    house: HouseYear,
    terms: YearTerms,
    seed: number,
    place: number,
    readonly ownA: Float32Array,
  ) {
    const { needs, interlock } = charger;
    this.interlock = interlock;
    // What is no vehicle may run at any current.
    this.terms = charger.asks ? { ...terms, leastA: 0, restartMin: 0 } : terms;
    this.managed = run.running.kind === 'managed';
    this.sums = charger.sums;
    this.group = interlock === undefined ? null : (house.running.get(interlock) ?? null);
    this.cheap = charger.asks ? null : cheapMinutes(needs.cheap);
    this.kwhPerAMinute = (needs.lines * terms.nominalV) / 60000;
    this.onboardA = needs.onboardA;
    this.readings = run.clamps.flatMap(({ setPointA, sums }) =>
      sums.flatMap((sum) => {
        const houseA = house.sums[sum];
        return houseA ? [{ setPointA, houseA, sum }] : [];
      }),
    );
    this.asksA = charger.asks
      ? (householdYear({ appliances: [charger.asks], sums: 1, nominalV: terms.nominalV }, seed).sums[0] ?? null)
      : null;
    const random = seeded(seed ^ 0x5bd1e995 ^ Math.imul(place, 0x9e3779b1));
    for (let day = 0; day < DAYS_A_YEAR; day += 1) {
      this.kwh[day] = Math.max(0, random.about(needs.kwhPerDay, needs.kwhPerDay * 0.35));
      this.arrives[day] = Math.max(0, day * MINUTES_A_DAY + Math.round(random.about(needs.arrivesH, 0.8) * 60));
      this.leaves[day] = (day + 1) * MINUTES_A_DAY + Math.round(needs.leavesH * 60);
      this.faulty[day] = random.next() < terms.faultShare ? 1 : 0;
    }
  }

  get pauses(): number {
    return this.state.pauses;
  }

  /** Lets the vehicle go and the next one come, where it is time. */
  upTo(minute: number): void {
    if (this.asksA !== null) return;
    while (this.day + 1 < DAYS_A_YEAR && minute >= (this.arrives[this.day + 1] ?? 0)) {
      this.leave();
      this.arrive(this.day + 1);
    }
  }

  /** The next minute in which anything is to be reckoned for it. */
  wakes(minute: number): number {
    if (this.asksA !== null) return minute;
    if (minute < this.until && this.wanted > HAIR) return minute;
    this.rest();
    return this.arrives[this.day + 1] ?? MINUTES_A_YEAR;
  }

  private arrive(day: number): void {
    const kwh = this.kwh[day] ?? 0;
    this.day = day;
    this.wanted += kwh;
    this.neededKwh += kwh;
    this.until = Math.min(this.leaves[day] ?? 0, this.arrives[day + 1] ?? MINUTES_A_YEAR, MINUTES_A_YEAR);
    this.fault = this.managed && this.faulty[day] === 1 ? this.terms.fault : undefined;
    this.seenBefore = null;
    this.rest();
    // A vehicle that comes has not been paused yet.
    this.state.paused = false;
    this.state.enoughMin = 0;
  }

  private leave(): void {
    const leaves = this.leaves[this.day];
    if (leaves === undefined || leaves > (this.arrives[this.day + 1] ?? MINUTES_A_YEAR - 1)) return;
    // Under a tenth of a kilowatt-hour nobody misses.
    if (this.wanted > 0.1) this.morningsShort += 1;
    this.wanted = 0;
  }

  /** What is still wanted on the last evening is charged in the next year. */
  end(): void {
    this.neededKwh -= this.wanted;
  }

  private rest(): void {
    this.state.ownA = 0;
    this.drawsA = 0;
    this.askedA = 0;
  }

  /** The only charger there is: from each arrival until its vehicle has what it wants or leaves. */
  playAlone(): void {
    const alone = [this];
    if (this.asksA !== null) {
      for (let minute = 0; minute < MINUTES_A_YEAR; minute += 1) this.play(minute, alone);
      return;
    }
    for (let day = 0; day < DAYS_A_YEAR; day += 1) {
      if (day > 0) this.leave();
      this.arrive(day);
      for (let minute = this.arrives[day] ?? 0; minute < this.until && this.wanted > HAIR; minute += 1)
        this.play(minute, alone);
      this.rest();
    }
  }

  /** Whether its vehicle would take something now. */
  private wantsA(minute: number): number {
    if (this.group !== null && this.group[minute] === 1) return 0;
    if (this.asksA !== null) return this.asksA[minute] ?? 0;
    if (minute >= this.until || this.wanted <= HAIR) return 0;
    return this.cheap === null || this.cheap[minute % MINUTES_A_DAY] === 1 ? this.onboardA : 0;
  }

  /** Whether one of its group, before it in turn, is charging. */
  private isLocked(all: readonly Session[]): boolean {
    if (this.interlock === undefined) return false;
    for (const other of all) {
      if (other === this) return false;
      if (other.interlock === this.interlock && other.drawsA > 0) return true;
    }
    return false;
  }

  play(minute: number, all: readonly Session[]): void {
    const wantedA = this.isLocked(all) ? 0 : this.wantsA(minute);
    if (wantedA <= 0) {
      this.rest();
      return;
    }
    const { state, run, terms, fault } = this;
    const { running } = run;
    let drawn: number;
    if (running.kind === 'free') drawn = grant(state, running, Infinity, wantedA, 1, terms);
    else if (fault === undefined) drawn = grant(state, running, this.availableA(minute, all, false), wantedA, 1, terms);
    else drawn = this.playFault(fault, minute, all, wantedA);
    this.drawsA = drawn;
    this.ownA[minute] = drawn;
    if (this.asksA !== null) return;
    // The last of it takes less than a minute at full current; what is short of the least current is still taken.
    const taken = Math.min(this.wanted, drawn * this.kwhPerAMinute);
    this.wanted -= taken;
    this.deliveredKwh += taken;
  }

  private playFault(fault: TrialFault, minute: number, all: readonly Session[], wantedA: number): number {
    const { state, run, terms } = this;
    const { running } = run;
    if (running.kind === 'free') return 0;
    switch (fault) {
      case 'clamp-reversed':
        return grant(state, running, this.availableA(minute, all, true), wantedA, 1, terms);
      case 'lag': {
        // Acting on what was so a minute ago.
        const now = this.availableA(minute, all, false);
        const before = this.seenBefore ?? now;
        this.seenBefore = now;
        return grant(state, running, before, wantedA, 1, terms);
      }
      case 'vehicle-slow': {
        // Drawing what was asked of it a minute ago.
        const drawn = this.askedA;
        this.askedA = grant(state, running, this.availableA(minute, all, false), wantedA, 1, terms);
        return (state.ownA = drawn);
      }
      default:
        // Clamp or link lost: within the minute the fail-safe current is in force.
        return grant(state, running, running.failSafeA, wantedA, 1, terms);
    }
  }

  /** What every clamp leaves it on its lines, shared with those of its pool that want something too: an equal part, or all where that is too little to charge at. */
  private availableA(minute: number, all: readonly Session[], reversed: boolean): number {
    let shareA = Infinity;
    let wholeA = Infinity;
    for (const { setPointA, houseA, sum } of this.readings) {
      let leftA = setPointA - (reversed ? -(houseA[minute] ?? 0) : (houseA[minute] ?? 0));
      let waiting = 1;
      if (all.length > 1) {
        let served = true;
        for (const other of all) {
          if (other === this) served = false;
          else if (!other.sums.includes(sum)) continue;
          else if (served) leftA -= other.drawsA;
          else if (other.run.pool !== this.run.pool) leftA -= other.drawsA;
          else if (other.wantsA(minute) > 0) waiting += 1;
        }
      }
      // A clamp that its own current does not pass reckons with it all the same, and runs away.
      if (!this.sums.includes(sum)) leftA += this.state.ownA;
      if (reversed && this.sums.includes(sum)) leftA += 2 * this.state.ownA;
      shareA = Math.min(shareA, leftA / waiting);
      wholeA = Math.min(wholeA, leftA);
    }
    return wholeBelow(shareA) >= this.terms.leastA ? shareA : wholeA;
  }
}
