/** What the firm’s jobs took against what was estimated: the rate that would have been right, with its spread. Taken over by a person only. */
import { HAIR } from '../rules/rounding';
import { TASKS, type Task } from '../price/tasks';

type ByTask = Readonly<Partial<Record<Task, number>>>;

/** Hours of one finished job by task, as estimated and as worked, and the rates it was estimated by. */
export interface FinishedJob {
  readonly jobId: string;
  readonly estimated: ByTask;
  /** Person-hours each, on the day of the estimate. */
  readonly rates: ByTask;
  readonly worked: ByTask;
}

/** What a number of jobs say of one thing. */
export interface Spread {
  readonly jobs: number;
  /** As it was ÷ as it was estimated: the middle one, and between which the middle half lies; null while there are too few jobs. */
  readonly median: number | null;
  readonly quartiles: readonly [number, number] | null;
  /** How many jobs are still wanted. */
  readonly wanted: number;
}

export interface TaskLesson extends Spread {
  readonly task: Task;
}

/** A share of a sorted list, between neighbours by their distance. Source: linear interpolation of order statistics. */
export function quantile(sorted: readonly number[], share: number): number {
  const at = share * (sorted.length - 1);
  const low = Math.floor(at + HAIR);
  const [from = 0, to = from] = [sorted[low], sorted[Math.min(low + 1, sorted.length - 1)]];
  return from + (to - from) * (at - low);
}

/**
 * Every task that some finished job had both estimated and worked, against what the rates of now would have estimated:
 * a rate taken over once is not suggested again by the same jobs. A job that says nothing of a task counts for nothing there.
 */
export function taskLessons(jobs: readonly FinishedJob[], learnFrom: number, now: ByTask): TaskLesson[] {
  return TASKS.flatMap((task): TaskLesson[] => {
    const ratios = jobs.flatMap(({ estimated, worked, rates }) => {
      const [planned, took] = [estimated[task], worked[task]];
      if (planned === undefined || took === undefined || planned <= 0) return [];
      const [then = 0, present = then] = [rates[task], now[task]];
      return then > 0 && present > 0 ? [(took / planned) * (then / present)] : [took / planned];
    });
    return ratios.length === 0 ? [] : [{ task, ...spread(ratios, learnFrom) }];
  });
}

/** The middle of some shares and between which the middle half lies, once there are enough of them. */
export function spread(shares: readonly number[], learnFrom: number): Spread {
  const sorted = [...shares].sort((a, b) => a - b);
  const enough = sorted.length >= learnFrom;
  return {
    jobs: sorted.length,
    median: enough ? quantile(sorted, 0.5) : null,
    quartiles: enough ? [quantile(sorted, 0.25), quantile(sorted, 0.75)] : null,
    wanted: Math.max(0, learnFrom - sorted.length),
  };
}

/** A rate as it would have been right: to the hundredth of an hour. @example corrected(0.1, 1.4) // 0.14 */
export function corrected(hours: number, median: number): number {
  return Math.round(hours * median * 100 + HAIR) / 100;
}
