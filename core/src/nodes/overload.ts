import type { NodeAssessment } from './node-assessment';
import type { Statement } from '../finding';
import { momentWords } from '../management/moments';
import { shown } from '../rules/rounding';
import type { Phase } from '../survey/words/words';
import { exceeds } from '../worked';

/** The id of a finding of what is over already, whatever is done: options are told apart from it (`fits.ts`). */
export const OVER_ALREADY = 'node-over-already';

/**
 * A node that carries more than its rating, over a half hour or in a shorter time: what is over already, and what the work makes or adds to,
 * each told by itself, so that neither hides the other.
 */
export function overloadAt(node: NodeAssessment, limiterHolds: boolean | null): readonly Statement[] {
  const about = { grade: 'act', on: 'nodes', station: 'limit', subjectId: node.id } as const;
  const nowA = overNow(node);
  const leastA = leastLeft(node, limiterHolds === true);
  const found: Statement[] = [];
  if (nowA !== null)
    found.push({
      ...about,
      id: OVER_ALREADY,
      title: `${node.label}: ${shown(nowA)} A over its ${node.ratingA ?? '?'} A rating already, before the work.`,
      remedy: 'What is there already is too much for it: no limiter helps. Change it, or what it feeds, first.',
    });
  if (leastA !== null && exceeds(0, leastA) && (nowA === null || addsTo(node)) && !waitsForLimiter(node, limiterHolds))
    found.push({
      ...about,
      id: 'node-over-rating',
      title: `${node.label}: ${shown(-leastA)} A over its ${node.ratingA ?? '?'} A rating after the work.`,
      remedy:
        nowA === null
          ? 'Hold the new equipment to a lower current where it can be, manage it by clamp, or change what feeds it.'
          : 'It is over already: change it, or what it feeds, before anything is added.',
    });
  const over = found.length > 0 ? undefined : node.moments?.find(({ within }) => !within);
  if (over)
    found.push({
      ...about,
      id: 'node-over-in-minutes',
      title: `${node.label}: ${momentWords(over)}`,
      remedy: 'The half hour is within its rating and the shorter time is not: hold the charger lower, or change it.',
    });
  return found;
}

/** The least left on any line by what is known of its demand, in amperes: where some of it is missing no more is left than that. Null where nothing is known. */
function leastLeft({ ratingA, managed, after }: NodeAssessment, held: boolean): number | null {
  if (ratingA === null) return null;
  const amperes = Object.values((held ? managed : undefined) ?? after).flatMap(({ value }) => value ?? []);
  return amperes.length === 0 ? null : ratingA - Math.max(...amperes);
}

/** Over its rating unless the limiter holds, and whether it does is not known yet: that is open, and not found wrong. */
export function waitsForLimiter({ managed, guard, ratingA }: NodeAssessment, limiterHolds: boolean | null): boolean {
  if (limiterHolds !== null || !managed || !guard || guard.holds === false || ratingA === null) return false;
  return Object.values(managed).every(({ value }) => value !== null && !exceeds(value, ratingA));
}

/** By how much a node is over its rating before the work, in amperes on its fullest line; null where it is not. */
function overNow({ before, ratingA }: NodeAssessment): number | null {
  if (ratingA === null) return null;
  const overA = Math.max(...Object.values(before).map(({ value }) => (value ?? 0) - ratingA));
  return exceeds(overA, 0) ? overA : null;
}

/** Whether the work adds to what a node carries on any line. */
function addsTo({ before, after }: NodeAssessment): boolean {
  return (Object.keys(after) as Phase[]).some((phase) => exceeds(after[phase]?.value ?? 0, before[phase]?.value ?? 0));
}
