import type { Season } from '../survey/words/words';
import type { Appliance, Cap } from './appliance';
import { HABITS, type Heat, type Overnight, type Pattern, type Uses } from './habits';
import { seeded, type Random } from './random';
import { heatShare, OUTDOOR_C } from './weather';

export const MINUTES_A_DAY = 1440;
export const DAYS_A_YEAR = 365;
export const MINUTES_A_YEAR = MINUTES_A_DAY * DAYS_A_YEAR;

/** More of one kind than this are played as so many at a time. */
const MOST_APART = 24;

/** A year of a house minute by minute, in amperes. */
export interface HouseYear {
  /** For each of the plan's sums. */
  readonly sums: readonly Float32Array[];
  /** When somebody of an interlocked group runs, by its name. */
  readonly running: ReadonlyMap<string, Uint8Array>;
  /** What its appliances took. */
  readonly kwh: number;
}

/** What a household's year is made from. */
export interface Household {
  readonly appliances: readonly Appliance[];
  readonly sums: number;
  readonly nominalV: number;
}

/** How much of the winter habit applies on a day of the year: all in mid January, none in mid July. */
function winterShare(day: number): number {
  return (1 + Math.cos((2 * Math.PI * (day - 15)) / DAYS_A_YEAR)) / 2;
}

const WINTER_SHARES = Float64Array.from({ length: DAYS_A_YEAR }, (_each, day) => winterShare(day));

/** Whether something of a season is in use on a day: heating from October to April, cooling from May to September. */
function inSeason(season: Season | undefined, day: number): boolean {
  if (season === undefined) return true;
  const warm = day >= 120 && day < 273;
  return season === 'cooling' ? warm : !warm;
}

/** How often a use is put off before it is dropped. */
const MOST_TRIES = 4;

/** The starts of one day; used again by every day. */
const MOST_A_DAY = 24;
const HOURS = new Float64Array(MOST_A_DAY);

/** Room for a year's minutes, used again by every household: a fresh array for each costs more than what is reckoned on it. */
const SHEET = new Float32Array(MINUTES_A_YEAR);

/**
 * A year of a household's current. Each appliance has random numbers of its own, from the seed and its name, and gives way only to those
 * listed before it: one more, listed last, changes nothing of the others. None draws more than its current, none runs twice at a time, none of
 * an interlocked group beside another, and no class more at once than its allowance counts; what would is put off, or dropped.
 */
export function householdYear({ appliances, sums, nominalV }: Household, seed: number): HouseYear {
  const home = homeOf(seed);
  const year = {
    sums: Array.from({ length: sums }, () => new Float32Array(MINUTES_A_YEAR)),
    running: new Map<string, Uint8Array>(),
    baseA: new Float64Array(sums),
    nominalV,
    cells: new Map<number, Cell>(),
  };
  let ampereMinutes = 0;
  for (const appliance of appliances) {
    const groups = Math.min(appliance.count, MOST_APART);
    for (let each = 0; each < groups; each += 1) {
      // So many alike, shared out among the groups.
      const alike = Math.floor(appliance.count / groups) + (each < appliance.count % groups ? 1 : 0);
      ampereMinutes += new Player(appliance, alike, home, seeded(mixed(seed, appliance.id, each)), year).play();
    }
  }
  year.sums.forEach((sum, at) => {
    const baseA = year.baseA[at] ?? 0;
    if (baseA > 0) add(sum, 0, MINUTES_A_YEAR, baseA);
  });
  return { sums: year.sums, running: year.running, kwh: (ampereMinutes * nominalV) / 60000 };
}

interface Home {
  /** How much it uses of everything, against the middle home: widely spread, as homes are. */
  readonly busy: number;
  /** Its own hours, later or earlier than usual. */
  readonly shiftH: number;
  /** How warm it keeps itself, against the middle home. */
  readonly warmth: number;
}

