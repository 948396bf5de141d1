import type { Allowance } from '../rules/rules';
import { written, type StepWords } from '../worked';

/** So many alike of one current on one phase. */
export interface Drawn {
  readonly currentA: number;
  readonly count: number;
  readonly controlSockets: number;
  readonly mainRoom: boolean;
}

/**
 * What an allowance needs to know of a class's loads: their total current, the two largest, and control-unit sockets.
 * Filled load by load, so that no list has to be made for a figure reckoned on every keystroke.
 */
export class Tally {
  /** How many loads are in it: a control-unit socket counts even where its cooker draws nothing. */
  loads = 0;
  totalA = 0;
  largestA = 0;
  secondA = 0;
  controlSockets = 0;

  add({ currentA, count, controlSockets }: Drawn): void {
    this.loads += 1;
    this.totalA += currentA * count;
    this.controlSockets += controlSockets;
    if (currentA >= this.largestA) {
      this.secondA = count > 1 ? currentA : this.largestA;
      this.largestA = currentA;
    } else if (currentA > this.secondA) this.secondA = currentA;
  }

  clear(): void {
    this.loads = 0;
    this.totalA = 0;
    this.largestA = 0;
    this.secondA = 0;
    this.controlSockets = 0;
  }
}

/** Whether a tally is enough for this allowance: no published rule ranks beyond the second, and few ask for the room. */
export function needsOnlyTally(allowance: Allowance): boolean {
  return allowance.form !== 'ranked' || (allowance.percents.length <= 2 && allowance.otherRoomsPercent === undefined);
}

/** What the allowance makes of a tally, in amperes; only where `needsOnlyTally`. */
export function allowedOf(allowance: Allowance, tally: Tally): number {
  const { totalA } = tally;
  switch (allowance.form) {
    case 'share':
      return (totalA * allowance.percent) / 100;
    case 'threshold': {
      const restA = Math.max(0, totalA - allowance.fullUpToA);
      return (
        totalA - restA + (restA * allowance.restPercent) / 100 + tally.controlSockets * allowance.perControlSocketA
      );
    }
    case 'ranked': {
      // Everything at the rest's percentage, and the difference made up on the largest and second largest.
      const { percents, restPercent } = allowance;
      const [first = restPercent, next = restPercent] = percents;
      return (
        (totalA * restPercent + tally.largestA * (first - restPercent) + tally.secondA * (next - restPercent)) / 100
      );
    }
  }
}

/** What the allowance makes of the connected currents, in amperes. */
export function allowedCurrent(allowance: Allowance, drawn: readonly Drawn[]): number {
  if (allowance.form === 'ranked' && !needsOnlyTally(allowance))
    return ranks(allowance, drawn).reduce(
      (sum, { currentA, count, percent }) => sum + (currentA * count * percent) / 100,
      0,
    );
  const tally = new Tally();
  for (const each of drawn) tally.add(each);
  return allowedOf(allowance, tally);
}

/** How that figure was found, in words. */
export function allowanceWords(allowance: Allowance, drawn: readonly Drawn[]): StepWords {
  const result = `= ${written(allowedCurrent(allowance, drawn))} A`;
  switch (allowance.form) {
    case 'share':
      return {
        expression: `${allowance.percent} % of the connected current`,
        substituted: `${allowance.percent} % × ${written(connectedTotal(drawn))} ${result}`,
      };
    case 'threshold': {
      const total = connectedTotal(drawn);
      const { fullUpToA, restPercent, perControlSocketA } = allowance;
      const above = Math.max(0, total - fullUpToA);
      const perSocket = ` + ${perControlSocketA} A for each control unit with a socket`;
      const sockets = ` + ${controlSockets(drawn)} × ${perControlSocketA}`;
      return {
        expression: `the first ${fullUpToA} A in full + ${restPercent} % of the rest${perControlSocketA > 0 ? perSocket : ''}`,
        substituted: `${written(total - above)} + ${restPercent} % × ${written(above)}${
          perControlSocketA > 0 ? sockets : ''
        } ${result}`,
      };
    }
    case 'ranked':
      return {
        expression: rankedRule(allowance),
        substituted: `${ranks(allowance, drawn)
          .map(({ currentA: each, count, percent }) => {
            const term = count === 1 ? written(each) : `${count} × ${written(each)}`;
            return percent === 100 ? term : `${percent} % × ${term}`;
          })
          .join(' + ')} ${result}`,
      };
  }
}

const ORDINALS = ['largest', 'second largest', 'third largest'];

function rankedRule(allowance: Extract<Allowance, { form: 'ranked' }>): string {
  const first = allowance.percents.map((percent, rank) => `${percent} % of the ${ORDINALS[rank] ?? 'next'}`);
  const rest =
    allowance.otherRoomsPercent === undefined
      ? `${allowance.restPercent} % of each other`
      : `${allowance.restPercent} % of each other in main rooms + ${allowance.otherRoomsPercent} % elsewhere`;
  return [...first, rest].join(' + ');
}

function connectedTotal(drawn: readonly Drawn[]): number {
  return drawn.reduce((total, { currentA, count }) => total + currentA * count, 0);
}

function controlSockets(drawn: readonly Drawn[]): number {
  return drawn.reduce((total, each) => total + each.controlSockets, 0);
}

interface Rank {
  readonly currentA: number;
  readonly count: number;
  readonly percent: number;
}

/** Largest first, so many of each at each percentage. */
function ranks(allowance: Extract<Allowance, { form: 'ranked' }>, drawn: readonly Drawn[]): Rank[] {
  const found: Rank[] = [];
  let taken = 0;
  for (const { currentA, count, mainRoom } of [...drawn].sort((a, b) => b.currentA - a.currentA)) {
    let left = count;
    while (left > 0 && taken < allowance.percents.length) {
      found.push({ currentA, count: 1, percent: allowance.percents[taken] ?? allowance.restPercent });
      taken += 1;
      left -= 1;
    }
    const percent = mainRoom ? allowance.restPercent : (allowance.otherRoomsPercent ?? allowance.restPercent);
    if (left > 0) found.push({ currentA, count: left, percent });
  }
  return found;
}

/** What a class's allowance is, in a few words, for somebody who is about to add to it. */
export function allowanceRule(allowance: Allowance): string {
  return allowanceWords(allowance, []).expression;
}
