import type { Phase } from '../../survey/words/words';
import { ukAheadMs } from './cells';
import { bootstrapInterval, fitGumbel, returnLevel, type GumbelFit } from './gumbel';
import type { LogFaults, LogSeries } from './series';

/** A worse day than any seen: the fit to each day's highest half-hour mean. */
export interface WorseDay {
  readonly fit: GumbelFit;
  /** The half-hour mean passed on one day in a year, in amperes, and between what it lies in nine cases of ten. */
  readonly onceAYearA: number;
  readonly lowA: number;
  readonly highA: number;
  /** Each whole day's highest half-hour mean, sorted upwards: for a probability plot. */
  readonly dailyHighsA: readonly number[];
}

/** One local day: its number since 1970, and the mean amperes of each hour; null where nothing was logged. */
export interface DayHours {
  readonly day: number;
  readonly meanA: readonly (number | null)[];
}

export interface PhaseAnalysis {
  readonly peakA: number;
  readonly peakAt: number;
  /** Highest rolling means; null where samples are further apart than that. */
  readonly mean1A: number | null;
  readonly mean10A: number | null;
  readonly mean30A: number | null;
  readonly quantile999A: number;
  readonly medianA: number;
  /** What is never fallen short of for long: the current passed 95 % of the time. */
  readonly baseA: number;
  readonly worseDay: WorseDay | null;
  /** Amperes passed for at least each share of the time, from 0 to 100 % in steps of one. */
  readonly durationA: readonly number[];
  /** Mean amperes by hour of the week, Monday midnight first, local time; null where nothing was logged. */
  readonly weekA: readonly (number | null)[];
  /** Each local day and the mean of each of its hours, in order: the year at a glance. */
  readonly hours: readonly DayHours[];
  /** By half-hour of the day: 10 %, 50 % and 90 % of what was logged, and the highest. */
  readonly dayA: readonly (readonly [number, number, number, number] | null)[];
}

export interface LogAnalysis {
  /** Seconds of universal time. */
  readonly from: number;
  readonly to: number;
  readonly samples: number;
  readonly intervalS: number;
  readonly spanDays: number;
  /** How much of the span is covered by usable readings, 0 to 1. */
  readonly coverage: number;
  /** Whole local days with at least nine tenths of their readings. */
  readonly days: number;
  /** How many of them lie from October to March, when homes are heated. */
  readonly winterDays: number;
  readonly phases: Readonly<Partial<Record<Phase, PhaseAnalysis>>>;
  readonly faults: LogFaults;
}

/** So far, of so much; told now and then so that a page can show it. */
export type Progress = (done: number) => void;

const LEAST_DAYS_TO_FIT = 7;
const YEAR_DAYS = 365;

/** Everything derived from a log. Samples left out count as not logged, never as nought. */
export function analyseLog(series: LogSeries, progress: Progress = () => undefined): LogAnalysis {
  const { times, intervalS, phases, amperes, faults } = series;
  const [from, last] = [times[0] ?? 0, times.at(-1) ?? 0];
  const to = times.length === 0 ? from : last + intervalS;
  const spanS = Math.max(0, to - from);
  const local = localSeconds(times);
  const found: Partial<Record<Phase, PhaseAnalysis>> = {};
  let covered = Infinity;
  let days = { count: 0, winter: 0 };
  phases.forEach((phase, at) => {
    const values = amperes[phase] ?? new Float32Array();
    const made = analysePhase(times, local, values, intervalS);
    if (made) found[phase] = made.analysis;
    covered = Math.min(covered, made?.usable ?? 0);
    if (at === 0 || (made && made.days.count < days.count)) days = made?.days ?? days;
    progress((at + 1) / phases.length);
  });
  return {
    from,
    to,
    samples: times.length,
    intervalS,
    spanDays: spanS / 86_400,
    coverage: spanS === 0 || !Number.isFinite(covered) ? 0 : Math.min(1, (covered * intervalS) / spanS),
    days: days.count,
    winterDays: days.winter,
    phases: found,
    faults,
  };
}

