import type { Assessment } from '@keen-gauge/core/assessment';
import type { PerPhase } from '@keen-gauge/core/demand/per-phase-figures';
import { exceeds, type Figure } from '@keen-gauge/core/worked';
import { amount } from './figure-text';

/** The figure of the phase that has least of it left; one that is not known before all that are. */
export function leastPhase(figures: PerPhase): Figure | undefined {
  const found = Object.values(figures);
  const unknown = found.find(({ value }) => value === null);
  if (unknown) return unknown;
  return found.reduce<Figure | undefined>(
    (best, next) => (best && (best.value ?? 0) <= (next.value ?? 0) ? best : next),
    undefined,
  );
}

/** The gauge in one line, for a phone: what is left of what, by the same headroom as below it, or that it is not known yet. */
export function stripWords({ supply, demand, weakest, nodes }: Assessment): string {
  const rating = supply.rating.value;
  const fuse =
    rating === null ? 'fuse not known' : `${rating} A ${supply.ratingEstablished === true ? 'fuse' : 'fallback'}`;
  const tight = weakest && nodes.find(({ id, kind }) => id === weakest.nodeId && kind !== 'cut-out');
  if (tight && exceeds(0, weakest.headroomA)) return `${tight.label} over by ${amount(-weakest.headroomA, 'A')}`;
  const left = leastPhase(demand.headroom)?.value ?? null;
  if (left === null) return `Headroom not known yet, ${fuse}`;
  if (exceeds(0, left)) return `Over by ${amount(-left, 'A')} of ${fuse}`;
  if (tight && exceeds(left, weakest.headroomA)) return `${amount(weakest.headroomA, 'A')} left at ${tight.label}`;
  return `${amount(left, 'A')} left of ${fuse}`;
}
