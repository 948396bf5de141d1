import type { Allowance } from '../rules/rule-pack';
import { written, type StepWords } from '../worked';

/** So many alike of one current on one phase. */
export interface Drawn {
  readonly currentA: number;
  readonly count: number;
  readonly controlSockets: number;
  readonly mainRoom: boolean;
}

/** What the allowance makes of the connected currents, in amperes. */
export function allowedCurrent(allowance: Allowance, drawn: readonly Drawn[]): number {
  switch (allowance.form) {
    case 'share':
      return (connectedTotal(drawn) * allowance.percent) / 100;
    case 'threshold': {
      const total = connectedTotal(drawn);
      const rest = Math.max(0, total - allowance.fullUpToA);
      return total - rest + (rest * allowance.restPercent) / 100 + controlSockets(drawn) * allowance.perControlSocketA;
    }
    case 'ranked':
      return rankedCurrent(allowance, drawn);
  }
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

/**
 * What the ranks add up to, without sorting where it need not be: everything at the rest's percentage, and the
 * difference made up on the largest and second largest, which no published rule goes beyond.
 */
function rankedCurrent(allowance: Extract<Allowance, { form: 'ranked' }>, drawn: readonly Drawn[]): number {
  const { percents, restPercent, otherRoomsPercent } = allowance;
  let total = 0;
  if (percents.length > 2 || otherRoomsPercent !== undefined) {
    for (const { currentA, count, percent } of ranks(allowance, drawn)) total += (currentA * count * percent) / 100;
    return total;
  }
  let [largest, second] = [0, 0];
  for (const { currentA, count } of drawn) {
    total += currentA * count;
    if (currentA >= largest) [largest, second] = [currentA, count > 1 ? currentA : largest];
    else if (currentA > second) second = currentA;
  }
  const [first = restPercent, next = restPercent] = percents;
  return (total * restPercent + largest * (first - restPercent) + second * (next - restPercent)) / 100;
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