/** The same moments by the clock on the wall in the United Kingdom. */
function localSeconds(times: Float64Array): Float64Array {
  const local = new Float64Array(times.length);
  let [hour, ahead] = [NaN, 0];
  for (let at = 0; at < times.length; at += 1) {
    const utcS = times[at] ?? 0;
    const now = Math.floor(utcS / 3600);
    if (now !== hour) [hour, ahead] = [now, ukAheadMs(utcS * 1000) / 1000];
    local[at] = utcS + ahead;
  }
  return local;
}

interface MadePhase {
  readonly analysis: PhaseAnalysis;
  readonly usable: number;
  readonly days: { readonly count: number; readonly winter: number };
}

function analysePhase(
  times: Float64Array,
  local: Float64Array,
  values: Float32Array,
  intervalS: number,
): MadePhase | null {
  let [usable, peakA, peakAt] = [0, -Infinity, 0];
  for (let at = 0; at < values.length; at += 1) {
    const value = values[at] ?? NaN;
    if (Number.isNaN(value)) continue;
    usable += 1;
    if (value > peakA) [peakA, peakAt] = [value, times[at] ?? 0];
  }
  if (usable === 0) return null;
  const sorted = values.filter((value) => !Number.isNaN(value)).sort();
  const quantile = (share: number): number => sorted[Math.min(usable - 1, Math.floor(share * usable))] ?? NaN;
  const half = rolling(times, values, 1800, intervalS);
  const daily = dailyHighs(local, half, values, intervalS);
  return {
    usable,
    days: { count: daily.highs.length, winter: daily.winter },
    analysis: {
      peakA,
      peakAt,
      mean1A: highest(rolling(times, values, 60, intervalS)),
      mean10A: highest(rolling(times, values, 600, intervalS)),
      mean30A: highest(half),
      quantile999A: quantile(0.999),
      medianA: quantile(0.5),
      baseA: quantile(0.05),
      worseDay: worseDay(daily.highs),
      durationA: Array.from({ length: 101 }, (_, percent) => quantile(1 - percent / 100)),
      ...profiles(local, values),
      hours: hoursOf(local, values),
    },
  };
}

function worseDay(highs: readonly number[]): WorseDay | null {
  if (highs.length < LEAST_DAYS_TO_FIT) return null;
  const fit = fitGumbel(highs);
  const { low, high } = bootstrapInterval(highs, YEAR_DAYS);
  const dailyHighsA = [...highs].sort((a, b) => a - b);
  return { fit, onceAYearA: returnLevel(fit, YEAR_DAYS), lowA: low, highA: high, dailyHighsA };
}

/**
 * The mean over the window that ends with each sample; NaN where the window is not fully covered by readings. Null where
 * samples stand further apart than the window is long: a mean over half an hour says nothing of a minute.
 */
function rolling(times: Float64Array, values: Float32Array, windowS: number, intervalS: number): Float32Array | null {
  if (intervalS <= 0 || intervalS > windowS * 1.001) return null;
  const need = Math.round(windowS / intervalS);
  const means = new Float32Array(values.length).fill(NaN);
  let [sum, count, start] = [0, 0, 0];
  for (let at = 0; at < values.length; at += 1) {
    const value = values[at] ?? NaN;
    const now = times[at] ?? 0;
    if (!Number.isNaN(value)) {
      sum += value;
      count += 1;
    }
    while (start <= at && (times[start] ?? 0) <= now - windowS + intervalS * 0.01) {
      const gone = values[start] ?? NaN;
      if (!Number.isNaN(gone)) {
        sum -= gone;
        count -= 1;
      }
      start += 1;
    }
    // Rounding may leave one sample more or fewer in a window of many; more than one in twenty missing is a gap.
    if (count > 0 && count >= need * 0.95 - 0.5) means[at] = sum / count;
    // Sums of floating-point numbers drift: begin anew from time to time.
    if ((at & 0x3fff) === 0x3fff) {
      sum = 0;
      for (let index = start; index <= at; index += 1) {
        const kept = values[index] ?? NaN;
        if (!Number.isNaN(kept)) sum += kept;
      }
    }
  }
  return means;
}

function highest(means: Float32Array | null): number | null {
  if (!means) return null;
  let best = -Infinity;
  for (let at = 0; at < means.length; at += 1) {
    const value = means[at] ?? NaN;
    if (value > best) best = value;
  }
  return best === -Infinity ? null : best;
}

