import type { CircuitAssessment } from './circuit/charger-circuit';
import type { FeederAssessment } from './feeder/feeder';
import type { EarthingAssessment } from './earthing/assess-earthing';
import type { ConditionVerdict } from './intake/condition';
import type { LoopVerdict } from './intake/loop-status';
import type { SharedService } from './intake/shared-service';
import type { PerPhase } from './demand/per-phase-figures';
import type { NodeAssessment } from './nodes/node-assessment';
import type { ClassShare } from './demand/comparison';
import type { Finding } from './finding';
import type { Verdict } from './grounds/verdict';
import type { Question } from './questions/question';
import type { Route } from './route/route';
import type { LimiterAssessment } from './management/limiter-verdict';
import type { Basis, Evidence, Phase } from './survey/words/words';
import type { Figure } from './worked';

/** Everything reckoned from one survey with one set of rules. */
export interface Assessment {
  readonly format: 'keen-gauge-assessment';
  readonly version: 3;
  readonly rules: { readonly id: string; readonly version: string; readonly title: string };
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
    readonly limiter: LimiterAssessment;
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

/** What is decided of a survey, and the figures that rests on, without what is only asked, found or told. */
export type Decided = Omit<Assessment, 'format' | 'version' | 'rules' | 'questions' | 'findings'>;
