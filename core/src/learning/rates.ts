/** What the firm’s jobs took against what was estimated: the rate that would have been right, with its spread. Taken over by a person only. */
import { HAIR } from '../rules/rounding';
import { TASKS, type Task } from '../price/tasks';

/** Hours of one finished job by task, as estimated and as worked. */
export interface FinishedJob {
  readonly jobId: string;
  readonly estimated: Readonly<Partial<Record<Task, number>>>;
  readonly worked: Readonly<Partial<Record<Task, number>>>;
}

export interface TaskLesson {
  readonly task: Task;
  readonly jobs: number;
  /** Worked ÷ estimated: the middle one, and between which the middle half lies; null while there are too few jobs. */
  readonly median: number | null;
  readonly quartiles: readonly [number, number] | null;
  /** How many jobs are still wanted. */
  readonly wanted: number;
}

/** A share of a sorted list, between neighbours by their distance. Source: linear interpolation of order statistics. */
export function quantile(sorted: readonly number[], share: number): number {
  const at = share * (sorted.length - 1);
  const low = Math.floor(at + HAIR);
  const [from = 0, to = from] = [sorted[low], sorted[Math.min(low + 1, sorted.length - 1)]];
  return from + (to - from) * (at - low);
}

/** Every task that some finished job had both estimated and worked. A job that says nothing of a task counts for nothing there. */
export function taskLessons(jobs: readonly FinishedJob[], learnFrom: number): TaskLesson[] {
  return TASKS.flatMap((task): TaskLesson[] => {
    const ratios = jobs
      .flatMap(({ estimated, worked }) => {
        const [planned, took] = [estimated[task], worked[task]];
        return planned === undefined || took === undefined || planned <= 0 ? [] : [took / planned];
      })
      .sort((a, b) => a - b);
    if (ratios.length === 0) return [];
    const enough = ratios.length >= learnFrom;
    return [
      {
        task,
        jobs: ratios.length,
        median: enough ? quantile(ratios, 0.5) : null,
        quartiles: enough ? [quantile(ratios, 0.25), quantile(ratios, 0.75)] : null,
        wanted: Math.max(0, learnFrom - ratios.length),
      },
    ];
  });
}

/** A rate as it would have been right: to the hundredth of an hour. @example corrected(0.1, 1.4) // 0.14 */
export function corrected(hours: number, median: number): number {
  return Math.round(hours * median * 100 + HAIR) / 100;
}
