import type { CircuitAssessment } from './circuit/charger-circuit';
import type { FeederAssessment } from './circuit/feeder';
import type { EarthingAssessment } from './earthing/assess-earthing';
import type { ConditionVerdict } from './intake/condition';
import type { LoopVerdict } from './intake/loop-status';
import type { SharedService } from './intake/shared-service';
import type { ClassShare } from './demand/comparison';
import type { Finding } from './finding';
import type { Route } from './route/route';
import type { Basis, Evidence, NodeKind, Phase } from './survey/words';
import type { Figure } from './worked';

/** A figure for each phase of the supply; single-phase supplies have L1 only. */
export type PerPhase = Readonly<Partial<Record<Phase, Figure>>>;

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
  /** Only on nodes between the street and a clamp-managed charger: is it kept within its rating? */
  readonly guard?: {
    readonly holds: boolean;
    readonly why: string;
    /** The largest set-point of the first clamp, and fail-safe of all chargers together, that hold here; null if any does. */
    readonly mostSetPointA: number | null;
    readonly mostFailSafeA: number | null;
  };
}

/** Everything reckoned from one survey with one rule pack. */
export interface Assessment {
  readonly format: 'keen-gauge-assessment';
  readonly version: 1;
  readonly rulePack: { readonly id: string; readonly version: string; readonly title: string };
  readonly supply: {
    readonly phases: readonly Phase[];
    readonly rating: Figure;
    readonly ratingEstablished: boolean;
    readonly evidence: Evidence | null;
    readonly loop: LoopVerdict;
    /** Both properties on one service cable, unless the service is known to be this supply's own. */
    readonly sharedService: SharedService | null;
    /** The node of the fuse everything is held against. */
    readonly deviceId: string | null;
    readonly condition: ConditionVerdict;
  };
  readonly demand: {
    readonly basis: Basis;
    readonly byCircuits: PerPhase;
    readonly byAppliances: PerPhase;
    readonly byMeasurement: PerPhase;
    /** Bounds that are no demands: everything on at once, and what nearly always flows. */
    readonly everythingOn: PerPhase;
    readonly baseLoad: PerPhase;
    /** The two list bases class by class; the parts add up to each demand. */
    readonly comparison: Readonly<Partial<Record<Phase, readonly ClassShare[]>>>;
    /** How far the fullest or emptiest phase is from the mean, in percent; null on one phase. */
    readonly unbalancePercent: number | null;
    /** Where a new single-phase load is best put; null on one phase. */
    readonly emptiestPhase: Phase | null;
    readonly before: PerPhase;
    readonly afterUnmanaged: PerPhase;
    readonly afterManaged: PerPhase;
    readonly headroom: PerPhase;
    readonly beforeKva: Figure;
    readonly afterKva: Figure;
    readonly limiter: { readonly kind: 'none' | 'fixed' | 'clamp'; readonly holds: boolean; readonly why: string };
  };
  readonly nodes: readonly NodeAssessment[];
  /** The node with least headroom, and how much; null when no rating is known. */
  readonly weakest: { readonly nodeId: string; readonly headroomA: number } | null;
  readonly earthing: EarthingAssessment;
  /** The circuit of each piece of new equipment, and every feeder. */
  readonly circuits: readonly CircuitAssessment[];
  readonly feeders: readonly FeederAssessment[];
  readonly findings: readonly Finding[];
  readonly route: Route;
}
