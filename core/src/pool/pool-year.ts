import { HAIR, wholeBelow } from '../rules/rounding';
import type { Phase } from '../survey/words/words';
import { MINUTES_A_DAY, MINUTES_A_YEAR } from '../trial/household';
import type { Stays } from './drivers';
import { ORDERS, type Policy, type Waiting } from './policies';
import { LINE_BITS, shareOut, type Sharer } from './share';

/** An outlet of a pool. */
export interface Outlet {
  readonly id: string;
  /** In the order they are connected: a single-phase car draws on the first. */
  readonly lines: readonly Phase[];
  readonly mostA: number;
}

/** What a pool leaves alone and what it may take. */
export interface PoolTerms {
  readonly policy: Policy;
  /** The least a car charges at on each line, in amperes. */
  readonly leastA: number;
  /** How long a turn of the waiting is, in minutes. */
  readonly turnMin: number;
  readonly nominalV: number;
}

/** What is left for the pool on each line, minute by minute, in whole amperes: the set-point less everything else. Negative where there is none. */
export interface Left {
  readonly byLine: readonly [Int16Array, Int16Array, Int16Array];
  /** From each minute, the next in which any of them is another. */
  readonly changesAt: Int32Array;
}

/** What is left on one line. Written in a loop: half a million minutes through an iterator take ten times as long. */
function leftOn(setPointA: number, other: Float32Array | number, minutes: number): Int16Array {
  const left = new Int16Array(minutes);
  if (typeof other === 'number') return left.fill(wholeBelow(setPointA - other));
  for (let at = 0; at < minutes; at += 1) left[at] = wholeBelow(setPointA - (other[at] ?? 0));
  return left;
}

/** Makes what is left of a set-point and of what else flows, in amperes a minute on each line: for a year, or so many minutes. */
export function leftOf(setPointA: number, otherA: readonly (Float32Array | number)[], minutes = MINUTES_A_YEAR): Left {
  const known = new Map<Float32Array | number, Int16Array>();
  const byLine = [0, 1, 2].map((line) => {
    const other = otherA[line] ?? 0;
    const left = known.get(other) ?? leftOn(setPointA, other, minutes);
    known.set(other, left);
    return left;
  }) as unknown as Left['byLine'];
  const [a, b, c] = byLine;
  const changesAt = new Int32Array(minutes);
  let next = minutes;
  for (let at = minutes - 1; at >= 0; at -= 1) {
    changesAt[at] = next;
    if (at > 0 && (a[at] !== a[at - 1] || b[at] !== b[at - 1] || c[at] !== c[at - 1])) next = at;
  }
  return { byLine, changesAt };
}

/** What one car had of a year. */
export interface CarYear {
  readonly neededKwh: number;
  readonly deliveredKwh: number;
  /** Departures with something missing. */
  readonly short: number;
  readonly stays: number;
  /** Plugged in, wanting, and given nothing, in hours. */
  readonly waitedH: number;
}

/** What a pool made of a year. */
export interface PoolYear {
  readonly cars: readonly CarYear[];
  /** Days on which somebody left with something missing, in order. */
  readonly daysShort: readonly number[];
  /** The day on which most was missing; 0 where nothing was. */
  readonly worstDay: number;
  /** What all of them drew on each line, minute by minute. */
  readonly drawnA: readonly [Float32Array, Float32Array, Float32Array];
}

/** What each outlet drew on one day, from midnight for a day and a half, minute by minute on each of its lines. */
export type Watched = readonly Float32Array[];

/** Under this nobody misses anything, in kilowatt-hours. */
export const MISSED_KWH = 0.1;
/** A night is looked at whole: the day and the morning after it. */
export const WATCHED_MIN = MINUTES_A_DAY * 1.5;

interface Car extends Waiting, Sharer {
  readonly stays: Stays;
  readonly perAMinute: number;
  stay: number;
  arrivedAt: number;
  leavesAt: number;
  turns: number;
  hadKwh: number;
  wanted: number;
  givenA: number;
  neededKwh: number;
  deliveredKwh: number;
  short: number;
  waitedMin: number;
}

/**
 * Plays a pool through a year, or as long as is said what is left. Between one thing that changes and the next (a car comes, leaves or is full, a turn ends, what is left is another) nothing
 * is reckoned again: a year takes as long as it has changes and not as it has minutes. `watch`: a day to be followed outlet by outlet.
 */