function homeOf(seed: number): Home {
  const random = seeded(seed);
  // A square of a bell: the middle half of homes from two thirds to one and a half times, none below a sixth.
  const root = Math.min(1.65, Math.max(0.42, random.about(1.02, 0.28)));
  return { busy: root * root, shiftH: random.about(0, 0.6), warmth: random.between(0.8, 1.2) };
}

/** One number from a seed and a name (FNV-1a), the same anywhere. */
function mixed(seed: number, name: string, each: number): number {
  let hash = 0x811c9dc5 ^ seed;
  for (let at = 0; at < name.length; at += 1) hash = Math.imul(hash ^ name.charCodeAt(at), 0x01000193);
  return Math.imul(hash ^ (each + 1), 0x01000193) | 0;
}

/** What a set of appliances draws that shares an allowance: all the time, beside that minute by minute, and the most of the latter. */
interface Cell {
  baseA: number;
  mostA: number;
  readonly usedA: Float32Array;
}

interface Drawn {
  readonly sums: readonly Float32Array[];
  /** What is drawn all the time, for each of the sums. */
  readonly baseA: Float64Array;
  readonly nominalV: number;
  readonly running: Map<string, Uint8Array>;
  readonly cells: Map<number, Cell>;
}

/** One appliance through a year: what it draws is added to the sums it is part of. */
class Player {
  private readonly into: readonly Float32Array[];
  private readonly caps: readonly { readonly cell: Cell; readonly capA: number }[];
  private readonly group: Uint8Array | null;
  private readonly currentA: number;
  private readonly mostA: number;
  private ampereMinutes = 0;

  constructor(
    private readonly appliance: Appliance,
    alike: number,
    private readonly home: Home,
    private readonly random: Random,
    private readonly drawn: Drawn,
  ) {
    const { sums, caps, interlock, currentA, backupA = 0, mostA } = appliance;
    this.currentA = (currentA - backupA) * alike;
    this.mostA = mostA * alike;
    this.into = sums.flatMap((at) => drawn.sums[at] ?? []);
    this.caps = caps.map(({ cell, capA }: Cap) => ({
      cell: kept(drawn.cells, cell, () => ({ baseA: 0, mostA: 0, usedA: new Float32Array(MINUTES_A_YEAR) })),
      capA,
    }));
    const patterns = HABITS[appliance.habit];
    // What heats rooms and water does one of them at a time, and keeps a record of its own for it.
    const turns = patterns.length > 1 && patterns.some(({ kind }) => kind === 'heat');
    this.group =
      interlock === undefined || interlock === ''
        ? turns
          ? new Uint8Array(MINUTES_A_YEAR)
          : null
        : kept(drawn.running, interlock, () => new Uint8Array(MINUTES_A_YEAR));
  }

  /** Ampere-minutes it took in the year, all lines. */
  play(): number {
    for (const pattern of HABITS[this.appliance.habit]) this.pattern(pattern);
    return this.ampereMinutes * this.appliance.lines;
  }

  private pattern(pattern: Pattern): void {
    switch (pattern.kind) {
      case 'steady':
        this.steady(pattern.share);
        break;
      case 'uses':
        this.uses(pattern);
        break;
      case 'heat':
        this.heat(pattern);
        break;
      case 'overnight':
        this.overnight(pattern);
        break;
    }
  }

  private steady([least, most]: readonly [number, number]): void {
    const share = Math.min(1, this.random.between(least, most) * Math.sqrt(this.home.busy));
    let amperes = Math.min(this.mostA, this.currentA * share);
    for (const { cell, capA } of this.caps) amperes = Math.min(amperes, capA - cell.baseA - cell.mostA);
    if (amperes <= 0) return;
    for (const { cell } of this.caps) cell.baseA += amperes;
    const { baseA } = this.drawn;
    for (const sum of this.appliance.sums) baseA[sum] = (baseA[sum] ?? 0) + amperes;
    this.ampereMinutes += amperes * MINUTES_A_YEAR;
  }

