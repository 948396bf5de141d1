import type { Phase } from '../../survey/words/words';
import { DAY_MS, ukAheadMs } from './cells';
import type { LogSeries } from './series';

/** One whole local day of a log, minute by minute. */
export interface LogDay {
  /** Days since 1970, by the local clock. */
  readonly day: number;
  readonly weekend: boolean;
  readonly amperes: Float32Array;
}

const MINUTES_A_DAY = 1440;
/** A day counts with at least so much of it logged; what is missing is bridged with the reading before. */
const LEAST_COVERAGE = 0.9;

/** The whole days of a log on one line. The hour the clocks leave out or go through twice makes its day a short one. */
export function logDays({ times, amperes, intervalS }: LogSeries, phase: Phase): LogDay[] {
  const values = amperes[phase];
  if (!values) return [];
  const days = new Map<number, { readonly sum: Float32Array; readonly count: Uint16Array }>();
  const spans = Math.max(1, Math.round(intervalS / 60));
  times.forEach((seconds, at) => {
    const value = values[at];
    if (value === undefined || Number.isNaN(value)) return;
    const local = seconds * 1000 + ukAheadMs(seconds * 1000);
    // A sample stands for the time up to the next: all the minutes of its interval.
    for (let each = 0; each < spans; each += 1) {
      const minute = Math.floor(local / 60_000) + each;
      const day = Math.floor(minute / MINUTES_A_DAY);
      const kept = days.get(day) ?? { sum: new Float32Array(MINUTES_A_DAY), count: new Uint16Array(MINUTES_A_DAY) };
      days.set(day, kept);
      const of = minute - day * MINUTES_A_DAY;
      kept.sum[of] = (kept.sum[of] ?? 0) + value;
      kept.count[of] = (kept.count[of] ?? 0) + 1;
    }
  });
  return [...days.entries()]
    .filter(
      ([, { count }]) => count.reduce((sum, each) => sum + (each > 0 ? 1 : 0), 0) >= LEAST_COVERAGE * MINUTES_A_DAY,
    )
    .sort(([a], [b]) => a - b)
    .map(([day, { sum, count }]) => {
      const first = count.findIndex((each) => each > 0);
      let before = (sum[first] ?? 0) / (count[first] ?? 1);
      const minutes = sum.map((total, at) => {
        const readings = count[at] ?? 0;
        if (readings > 0) before = total / readings;
        return before;
      });
      const weekday = new Date(day * DAY_MS).getUTCDay();
      return { day, weekend: weekday === 0 || weekday === 6, amperes: minutes };
    });
}
