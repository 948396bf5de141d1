import type { Policy } from './policies';

/** The lines of a supply as the bits of a number: L1 is 1, L2 is 2, L3 is 4. */
export const LINE_BITS = { L1: 1, L2: 2, L3: 4 } as const;

/** A car as it is shared with: the lines it draws on, and the most it takes on each, in whole amperes. */
export interface Sharer {
  readonly lines: number;
  readonly mostA: number;
}

/**
 * Shares what is left on three lines among cars that want something, in the order of the policy: whole amperes, the same on every line of a car, nobody under
 * `leastA` but at nothing. First each in turn is given the least where its lines have it; what is left over goes evenly under equal shares, and in order otherwise.
 * Writes what each has into `givenA`. `leftA`: what is left on L1, L2 and L3, in whole amperes; it is used up.
 *
 * @example shareOut('first-come', 6, [{ lines: 1, mostA: 32 }, { lines: 1, mostA: 32 }], [40, 0, 0], given) // 32 and 8
 *
 * Source: guide section 16; IEC 61851 for the least and the whole amperes.
 */
export function shareOut(
  policy: Policy,
  leastA: number,
  inOrder: readonly Sharer[],
  leftA: Amperes,
  givenA: Amperes,
): void {
  for (let at = 0; at < inOrder.length; at += 1) {
    const { lines, mostA } = inOrder[at] as Sharer;
    const given = mostA >= leastA && room(leftA, lines) >= leastA ? leastA : 0;
    if (given > 0) take(leftA, lines, given);
    givenA[at] = given;
  }
  if (policy === 'equal') evenly(inOrder, leftA, givenA);
  else inTurn(inOrder, leftA, givenA);
}

type Amperes = number[] | Int32Array;

/** The least that is left on any of the lines. Index by index: a pool is shared out a hundred thousand times a year. */
function room(leftA: Amperes, lines: number): number {
  let least = Infinity;
  if ((lines & 1) !== 0) least = leftA[0] ?? 0;
  if ((lines & 2) !== 0) least = Math.min(least, leftA[1] ?? 0);
  if ((lines & 4) !== 0) least = Math.min(least, leftA[2] ?? 0);
  return least;
}

function take(leftA: Amperes, lines: number, amperes: number): void {
  if ((lines & 1) !== 0) leftA[0] = (leftA[0] ?? 0) - amperes;
  if ((lines & 2) !== 0) leftA[1] = (leftA[1] ?? 0) - amperes;
  if ((lines & 4) !== 0) leftA[2] = (leftA[2] ?? 0) - amperes;
}

function inTurn(inOrder: readonly Sharer[], leftA: Amperes, givenA: Amperes): void {
  for (let at = 0; at < inOrder.length; at += 1) {
    const given = givenA[at] ?? 0;
    if (given === 0) continue;
    const { lines, mostA } = inOrder[at] as Sharer;
    const more = Math.min(mostA - given, room(leftA, lines));
    if (more <= 0) continue;
    take(leftA, lines, more);
    givenA[at] = given + more;
  }
}

/** Who can still be raised; used again by every call. */
const RISING: number[] = [];
const COUNTS = [0, 0, 0];

/** Raises everybody who can be raised alike, as far as the scarcest line and the nearest limit let all of them go; then again without those at an end. */
function evenly(inOrder: readonly Sharer[], leftA: Amperes, givenA: Amperes): void {
  let rising = 0;
  for (let at = 0; at < inOrder.length; at += 1) if ((givenA[at] ?? 0) > 0) RISING[rising++] = at;
  while (rising > 0) {
    const step = stepForAll(rising, inOrder, leftA, givenA);
    let still = 0;
    for (let index = 0; index < rising; index += 1) {
      const at = RISING[index] ?? 0;
      const { lines, mostA } = inOrder[at] as Sharer;
      const given = givenA[at] ?? 0;
      // Less than an ampere each on some line: the first in order have one more, as far as it goes.
      const more = step === 0 ? Math.min(1, mostA - given, room(leftA, lines)) : step;
      if (more > 0) {
        take(leftA, lines, more);
        givenA[at] = given + more;
        if (given + more < mostA) RISING[still++] = at;
      }
    }
    rising = withRoom(still, inOrder, leftA);
  }
}

/** By how many whole amperes everybody rising can be raised. */
function stepForAll(rising: number, inOrder: readonly Sharer[], leftA: Amperes, givenA: Amperes): number {
  let step = Infinity;
  COUNTS.fill(0);
  for (let index = 0; index < rising; index += 1) {
    const at = RISING[index] ?? 0;
    const { lines, mostA } = inOrder[at] as Sharer;
    step = Math.min(step, mostA - (givenA[at] ?? 0));
    for (let line = 0; line < 3; line += 1) if ((lines & (1 << line)) !== 0) COUNTS[line] = (COUNTS[line] ?? 0) + 1;
  }
  for (let line = 0; line < 3; line += 1) {
    const count = COUNTS[line] ?? 0;
    if (count > 0) step = Math.min(step, Math.floor((leftA[line] ?? 0) / count));
  }
  return Math.max(0, step);
}

/** Keeps those of the rising whose lines have something left. */
function withRoom(rising: number, inOrder: readonly Sharer[], leftA: Amperes): number {
  let still = 0;
  for (let index = 0; index < rising; index += 1) {
    const at = RISING[index] ?? 0;
    if (room(leftA, (inOrder[at] as Sharer).lines) >= 1) RISING[still++] = at;
  }
  return still;
}
