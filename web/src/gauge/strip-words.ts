import type { Assessment } from '@keen-gauge/core/assessment';
import { worstPhase } from '@keen-gauge/core/demand/per-phase';
import { exceeds } from '@keen-gauge/core/worked';
import { amount } from './figure-text';

/** The gauge in one line, for a phone: what is left of what, or what is not known yet. */
export function stripWords({ supply, demand, weakest, nodes }: Assessment): string {
  const rating = supply.rating.value;
  const fuse =
    rating === null ? 'fuse not known' : `${rating} A ${supply.ratingEstablished === true ? 'fuse' : 'fallback'}`;
  const after = worstPhase(demand.afterManaged);
  if (rating === null || after.value === null) return `Demand not known yet, ${fuse}`;
  const left = rating - after.value;
  const tight = weakest && nodes.find(({ id, kind }) => id === weakest.nodeId && kind !== 'cut-out');
  if (tight && exceeds(0, weakest.headroomA)) return `${tight.label} over by ${amount(-weakest.headroomA, 'A')}`;
  if (exceeds(0, left)) return `Over by ${amount(-left, 'A')} of ${fuse}`;
  // With something missing from the sum, what is left is not known.
  if (after.bound === 'at-least') return `At least ${amount(after.value, 'A')} of ${fuse}`;
  return `${amount(left, 'A')} left of ${fuse}`;
}
