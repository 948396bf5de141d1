import type { PerPhase } from '../demand/per-phase-figures';
import type { Moment } from '../management/moments';
import type { NodeKind, Phase } from '../survey/words/words';

/** What one node carries, and whether it can. */
export interface NodeAssessment {
  readonly id: string;
  readonly kind: NodeKind;
  readonly label: string;
  readonly fedFrom: string | null;
  readonly ratingA: number | null;
  readonly before: PerPhase;
  /** After the work, chargers free to draw their limits. */
  readonly after: PerPhase;
  /** After the work as a clamp limiter guarantees it; only where there is one. */
  readonly managed?: PerPhase;
  /** Rating less the demand after the work; the managed demand where the limiter holds. */
  readonly headroom: PerPhase;
  /** With a clamp or its link lost, in amperes on each phase; only where there is a limiter. */
  readonly lost?: Readonly<Partial<Record<Phase, number>>>;
  /** What shorter times than the half hour come to, where a log shows them. */
  readonly moments?: readonly Moment[];
  /** Nothing is recorded below it: what is left there is the rating, not a finding. */
  readonly empty: boolean;
  /** Only on nodes between the street and a clamp-managed charger: is it kept within its rating? Null where not known. */
  readonly guard?: {
    readonly holds: boolean | null;
    readonly why: string;
    /** The largest set-point of the first clamp, and fail-safe of all chargers together, that hold here; null if any does. */
    readonly mostSetPointA: number | null;
    readonly mostFailSafeA: number | null;
  };
}