/** Each whole local day's highest half-hour mean, and how many such days lie in the half of the year that is heated. */
function dailyHighs(
  local: Float64Array,
  half: Float32Array | null,
  values: Float32Array,
  intervalS: number,
): { highs: readonly number[]; winter: number } {
  if (!half) return { highs: [], winter: 0 };
  const highs: number[] = [];
  let winter = 0;
  const wanted = (86_400 / intervalS) * 0.9;
  let [day, high, count] = [NaN, -Infinity, 0];
  const close = (): void => {
    if (count >= wanted && high > -Infinity) {
      highs.push(high);
      const month = new Date(day * 86_400_000).getUTCMonth();
      if (month < 3 || month > 8) winter += 1;
    }
  };
  for (let at = 0; at < local.length; at += 1) {
    const today = Math.floor((local[at] ?? 0) / 86_400);
    if (today !== day) {
      close();
      [day, high, count] = [today, -Infinity, 0];
    }
    if (!Number.isNaN(values[at] ?? NaN)) count += 1;
    const mean = half[at] ?? NaN;
    if (mean > high) high = mean;
  }
  close();
  return { highs, winter };
}

/** The mean of every hour of every day there is something of. */
function hoursOf(local: Float64Array, values: Float32Array): DayHours[] {
  const days: DayHours[] = [];
  const [sums, counts] = [new Float64Array(24), new Uint32Array(24)];
  let day = NaN;
  const close = (): void => {
    if (counts.some((count) => count > 0))
      days.push({ day, meanA: Array.from(sums, (sum, hour) => (counts[hour] ? sum / (counts[hour] ?? 1) : null)) });
    sums.fill(0);
    counts.fill(0);
  };
  for (let at = 0; at < values.length; at += 1) {
    const value = values[at] ?? NaN;
    const second = local[at] ?? 0;
    const today = Math.floor(second / 86_400);
    if (today !== day) {
      close();
      day = today;
    }
    if (Number.isNaN(value)) continue;
    const hour = Math.floor((second % 86_400) / 3600);
    sums[hour] = (sums[hour] ?? 0) + value;
    counts[hour] = (counts[hour] ?? 0) + 1;
  }
  close();
  return days;
}

/** The week by the hour, and the day by the half-hour with its quantiles, by the clock on the wall. */
function profiles(local: Float64Array, values: Float32Array): Pick<PhaseAnalysis, 'weekA' | 'dayA'> {
  const [sums, counts] = [new Float64Array(168), new Uint32Array(168)];
  const halves = new Uint8Array(values.length);
  const sizes = new Uint32Array(48);
  for (let at = 0; at < values.length; at += 1) {
    const value = values[at] ?? NaN;
    if (Number.isNaN(value)) continue;
    const second = local[at] ?? 0;
    // The first of January 1970 was a Thursday.
    const hour = (Math.floor(second / 3600) + 72) % 168;
    sums[hour] = (sums[hour] ?? 0) + value;
    counts[hour] = (counts[hour] ?? 0) + 1;
    const half = Math.floor((second % 86_400) / 1800);
    halves[at] = half;
    sizes[half] = (sizes[half] ?? 0) + 1;
  }
  const groups = Array.from(sizes, (size) => new Float32Array(size));
  const filled = new Uint32Array(48);
  for (let at = 0; at < values.length; at += 1) {
    const value = values[at] ?? NaN;
    if (Number.isNaN(value)) continue;
    const half = halves[at] ?? 0;
    const group = groups[half];
    const place = filled[half] ?? 0;
    if (group) group[place] = value;
    filled[half] = place + 1;
  }
  return {
    weekA: Array.from(sums, (sum, hour) => (counts[hour] ? sum / (counts[hour] ?? 1) : null)),
    dayA: groups.map((group) => {
      if (group.length === 0) return null;
      group.sort();
      const at = (share: number): number => group[Math.min(group.length - 1, Math.floor(share * group.length))] ?? NaN;
      return [at(0.1), at(0.5), at(0.9), group.at(-1) ?? NaN] as const;
    }),
  };
}
