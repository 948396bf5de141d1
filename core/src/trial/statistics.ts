import type { YearFigures } from './year';

/** A figure over many household-years: the middle one, and what one in twenty, nine in ten and nineteen in twenty stay under. */
export interface Spread {
  readonly p5: number;
  readonly median: number;
  readonly p90: number;
  readonly p95: number;
  readonly most: number;
}

export type TrialFigures = Readonly<
  Record<Exclude<keyof YearFigures, 'highestDay' | 'line' | 'parts' | 'houseKwh'> | 'shortKwh', Spread>
>;

/** The value a share of the sorted values stays at or under; the nearest rank, so that it is one of them. */
export function quantile(sorted: readonly number[], share: number): number {
  if (sorted.length === 0) return 0;
  return sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(share * sorted.length) - 1))] ?? 0;
}

export function spread(values: readonly number[]): Spread {
  const sorted = [...values].sort((a, b) => a - b);
  return {
    p5: quantile(sorted, 0.05),
    median: quantile(sorted, 0.5),
    p90: quantile(sorted, 0.9),
    p95: quantile(sorted, 0.95),
    most: sorted.at(-1) ?? 0,
  };
}

/** Every figure over the household-years played so far. */
export function statistics(years: readonly YearFigures[]): TrialFigures {
  const of = (pick: (year: YearFigures) => number): Spread => spread(years.map(pick));
  return {
    highestA: of(({ highestA }) => highestA),
    minutesOver: of(({ minutesOver }) => minutesOver),
    longestOverMin: of(({ longestOverMin }) => longestOverMin),
    warmest: of(({ warmest }) => warmest),
    neededKwh: of(({ neededKwh }) => neededKwh),
    deliveredKwh: of(({ deliveredKwh }) => deliveredKwh),
    shortKwh: of(({ neededKwh, deliveredKwh }) => Math.max(0, neededKwh - deliveredKwh)),
    morningsShort: of(({ morningsShort }) => morningsShort),
    pauses: of(({ pauses }) => pauses),
  };
}
