import type { CircuitAssessment } from './circuit/charger-circuit';
import type { FeederAssessment } from './circuit/feeder';
import type { EarthingAssessment } from './earthing/assess-earthing';
import type { ConditionVerdict } from './intake/condition';
import type { LoopVerdict } from './intake/loop-status';
import type { SharedService } from './intake/shared-service';
import type { ClassShare } from './demand/comparison';
import type { Finding } from './finding';
import type { Verdict } from './grounds/verdict';
import type { Moment } from './management/moments';
import type { Question } from './questions/question';
import type { Route } from './route/route';
import type { Commissioned } from './management/limiter-verdict';
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

/** Everything reckoned from one survey with one rule pack. */
export interface Assessment {
  readonly format: 'keen-gauge-assessment';
  readonly version: 2;
  readonly rulePack: { readonly id: string; readonly version: string; readonly title: string };
  readonly supply: {
    readonly phases: readonly Phase[];
    readonly rating: Figure;
    /** False where what was read contradicts itself, null while it is not known. */
    readonly ratingEstablished: boolean | null;
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
    readonly limiter: {
      readonly kind: 'none' | 'fixed' | 'clamp';
      /** Before it is commissioned: whether it will, if it is put on and set as recorded. Null while not known. */
      readonly holds: boolean | null;
      readonly why: string;
      readonly commissioned: Commissioned;
    };
  };
  readonly nodes: readonly NodeAssessment[];
  /** The node with least headroom, and how much; null when no rating is known. */
  readonly weakest: { readonly nodeId: string; readonly headroomA: number } | null;
  readonly earthing: EarthingAssessment;
  /** The circuit of each piece of new equipment, and every feeder. */
  readonly circuits: readonly CircuitAssessment[];
  readonly feeders: readonly FeederAssessment[];
  /** What everything below is decided from, each with what it rests on; only those that apply here. */
  readonly verdicts: readonly Verdict[];
  /** Everything not known, from the one register; those asked stand among the findings too. */
  readonly questions: readonly Question[];
  readonly findings: readonly Finding[];
  readonly route: Route;
}