  private uses(pattern: Uses): void {
    const { perDay, starts, minutes, share, kwh } = pattern;
    const { random, home, appliance } = this;
    const weights = starts.reduce((sum, [, , weight]) => sum + weight, 0);
    let freeFrom = 0;
    for (let day = 0; day < DAYS_A_YEAR; day += 1) {
      const winter = WINTER_SHARES[day] ?? 0;
      const expected = (perDay[0] * winter + perDay[1] * (1 - winter)) * home.busy;
      // A whole number of uses with that mean.
      const uses = Math.floor(expected) + (random.next() < expected % 1 ? 1 : 0);
      const hours = this.hoursOf(pattern, weights, Math.min(uses, MOST_A_DAY));
      for (const hour of hours) {
        const lasts = random.between(minutes[0], minutes[1]);
        const amperes = this.currentA * random.between(share[0], share[1]);
        // Energy and not time decides how long a battery is charged.
        const needs =
          kwh === undefined
            ? lasts
            : (random.between(kwh[0], kwh[1]) * 60000) / (this.drawn.nominalV * amperes * appliance.lines);
        if (!inSeason(appliance.season, day)) continue;
        // One still running is not started again: the next use waits for it.
        const from = Math.max(freeFrom, Math.floor(day * MINUTES_A_DAY + hour * 60));
        const ended = this.use(from, Math.min(minutes[1], Math.max(1, Math.round(needs))), amperes);
        if (ended > 0) freeFrom = ended;
      }
    }
  }

  /** When the uses of a day start, in order. */
  private hoursOf({ starts }: Uses, weights: number, uses: number): Float64Array {
    const { random, home } = this;
    for (let at = 0; at < uses; at += 1) {
      let pick = random.next() * weights;
      let start = starts[0];
      for (const each of starts) {
        pick -= each[2];
        if (pick <= 0) {
          start = each;
          break;
        }
      }
      const hour = start ? random.about(start[0] + home.shiftH, start[1]) : 0;
      let place = at;
      for (; place > 0 && (HOURS[place - 1] ?? 0) > hour; place -= 1) HOURS[place] = HOURS[place - 1] ?? 0;
      HOURS[place] = hour;
    }
    return HOURS.subarray(0, uses);
  }

  /**
   * Draws an unchanging current for so long, from then or, where its group or its allowance is taken up, from when it no longer is, a few times
   * put off and then dropped. Half of what it wants will do. Where it ended, or 0.
   */
  private use(wantedFrom: number, minutes: number, wantedA: number): number {
    const { group, caps, mostA } = this;
    const leastA = wantedA / 2;
    let from = wantedFrom;
    for (let tries = 0; tries < MOST_TRIES; tries += 1) {
      const to = Math.min(MINUTES_A_YEAR, from + minutes);
      if (to <= from) return 0;
      let amperes = Math.min(wantedA, mostA);
      let taken = -1;
      if (group !== null) for (let at = from; at < to; at += 1) if (group[at] === 1) taken = at;
      for (const { cell, capA } of caps) {
        const leftA = capA - cell.baseA;
        // Where even the fullest minute leaves enough, none has to be looked at.
        if (leftA - cell.mostA >= amperes) continue;
        const { usedA } = cell;
        for (let at = from; at < to; at += 1) {
          const room = leftA - (usedA[at] ?? 0);
          if (room >= amperes) continue;
          if (room < leastA) taken = Math.max(taken, at);
          else amperes = room;
        }
      }
      if (taken < 0 && amperes >= leastA) {
        this.draw(from, to, amperes);
        return to;
      }
      if (taken < 0) return 0;
      from = taken + 1;
    }
    return 0;
  }

  private draw(from: number, to: number, amperes: number): void {
    for (const { cell } of this.caps) {
      const { usedA } = cell;
      add(usedA, from, to, amperes);
      for (let at = from; at < to; at += 1) if ((usedA[at] ?? 0) > cell.mostA) cell.mostA = usedA[at] ?? 0;
    }
    for (const sum of this.into) add(sum, from, to, amperes);
    this.group?.fill(1, from, to);
    this.ampereMinutes += amperes * (to - from);
  }

