import type { PerPhase } from '../demand/per-phase-figures';
import type { MomentMean } from '../demand/measured/seen';
import type { Phase } from '../survey/words/words';
import { exceeds } from '../worked';
import { warmed } from './fuse-warming';
import { shown } from '../rules/rounding';

/** What a node carries for a shorter time than the half hour its demand is of, and how warm that makes what protects it. */
export interface Moment {
  readonly phase: Phase;
  readonly minutes: MomentMean['minutes'];
  /** The highest mean over that time, with the new equipment. */
  readonly currentA: number;
  /** The steady current that would be as warm, the half hour’s demand having warmed it before. */
  readonly warmedA: number;
  readonly within: boolean;
}

/**
 * The highest 1 and 10 minutes that were logged, with the new equipment, held against a rating by the warming of a device of that rating:
 * it starts as warm as the half-hour demand keeps it. Only times that carry more than the half hour are told; where none does, or each stays
 * cooler, the half hour decides. Source: guide sections 6 and 11.
 */
export function momentsAt(
  ratingA: number,
  means: Readonly<Partial<Record<Phase, readonly MomentMean[]>>>,
  steady: PerPhase,
  flow: (phase: Phase, houseA: number) => number,
): Moment[] {
  return (Object.keys(steady) as Phase[]).flatMap((phase) => {
    const halfHourA = steady[phase]?.value ?? null;
    if (halfHourA === null) return [];
    return (means[phase] ?? []).flatMap(({ minutes, amperes }): Moment[] => {
      const currentA = flow(phase, amperes);
      if (!exceeds(currentA, halfHourA)) return [];
      const theta = warmed((halfHourA / ratingA) ** 2, currentA, ratingA, minutes);
      const warmedA = ratingA * Math.sqrt(theta);
      return [{ phase, minutes, currentA, warmedA, within: !exceeds(warmedA, ratingA) }];
    });
  });
}

/** A moment in a sentence. */
export function momentWords({ minutes, currentA, warmedA, within }: Moment): string {
  const time = minutes === 1 ? '1 minute' : `${minutes} minutes`;
  return `${shown(currentA)} A for ${time} warms it as ${shown(warmedA)} A would: ${within ? 'within' : 'over'} its rating.`;
}
