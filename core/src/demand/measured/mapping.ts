import type { Phase } from '../../survey/words/words';

/** What a column of values is counted in. Energy is per interval, or a register that only rises. */
export const LOG_UNITS = ['A', 'mA', 'W', 'kW', 'VA', 'kVA', 'Wh', 'kWh'] as const;
export type LogUnit = (typeof LOG_UNITS)[number];

/** How times are written. */
export const TIME_FORMATS = [
  'year-first',
  'day-first',
  'month-first',
  'day-month-name',
  'epoch-s',
  'epoch-ms',
  'spreadsheet',
] as const;
export type TimeFormat = (typeof TIME_FORMATS)[number];

export const DELIMITERS = [',', ';', '\t', '|'] as const;
export type Delimiter = (typeof DELIMITERS)[number];

/** Whose clock the times are by: universal time, or that of the United Kingdom with its summer. */
export const LOG_ZONES = ['utc', 'uk-local'] as const;
export type LogZone = (typeof LOG_ZONES)[number];

export interface ValueColumn {
  readonly column: number;
  /** Single-phase supplies log L1. */
  readonly phase: Phase;
}

/**
 * How a log is to be read: guessed from its first rows, shown, and corrected by a person. `long` has a row a reading;
 * `wide` has a row a day, its values side by side from midnight on.
 */
export interface LogMapping {
  /** Between the cells of a text file; none in a workbook. */
  readonly delimiter?: Delimiter;
  readonly layout: 'long' | 'wide';
  /** Rows before the first reading. */
  readonly skipRows: number;
  /** One column with the whole time, or one with the date and one with the time of day. */
  readonly timeColumns: readonly number[];
  readonly timeFormat: TimeFormat;
  readonly zone: LogZone;
  /** Long: one column a phase. Wide: the first of the day's columns. */
  readonly values: readonly ValueColumn[];
  /** Wide: how many values a day has. */
  readonly perDay?: number;
  /** Wide: so many columns from one value to the next; 1 where left out. */
  readonly every?: number;
  /** Wide: columns for the hour that autumn has twice follow, empty on every other day. */
  readonly longDay?: boolean;
  /** Of a workbook: the sheet, where it is not the first with a log on it. */
  readonly sheet?: string;
  readonly unit: LogUnit;
  /** A register that only rises, rather than what passed in each interval. */
  readonly accumulating: boolean;
  readonly decimal: '.' | ',';
}

/** Whether a unit is of energy, and so means nothing without the length of its interval. */
export function isEnergy(unit: LogUnit): boolean {
  return unit === 'Wh' || unit === 'kWh';
}
