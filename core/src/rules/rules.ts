import type { CostBand, OptionKind } from '../survey/words/option-words';
import type { ListBasis, LoadClass, Premises, NodeKind } from '../survey/words/words';
import type { CircuitRules } from './circuit-rules';
import type { EarthingRules } from './earthing-rules';
import type { Ruled } from './ruled';

/**
 * How the allowance of a class is reckoned from its connected currents:
 * - `share`: a percentage of the total;
 * - `threshold`: the first amperes in full and a percentage of the rest, plus amperes for each control-unit socket;
 * - `ranked`: percentages of the largest, second largest … and of each other. With `otherRoomsPercent`, loads outside
 *   the main rooms take that instead of `restPercent`.
 */
export type Allowance =
  | { readonly form: 'share'; readonly percent: number }
  | {
      readonly form: 'threshold';
      readonly fullUpToA: number;
      readonly restPercent: number;
      readonly perControlSocketA: number;
    }
  | {
      readonly form: 'ranked';
      readonly percents: readonly number[];
      readonly restPercent: number;
      readonly otherRoomsPercent?: number;
    };

/** Which maximum demand after the work is held against the trigger when a limiter is used. */
export type TriggerDemand = 'unmanaged' | 'managed';

/** What an operator takes for a building of several supplies: one application for all of it, one for each supply, or whatever it answers when asked. */
export const SITE_APPLICATIONS = ['one', 'each-supply', 'ask'] as const;
export type SiteApplications = (typeof SITE_APPLICATIONS)[number];

/** What an option means besides the arithmetic. */
export interface OptionTerms {
  readonly whoMustAgree: string;
  readonly waitWeeks: readonly [number, number];
  readonly costBand: CostBand;
}

/** Everything set from outside that an assessment depends on. Data only: a firm may override any of it. */
export interface Rules {
  readonly id: string;
  readonly version: string;
  readonly title: string;
  readonly date: string;
  /** Whose terms these are. */
  readonly source: string;
  readonly nominalVoltageV: Ruled<number>;
  readonly allowances: Ruled<Readonly<Record<Premises, Readonly<Record<LoadClass, Allowance>>>>>;
  readonly filamentPointW: Ruled<number>;
  readonly defaultBasis: ListBasis;
  /** Whole days a log must cover to declare from it, and from which on nothing is said of its shortness. */
  readonly leastLogDays: Ruled<number>;
  readonly sureLogDays: Ruled<number>;
  /** A log that never passes this has measured nothing: the clamp was off, open or on the wrong conductor. */
  readonly deadLogA: Ruled<number>;
  /** Between what the peak of a supply usually lies, in amperes a phase: beyond it a unit or a mark is doubted. */
  readonly plausiblePeakA: Ruled<readonly [number, number]>;
  /** How long a current may stand still before the log is doubted, in hours. */
  readonly frozenLogHours: Ruled<number>;
  /** How much of its span a log must cover to declare from it, in percent. */
  readonly leastLogCoveragePercent: Ruled<number>;
  readonly fallbackFuseA: Ruled<number>;
  /** The most a cut-out in usual use may hold, taken where nothing says what is in it. */
  readonly largestUsualFuseA: Ruled<number>;
  /** Cut-out fuses in usual use, smallest first: what an upgrade goes to. */
  readonly usualFusesA: Ruled<readonly number[]>;
  /** Ratings that each kind of part may plausibly turn out to have, smallest first. */
  readonly plausibleRatingsA: Ruled<Readonly<Record<NodeKind, readonly number[]>>>;
  /** Copper tails: the largest fuse each size may stand behind, clipped direct, by size in mm². */
  readonly tailsLimitA: Ruled<Readonly<Record<number, number>>>;
  /** The size of tails expected behind a fuse of so many amperes or more, in mm². */
  readonly expectedTails: Ruled<{ readonly fromA: number; readonly sizeMm2: number }>;
  readonly longestTailsM: Ruled<number>;
  /** What a neighbour on the same service is taken to draw, per phase, while nobody has given a figure. */
  readonly assumedNeighbourDemandA: Ruled<number>;
  /** How long un-looping takes, least and most, in months. */
  readonly unloopMonths: Ruled<readonly [number, number]>;
  readonly askAboveA: Ruled<number>;
  readonly triggerDemand: TriggerDemand;
  readonly acceptsLimiting: boolean;
  readonly siteApplications: SiteApplications;
  readonly alwaysAsk: boolean;
  readonly askAboveEquipmentA: Ruled<number>;
  /** Generation up to this on each phase, on the register, is connected and then notified. */
  readonly notifyExportUpToA: Ruled<number>;
  readonly leastChargingA: Ruled<number>;
  readonly kwhPerMile: Ruled<number>;
  /** Of each option: who must agree, how many weeks it takes, and its cost band, which the firm sets. */
  readonly optionTerms: Ruled<Readonly<Record<OptionKind, OptionTerms>>>;
  /** What each cost band is called. */
  readonly costBandWords: Readonly<Record<CostBand, string>>;
  /** How far below the bound a set-point is usually put, in amperes and in per cent. */
  readonly setPointMargin: Ruled<{ readonly amperes: number; readonly percent: number }>;
  /** Group demand of dwellings for planning: for each that is heated by gas, and once, in kilowatts. */
  readonly groupEachKw: Ruled<number>;
  readonly groupOnceKw: Ruled<number>;
  readonly clampErrorPercent: Ruled<number>;
  /** The steps in which a controller takes a clamp's reading, what is between them cut off. */
  readonly clampStepA: Ruled<number>;
  /** The least load a clamp's reading is tried with, in amperes: a smaller one does not tell a dead clamp from a good one. */
  readonly commissioningLeastA: Ruled<number>;
  /** How far a reading may lie from what it should be when a limiter is commissioned. */
  readonly commissioningPercent: Ruled<number>;
  readonly earthing: EarthingRules;
  readonly circuit: CircuitRules;
  readonly noticeWithinDays: Ruled<number>;
  readonly replyWorkingDays: Ruled<number>;
  readonly emergencyNumber: Ruled<string>;
  /** Statements that go with a notice or an application, in order. */
  readonly declarations: readonly string[];
}
