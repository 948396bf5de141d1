import type { Phase } from '../../survey/words/words';

/** What was wrong with a log, counted; nothing of it is repaired. Rows are those of the file, counted from 1. */
export interface LogFaults {
  /** Rows whose time cannot be read. */
  readonly noTime: FaultCount;
  /** Cells that hold no number. */
  readonly noNumber: FaultCount;
  /** The same moment again: the first reading stands. */
  readonly repeated: FaultCount;
  /** Earlier than the row before: left out. */
  readonly backward: FaultCount;
  /** Below nought: a reversed clamp, or export. Left out of the demand. */
  readonly negative: FaultCount;
  /** More than any supply of this kind carries. Left out. */
  readonly impossible: FaultCount;
  /** When the first of the readings left out were taken, seconds of universal time: to be marked on the plot. */
  readonly at: readonly number[];
  /** Stretches in which nothing was logged, and how long they are together. */
  readonly gaps: number;
  readonly gapSeconds: number;
  /** Stretches of more than six hours in which a current that is not nought never moved. */
  readonly stuck: number;
  /** The longest time for which a current that is not nought never moved, for which there was none, and for which there was next to none. */
  readonly frozenS: number;
  readonly noughtS: number;
  readonly deadS: number;
  /** Times a register that only rises went back. */
  readonly reset: number;
}

export interface FaultCount {
  readonly count: number;
  /** The first few rows it was met in. */
  readonly rows: readonly number[];
}

/** One log as amperes against universal time. Each sample stands for the seconds after it, up to the next or the interval. */
export interface LogSeries {
  /** Seconds of universal time since 1970, rising. */
  readonly times: Float64Array;
  readonly phases: readonly Phase[];
  /** Amperes a phase, one value a time; NaN where the cell held nothing usable. */
  readonly amperes: Readonly<Partial<Record<Phase, Float32Array>>>;
  /** The usual distance between samples, in seconds. */
  readonly intervalS: number;
  readonly faults: LogFaults;
}
