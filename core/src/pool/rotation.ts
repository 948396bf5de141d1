import type { Phase } from '../survey/words/words';

const LINES: readonly Phase[] = ['L1', 'L2', 'L3'];

/** The orders in which the lines of an outlet can be connected, each the one before turned by one. */
export const LINE_ORDERS: readonly (readonly Phase[])[] = [
  ['L1', 'L2', 'L3'],
  ['L2', 'L3', 'L1'],
  ['L3', 'L1', 'L2'],
];

/** An outlet as it is to be turned: three-phase, or on one line that may be chosen. */
export interface ToTurn {
  readonly id: string;
  readonly phases: 1 | 3;
  readonly mostA: number;
}

/** A proposed order of lines, and what the lines come to with single-phase cars everywhere. */
export interface Turned {
  readonly lines: ReadonlyMap<string, readonly Phase[]>;
  readonly linesA: Readonly<Record<Phase, number>>;
}

/**
 * Proposes in which order the lines of each outlet along a row are connected, so that single-phase cars spread over them: each outlet’s first line is
 * the one that carries least so far, the present load counted, in amperes. Source: guide section 16.
 *
 * @example turnedAlong([a, b, c], { L1: 20, L2: 0, L3: 0 }) // L2, L3, then L2 again at 32 A each
 */
export function turnedAlong(outlets: readonly ToTurn[], presentA: Readonly<Record<Phase, number>>): Turned {
  const linesA = { ...presentA };
  const lines = new Map<string, readonly Phase[]>();
  for (const { id, phases, mostA } of outlets) {
    const first = LINES.reduce((least, line) => (linesA[line] < linesA[least] ? line : least));
    linesA[first] += mostA;
    const order = LINE_ORDERS.find(([line]) => line === first) ?? [first];
    lines.set(id, phases === 3 ? order : [first]);
  }
  return { lines, linesA };
}
