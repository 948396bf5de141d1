import type { LogDoubt } from '../../survey/words/words';
import type { Rules } from '../../rules/rules';
import type { LogAnalysis } from './analyse';
import { readNumberCell, readTimeCell } from './cells';
import { isEnergy, type LogMapping, type LogUnit } from './mapping';

/** Another way the same file may be read. */
export interface PossibleReading {
  readonly doubt: LogDoubt;
  /** What is read otherwise, in a few words. */
  readonly says: string;
  readonly mapping: LogMapping;
}

type Rows = readonly (readonly string[])[];

/** Units of current and power that loggers head a column with; one is easily taken for another. */
const RATE_UNITS: readonly LogUnit[] = ['A', 'mA', 'W', 'kW'];

/**
 * Every other way the rows of a file may be read as far as its marks and dates allow, and in other units where the one taken gives what no
 * supply has; which of them are plausible only their figures tell.
 */
export function otherReadings(mapping: LogMapping, rows: Rows, taken: ReadingOutcome): PossibleReading[] {
  const data = rows.slice(mapping.skipRows, mapping.skipRows + PREVIEW);
  const cells = valueCells(mapping, data);
  const readings: PossibleReading[] = [];
  if (cells.some((cell) => EITHER.test(cell)) && cells.every((cell) => EITHER.test(cell) || WHOLE.test(cell))) {
    const decimal = mapping.decimal === '.' ? ',' : '.';
    readings.push({ doubt: 'decimal', says: `“${decimal}” for the decimals`, mapping: { ...mapping, decimal } });
  }
  const dates = data.map((row) => row[mapping.timeColumns[0] ?? 0] ?? '').filter((cell) => cell.trim() !== '');
  const swapped =
    mapping.timeFormat === 'day-first' ? 'month-first' : mapping.timeFormat === 'month-first' ? 'day-first' : null;
  if (swapped && dates.length > 0 && dates.every((cell) => readTimeCell(cell, swapped) !== null))
    readings.push({
      doubt: 'dates',
      says: `dates ${swapped.replace('-', ' ')}`,
      mapping: { ...mapping, timeFormat: swapped },
    });
  if (!taken.plausible && !isEnergy(mapping.unit))
    for (const unit of RATE_UNITS)
      if (
        unit !== mapping.unit &&
        !(unit === 'W' && mapping.unit === 'VA') &&
        !(unit === 'kW' && mapping.unit === 'kVA')
      )
        readings.push({ doubt: 'unit', says: `values in ${unit}`, mapping: { ...mapping, unit } });
  return readings;
}

const PREVIEW = 2000;
/** One mark before exactly three digits: thousands or decimals. What begins with nought is decimals. */
const EITHER = /^\s*[+-]?[1-9]\d{0,2}[.,]\d{3}\s*$/;
const WHOLE = /^\s*[+-]?\d{1,3}\s*$/;

function valueCells({ layout, values, perDay = 48, every = 1 }: LogMapping, data: Rows): string[] {
  const first = values[0]?.column ?? 0;
  const cells = data.flatMap((row) =>
    layout === 'wide'
      ? Array.from({ length: perDay }, (_each, at) => row[first + at * every] ?? '')
      : values.map(({ column }) => row[column] ?? ''),
  );
  return cells.filter((cell) => !Number.isNaN(readNumberCell(cell, '.')) || !Number.isNaN(readNumberCell(cell, ',')));
}

/** What one reading of the file would come to, on its fullest line. */
export interface ReadingOutcome {
  readonly says: string;
  readonly peakA: number;
  readonly mean30A: number | null;
  /** How much of its span there are readings of, 0 to 1: dates read the wrong way round leave months between days. */
  readonly coverage: number;
  readonly plausible: boolean;
}

/** The figures a reading gives, and whether a supply may have them. */
export function outcomeOf(says: string, analysis: LogAnalysis, rules: Rules): ReadingOutcome {
  const found = Object.values(analysis.phases);
  const peakA = Math.max(0, ...found.map((each) => each.peakA));
  const halves = found.flatMap(({ mean30A }) => mean30A ?? []);
  const [least, most] = rules.plausiblePeakA.value;
  const lost = analysis.faults.impossible.count > analysis.samples / 10;
  return {
    says,
    peakA,
    mean30A: halves.length === 0 ? null : Math.max(...halves),
    coverage: analysis.coverage,
    plausible: !lost && peakA >= least && peakA <= most,
  };
}

/** What is doubtful of a log, and what each possible reading of it would come to, the one taken first; none where there is only one. */
export interface LogDoubts {
  readonly openDoubts: readonly LogDoubt[];
  readonly readings: readonly ReadingOutcome[];
}

/** The doubts of a log, by how its other readings came out and by its own figures. */
export function logDoubts(
  taken: ReadingOutcome,
  others: readonly { readonly doubt: LogDoubt; readonly outcome: ReadingOutcome }[],
  analysis: LogAnalysis,
  { accumulating }: Pick<LogMapping, 'accumulating'>,
  rules: Rules,
): LogDoubts {
  const doubted = others.filter(({ doubt, outcome }) => isDoubted(doubt, taken, outcome));
  return {
    openDoubts: [...new Set([...doubted.map(({ doubt }) => doubt), ...analysisDoubts(analysis, accumulating, rules)])],
    readings: doubted.length === 0 ? [] : [taken, ...doubted.map(({ outcome }) => outcome)],
  };
}

/**
 * Which of two readings of one kind is doubtful: the one taken where another is as plausible and says something else, or where it alone is
 * not. Units are only doubted where the one named does not fit.
 */
function isDoubted(doubt: LogDoubt, taken: ReadingOutcome, other: ReadingOutcome): boolean {
  if (!other.plausible) return false;
  if (doubt === 'unit') return !taken.plausible;
  const differ = Math.abs((taken.mean30A ?? taken.peakA) - (other.mean30A ?? other.peakA)) > 0.05;
  if (doubt === 'dates') return other.coverage >= Math.min(0.5, taken.coverage);
  return differ || !taken.plausible;
}

/** Doubts that the figures of a log raise by themselves, whatever way it was read. */
function analysisDoubts(analysis: LogAnalysis, accumulating: boolean, rules: Rules): LogDoubt[] {
  const longest = rules.frozenLogHours.value * 3600;
  const { frozenS, deadS, noughtS, reset } = analysis.faults;
  const found: LogDoubt[] = [];
  if (noughtS >= longest) found.push('nought');
  else if (deadS >= longest) found.push('noise');
  if (frozenS >= longest) found.push('frozen');
  if (accumulating && reset > 0) found.push('reset');
  return found;
}
