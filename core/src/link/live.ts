import { HAIR } from '../rules/rounding';
import type { Phase } from '../survey/words/words';
import type { LinkSample } from './messages';

/** What the link shows now: readings fresh enough to be acted on, and whether they have come to rest. */
export interface LiveView {
  /** Nothing for so long that the link counts as lost. */
  readonly silent: boolean;
  /** The highest of the lines; null while it has no reading of its clamp. */
  readonly inletA: number | null;
  readonly outletA: number | null;
  /** The same line by line. */
  readonly inlet: LinkSample['inletA'];
  readonly outlet: LinkSample['outletA'];
  /** No line of either has moved by more than an ampere over the time a reading is held to. */
  readonly steady: boolean;
}

/** A reading is steady once it has kept within `withinA` for `forS` seconds; a link is silent after `silentS`. House rule. */
export const LIVE_TERMS = { forS: 6, withinA: 1, silentS: 15 } as const;

/**
 * The link at a moment, from its samples, newest last. Times are those at which they arrived, so that a charge point whose
 * clock is wrong is read all the same.
 */
export function liveView(samples: readonly (LinkSample & { readonly arrivedMs: number })[], nowMs: number): LiveView {
  const last = samples.at(-1);
  if (!last || nowMs - last.arrivedMs > LIVE_TERMS.silentS * 1000)
    return { silent: true, inletA: null, outletA: null, inlet: {}, outlet: {}, steady: false };
  const recent = samples.filter(({ arrivedMs }) => last.arrivedMs - arrivedMs <= LIVE_TERMS.forS * 1000);
  const long = (recent[0] ? last.arrivedMs - recent[0].arrivedMs : 0) >= (LIVE_TERMS.forS - 2) * 1000;
  return {
    silent: false,
    inletA: strongest(last.inletA),
    outletA: strongest(last.outletA),
    inlet: last.inletA,
    outlet: last.outletA,
    steady:
      long &&
      LINES.every(
        (line) =>
          keepsWithin(recent.map(({ inletA }) => inletA[line] ?? null)) &&
          keepsWithin(recent.map(({ outletA }) => outletA[line] ?? null)),
      ),
  };
}

const LINES: readonly Phase[] = ['L1', 'L2', 'L3'];

/** The line with most current, with its sign: a reversed clamp reads below nought. */
function strongest(currents: Partial<Readonly<Record<Phase, number>>>): number | null {
  const values = Object.values(currents);
  return values.length === 0 ? null : values.reduce((most, value) => (Math.abs(value) > Math.abs(most) ? value : most));
}

/** All there and close together, or none there at all. */
function keepsWithin(values: readonly (number | null)[]): boolean {
  const known = values.filter((value) => value !== null);
  if (known.length !== values.length) return known.length === 0;
  return Math.max(...known) - Math.min(...known) <= LIVE_TERMS.withinA + HAIR;
}
