import { Count, Id, ListOf, Moment, OneOf, Part, Quantity, Text, YesNo } from './fields';
import { TRIAL_FAULTS, TRIAL_SOURCES, type TrialFault, type TrialSource } from './words/trial-words';
import { LOAD_CLASSES, type LoadClass, type Phase } from './words/words';

/** A figure of a trial over its household-years: what one in twenty stays under, the middle, nineteen in twenty, the most. */
export class TrialSpread {
  @Quantity('', 0, 1e9) p5?: number;
  @Quantity('', 0, 1e9) median?: number;
  @Quantity('', 0, 1e9) p95?: number;
  @Quantity('', 0, 1e9) most?: number;
}

/** What came of one way at a part of the supply, on its fullest line. Its id is that of the part. */
export class TrialPartResult {
  @Id() id: string;
  @Text(100) label?: string;
  @Quantity('A', 0, 5000) ratingA?: number;
  @Part(() => TrialSpread) highestA?: TrialSpread;
  @Part(() => TrialSpread) minutesOver?: TrialSpread;
  @Part(() => TrialSpread) warmestPercent?: TrialSpread;
}

/** One way of running the charger, and what came of it, each figure that of a year. */
export class TrialWayResult {
  @Id() id: string;
  @Text(60) name?: string;
  @Quantity('A', 0, 3000) limitA?: number;
  /** Managed only. */
  @Quantity('A', 0, 3000) setPointA?: number;
  @Quantity('A', 0, 3000) failSafeA?: number;
  @Part(() => TrialSpread) highestA?: TrialSpread;
  @Part(() => TrialSpread) minutesOver?: TrialSpread;
  @Part(() => TrialSpread) longestOverMin?: TrialSpread;
  /** The fuse's warmth, in per cent of what operates it. */
  @Part(() => TrialSpread) warmestPercent?: TrialSpread;
  @Part(() => TrialSpread) shortKwh?: TrialSpread;
  @Part(() => TrialSpread) morningsShort?: TrialSpread;
  @Part(() => TrialSpread) pauses?: TrialSpread;
  /** Every other part on the way. */
  @ListOf(() => TrialPartResult, 100) parts?: TrialPartResult[];
}

/** A load as the trial used it. */
export class TrialLoadUsed {
  @Id() id: string;
  @OneOf(LOAD_CLASSES) class?: LoadClass;
  @Quantity('A', 0, 5000) currentA?: number;
  @Count(0, 100000) count?: number;
  /** In trials played before every line and part was: the clamp cannot see it. */
  @YesNo() unseen?: boolean;
  /** What it is used like. */
  @Text(40) habit?: string;
  /** Taken as usual: only its circuit is known, or nobody has confirmed it. */
  @YesNo() assumed?: boolean;
}

/** A charger as the trial ran it, by its id. */
export class TrialChargerUsed {
  @Id() id: string;
  @Quantity('A', 0, 500) onboardA?: number;
  @Count(1, 3) lines?: number;
}

/** A trial that was played: its seed, everything it was played from, and what came of it. Its id is that of the charger. */
export class TrialRecord {
  @Id() id: string;
  @Count(0, 1e6) seed?: number;
  @Count(1, 10000) years?: number;
  @Moment() playedAt?: string;
  @Text(100) playedBy?: string;
  @OneOf(TRIAL_SOURCES) source?: TrialSource;
  /** The measurement whose log it was played from. */
  @Text(64) measurementId?: string;
  @ListOf(() => TrialLoadUsed, 2000) loads?: TrialLoadUsed[];
  @ListOf(() => TrialChargerUsed, 100) chargers?: TrialChargerUsed[];
  /** What the household’s appliances took in a year. */
  @Part(() => TrialSpread) houseKwh?: TrialSpread;
  /** Stands for the whole plan: another one means that something it was played from has changed. */
  @Text(40) planMark?: string;
  @OneOf(TRIAL_FAULTS) fault?: TrialFault;
  /** On what share of days. */
  @Quantity('', 0, 1) faultShare?: number;
  @OneOf(['L1', 'L2', 'L3']) phase?: Phase;
  @Quantity('A', 0, 5000) ratingA?: number;
  @Quantity('V', 0, 1000) nominalV?: number;
  @Quantity('A', 0, 100) leastA?: number;
  @Quantity('min', 0, 1000) restartMin?: number;
  @YesNo() seesOwn?: boolean;
  @Quantity('kWh', 0, 5000) kwhPerDay?: number;
  @Quantity('h', 0, 24) arrivesH?: number;
  @Quantity('h', 0, 24) leavesH?: number;
  @Quantity('A', 0, 500) onboardA?: number;
  @OneOf([1, 3]) chargerPhases?: 1 | 3;
  @Quantity('h', 0, 24) cheapFromH?: number;
  @Quantity('h', 0, 24) cheapToH?: number;
  @ListOf(() => TrialWayResult, 20) ways?: TrialWayResult[];
}