export function poolYear(
  outlets: readonly Outlet[],
  stays: readonly Stays[],
  left: Left,
  terms: PoolTerms,
  watch?: { readonly day: number; readonly into: Watched },
): PoolYear {
  const { policy, leastA, turnMin } = terms;
  const end = left.changesAt.length;
  const cars = stays.map((each, place) => carOf(each, place, outlets[place], terms));
  const arrivals = cars
    .flatMap((car) => Array.from(car.stays.arrivesAt, (at) => ({ at, car })))
    .filter(({ at }) => at < end)
    .sort((a, b) => a.at - b.at || a.car.place - b.car.place);
  const drawnA = [0, 1, 2].map(() => new Float32Array(end)) as unknown as PoolYear['drawnA'];
  const missed = new Map<number, number>();
  const here: Car[] = [];
  const leftNow = new Int32Array(3);
  const given = new Int32Array(cars.length);
  let coming = 0;
  let now = 0;
  let turnEnds = 0;
  let isOrdered = false;
  while (now < end) {
    letGo(here, now, missed);
    for (let next = arrivals[coming]; next && next.at <= now; next = arrivals[(coming += 1)]) {
      arrive(next.car);
      here.push(next.car);
      isOrdered = false;
    }
    const nextArrival = arrivals[coming]?.at ?? end;
    if (here.length === 0) {
      now = nextArrival;
      turnEnds = now;
      continue;
    }
    if (now >= turnEnds) {
      turnEnds = now + turnMin;
      isOrdered = false;
    }
    if (!isOrdered) here.sort(ORDERS[policy]);
    isOrdered = true;
    for (let line = 0; line < 3; line += 1) leftNow[line] = left.byLine[line]?.[now] ?? 0;
    shareOut(policy, leastA, here, leftNow, given);
    for (let at = 0; at < here.length; at += 1) (here[at] as Car).givenA = given[at] ?? 0;
    const until = nextChange(here, now, Math.min(turnEnds, nextArrival, left.changesAt[now] ?? end));
    for (const car of here) charge(car, now, until, drawnA, until >= turnEnds);
    if (watch) follow(watch, here, now, until);
    now = until;
  }
  // What is still wanted at the end is charged after it.
  for (const car of here) car.neededKwh -= car.wanted;
  return {
    cars: cars.map(({ neededKwh, deliveredKwh, short, waitedMin, stay }) => ({
      neededKwh,
      deliveredKwh,
      short,
      stays: stay + 1,
      waitedH: waitedMin / 60,
    })),
    daysShort: [...missed.keys()].sort((a, b) => a - b),
    worstDay: [...missed].reduce((worst, each) => (each[1] > worst[1] ? each : worst), [0, 0])[0],
    drawnA,
  };
}

function carOf(stays: Stays, place: number, outlet: Outlet | undefined, { nominalV }: PoolTerms): Car {
  const on = outlet?.lines ?? [];
  // A single-phase car draws on the first line of its outlet, whatever the outlet has.
  const used = stays.lines === 3 ? on : on.slice(0, 1);
  return {
    place,
    stays,
    lines: used.reduce((bits, phase) => bits | LINE_BITS[phase], 0),
    mostA: wholeBelow(Math.min(outlet?.mostA ?? 0, stays.onboardA)),
    perAMinute: (used.length * nominalV) / 60_000,
    stay: -1,
    arrivedAt: 0,
    leavesAt: 0,
    turns: 0,
    hadKwh: 0,
    wanted: 0,
    givenA: 0,
    neededKwh: 0,
    deliveredKwh: 0,
    short: 0,
    waitedMin: 0,
  };
}

/** Lets go whoever leaves or is full: a full car stays where it is, wants nothing, and is looked at again when it comes next. */
function letGo(here: Car[], now: number, missed: Map<number, number>): void {
  for (let at = here.length - 1; at >= 0; at -= 1) {
    const car = here[at] as Car;
    if (car.leavesAt > now && car.wanted > HAIR) continue;
    if (car.leavesAt <= now) leave(car, missed);
    here.splice(at, 1);
  }
}

/** The next minute in which one of these leaves or is full, or `until` where that is sooner. */
function nextChange(here: readonly Car[], now: number, until: number): number {
  let next = until;
  for (const { leavesAt, givenA, wanted, perAMinute } of here) {
    if (leavesAt < next) next = leavesAt;
    if (givenA > 0) next = Math.min(next, now + Math.max(1, Math.ceil(wanted / (givenA * perAMinute) - HAIR)));
  }
  return next;
}

function arrive(car: Car): void {
  car.stay += 1;
  car.arrivedAt = car.stays.arrivesAt[car.stay] ?? 0;
  car.leavesAt = car.stays.leavesAt[car.stay] ?? 0;
  // What no supply could give in so short a stay is not asked of this one.
  const mostKwh = car.mostA * car.perAMinute * (car.leavesAt - car.arrivedAt);
  car.wanted = Math.min(car.stays.wantsKwh[car.stay] ?? 0, mostKwh);
  car.neededKwh += car.wanted;
  car.turns = 0;
  car.hadKwh = 0;
}

function leave(car: Car, missed: Map<number, number>): void {
  if (car.wanted <= MISSED_KWH) return;
  car.short += 1;
  const day = Math.floor(car.leavesAt / MINUTES_A_DAY);
  missed.set(day, (missed.get(day) ?? 0) + car.wanted);
}

function charge(car: Car, from: number, to: number, drawnA: PoolYear['drawnA'], isTurnOver: boolean): void {
  if (car.givenA === 0) {
    car.waitedMin += to - from;
    return;
  }
  const kwh = Math.min(car.wanted, car.givenA * car.perAMinute * (to - from));
  car.wanted -= kwh;
  car.hadKwh += kwh;
  car.deliveredKwh += kwh;
  if (isTurnOver) car.turns += 1;
  for (let line = 0; line < 3; line += 1)
    if ((car.lines & (1 << line)) !== 0) addTo(drawnA[line] as Float32Array, from, to, car.givenA);
}

function addTo(sum: Float32Array, from: number, to: number, amperes: number): void {
  for (let at = from; at < to; at += 1) sum[at] = (sum[at] ?? 0) + amperes;
}

function follow(
  { day, into }: { readonly day: number; readonly into: Watched },
  here: readonly Car[],
  from: number,
  to: number,
): void {
  const start = day * MINUTES_A_DAY;
  if (to <= start || from >= start + WATCHED_MIN) return;
  for (const { place, givenA } of here)
    into[place]?.fill(givenA, Math.max(0, from - start), Math.min(WATCHED_MIN, to - start));
}