  private overnight({ fromH, hours, sized }: Overnight): void {
    const { random, home, appliance } = this;
    const share = random.between(sized[0], sized[1]) * home.warmth;
    const offset = Math.round(random.between(-6, 6));
    for (let day = 0; day < DAYS_A_YEAR; day += 1) {
      let need = 0;
      for (let hour = day * 24; hour < day * 24 + 24; hour += 1) need += heatShare(OUTDOOR_C[hour] ?? 0) / 24;
      const minutes = Math.round(hours * 60 * Math.min(1, need * share));
      if (minutes < 1 || !inSeason(appliance.season, day)) continue;
      this.use(day * MINUTES_A_DAY + Math.round(fromH * 60) + offset, minutes, this.currentA);
    }
  }

  /** Minute by minute after the weather: at the share asked for, or on and off where that is less than it can turn down to. */
  private heat(pattern: Heat): void {
    const { random, home, appliance } = this;
    const own = SHEET.fill(0);
    const sized = random.between(pattern.sized[0], pattern.sized[1]);
    const onFor = random.between(12, 22);
    const { backupA = 0 } = appliance;
    let on = false;
    let left = 0;
    for (let hour = 0; hour < OUTDOOR_C.length; hour += 1) {
      const day = Math.floor(hour / 24);
      const need = heatShare(OUTDOOR_C[hour] ?? 0) * home.warmth;
      const ofDay = (hour % 24) + 0.5 - home.shiftH;
      const wanted = pattern.hours.some(([from, to]) => ofDay >= from && ofDay < to) ? 1 : pattern.otherwise;
      const colder = pattern.pumps ? 0.75 + 0.25 * need : 1;
      const share = inSeason(appliance.season, day) ? Math.min(1, need * wanted * colder * sized) : 0;
      // Where it was given little for the home, the back-up heater helps in the morning of the coldest days.
      const helps = backupA > 0 && sized > 0.65 && need > 0.9 && ofDay >= 5 && ofDay < 8 ? backupA : 0;
      if (share === 0) {
        on = false;
        left = 0;
        continue;
      }
      const runs = Math.max(share, pattern.leastShare);
      const duty = share / runs;
      const amperes = this.currentA * runs + helps;
      for (let at = hour * 60; at < hour * 60 + 60; at += 1) {
        if (duty < 0.999) {
          if (left <= 0) {
            on = !on;
            left = (on ? onFor : onFor * (1 / duty - 1)) * random.between(0.8, 1.2);
          }
          left -= 1;
          if (!on) continue;
        }
        own[at] = amperes;
      }
    }
    this.take(own);
  }

  /** Adds a year of its own, each minute kept to what its allowance leaves; those in which another of its group runs are passed over. */
  private take(own: Float32Array): void {
    const { group, mostA, into, caps } = this;
    for (let at = 0; at < MINUTES_A_YEAR; at += 1) {
      const wantedA = own[at] ?? 0;
      if (wantedA === 0) continue;
      if (group !== null && group[at] === 1) continue;
      let amperes = wantedA < mostA ? wantedA : mostA;
      for (const { cell, capA } of caps) {
        const roomA = capA - cell.baseA - (cell.usedA[at] ?? 0);
        if (roomA < amperes) amperes = roomA;
      }
      if (amperes <= 0) continue;
      for (const { cell } of caps) {
        const used = (cell.usedA[at] ?? 0) + amperes;
        cell.usedA[at] = used;
        if (used > cell.mostA) cell.mostA = used;
      }
      for (const sum of into) sum[at] = (sum[at] ?? 0) + amperes;
      if (group !== null) group[at] = 1;
      this.ampereMinutes += amperes;
    }
  }
}

function add(year: Float32Array, from: number, to: number, amperes: number): void {
  for (let minute = from; minute < to; minute += 1) year[minute] = (year[minute] ?? 0) + amperes;
}

function kept<K, V>(map: Map<K, V>, key: K, make: () => V): V {
  const found = map.get(key) ?? make();
  map.set(key, found);
  return found;
}
