import { Count, Day, Id, IdOf, ListOf, Moment, Quantity, RequiredOneOf, SomeOf, Text } from './fields';
import { LOG_DOUBTS, MEASUREMENT_KINDS, type LogDoubt, type MeasurementKind, type Phase } from './words/words';

/** What was measured on one line, in amperes. A spot reading or full-load test has the peak alone. */
export class MeasuredPhase {
  @IdOf(['L1', 'L2', 'L3']) id: Phase;
  @Quantity('A', 0, 5000) peakA?: number;
  /** Highest rolling means. */
  @Quantity('A', 0, 5000) mean1A?: number;
  @Quantity('A', 0, 5000) mean10A?: number;
  @Quantity('A', 0, 5000) mean30A?: number;
  /** The half-hour mean passed on one day in a year, and between what it lies in nine cases of ten. */
  @Quantity('A', 0, 5000) onceAYearA?: number;
  @Quantity('A', 0, 5000) onceAYearLowA?: number;
  @Quantity('A', 0, 5000) onceAYearHighA?: number;
  @Quantity('A', 0, 5000) quantile999A?: number;
  /** What is passed 95 % of the time. */
  @Quantity('A', 0, 5000) baseA?: number;
}

/** A demand that was measured: a glance with a clamp, a test with everything on, or a log over days. */
export class Measurement {
  @Id() id: string;
  @RequiredOneOf(MEASUREMENT_KINDS) kind: MeasurementKind;
  @ListOf(() => MeasuredPhase, 3) phases: MeasuredPhase[] = [];
  @Text(100) takenBy?: string;
  @Moment() takenAt?: string;
  @Text(100) instrument?: string;
  @Day() calibrationDue?: string;
  /** Spot: what was running. Full-load test: which loads were on. */
  @Text(1000) note?: string;

  /** Log: the file it came from, kept beside the survey under this id. */
  @Text(64) fileId?: string;
  @Text(200) fileName?: string;
  @Moment() from?: string;
  @Moment() to?: string;
  @Quantity('s', 0, 86400) intervalS?: number;
  /** Whole days with at least nine tenths of their readings, and how many of them lie from October to March. */
  @Count(0, 10000) days?: number;
  @Count(0, 10000) winterDays?: number;
  @Quantity('%', 0, 100) coveragePercent?: number;
  /** Why the log may not be what it seems; until somebody says how each was settled it gives no figure. */
  @SomeOf(LOG_DOUBTS) doubts?: LogDoubt[];
  @Text(500) doubtsSettled?: string;
  /** Rows or readings that could not be used. */
  @Count(0, 100000000) unusable?: number;
}
