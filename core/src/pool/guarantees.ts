import type { Rules } from '../rules/rules';
import { setPointWithin, worstSetPointA } from '../management/clamp-limit';
import { guard, type GuardVerdict } from '../management/managed-demand';
import { HAIR, wholeBelow } from '../rules/rounding';
import type { Phase } from '../survey/words/words';
import { given } from '../worked';
import type { Outlet } from './pool-year';

/** A part of the supply that a pool shares with everything else. */
export interface SharedPart {
  readonly id: string;
  readonly label: string;
  /** Null where it is not known. */
  readonly ratingA: number | null;
  /** The most everything else draws here on each line, in amperes; null where it is not known. */
  readonly otherA: Readonly<Record<Phase, number | null>>;
  /** What of it the row’s clamps cannot see, since it passes here and not there, in amperes; null where it is not known. */
  readonly unseenA: Readonly<Record<Phase, number | null>>;
}

/** How a pool is set: the current its clamps are held to, and what each outlet drops to where a clamp or its link is lost. */
export interface PoolSetting {
  readonly setPointA: number;
  readonly failSafeA: number;
}

/** One part on one line: kept within its rating or not, by how much, clamps working and lost. */
export interface PoolGuard extends GuardVerdict {
  readonly partId: string;
  readonly label: string;
  readonly line: Phase;
  readonly ratingA: number;
}

export interface PoolGuarantees {
  /** Every part and line that can be judged. */
  readonly guards: readonly PoolGuard[];
  /** Parts and lines whose rating or other demand is not known: nothing is guaranteed there. */
  readonly unknown: readonly { readonly label: string; readonly line: Phase }[];
  /** The largest set-point at which every part holds, and fail-safe of each outlet, in whole amperes; null where a part is not known. */
  readonly mostSetPointA: number | null;
  readonly mostFailSafeA: number | null;
  /** What each outlet is sure of with all of them charging and everything else at its most: 0 where it is under the least current. Null where a part is not known. */
  readonly sureA: number | null;
  /** How many of the outlets on the fullest line can have the least current at once then. */
  readonly atOnce: number | null;
}

const LINES: readonly Phase[] = ['L1', 'L2', 'L3'];

/**
 * Judges a pool on every part and line it is on, with the guards of section 10: clamps working, what flows is at most the greater of everything else and the set-point;
 * lost, all outlets at their fail-safe current and everything else. The clamps err as badly as they may, and what passes a part and not them comes on top. Source: guide sections 10 and 16.
 */
export function poolGuarantees(
  parts: readonly SharedPart[],
  outlets: readonly Outlet[],
  { setPointA, failSafeA }: PoolSetting,
  rules: Rules,
): PoolGuarantees {
  const leastA = rules.leastChargingA.value;
  const guards: PoolGuard[] = [];
  const unknown: { label: string; line: Phase }[] = [];
  let [mostSetPointA, mostFailSafeA, sureA, atOnce] = [Infinity, Infinity, Infinity, Infinity];
  for (const { id, label, ratingA, otherA, unseenA } of parts)
    for (const line of LINES) {
      const here = outlets.filter(({ lines }) => lines.includes(line));
      const other = otherA[line];
      const unseen = unseenA[line];
      if (here.length === 0) continue;
      if (other === null || unseen === null || ratingA === null) {
        unknown.push({ label, line });
        continue;
      }
      const limitA = here.reduce((sum, { mostA }) => sum + mostA, 0);
      const lostA = here.reduce((sum, { mostA }) => sum + Math.min(mostA, failSafeA), 0);
      const verdict = guard(ratingA, {
        other: given('Everything else', other, 'A'),
        unmanagedA: other + limitA,
        limitA,
        failSafeA: lostA,
        clamps: [
          { setPointA, worstA: worstSetPointA(setPointA, rules), blind: given('Not seen', unseen, 'A'), sourcesA: 0 },
        ],
      });
      guards.push({ partId: id, label, line, ratingA, ...verdict });
      mostSetPointA = Math.min(mostSetPointA, Math.max(0, setPointWithin(ratingA - unseen, rules)));
      const spareA = Math.max(0, ratingA - other);
      mostFailSafeA = Math.min(mostFailSafeA, spareA / here.length);
      const leftA = Math.max(0, Math.min(setPointA + unseen, ratingA) - other);
      sureA = Math.min(sureA, leftA / here.length);
      atOnce = Math.min(atOnce, Math.floor(leftA / leastA + HAIR));
    }
  const known = unknown.length === 0 && guards.length > 0;
  const most = outlets.reduce((least, { mostA }) => Math.min(least, mostA), Infinity);
  const sure = Math.min(wholeBelow(sureA), most);
  return {
    guards,
    unknown,
    mostSetPointA: known ? wholeBelow(mostSetPointA) : null,
    mostFailSafeA: known ? Math.min(wholeBelow(mostFailSafeA), most) : null,
    sureA: known ? (sure < leastA ? 0 : sure) : null,
    atOnce: known ? atOnce : null,
  };
}
