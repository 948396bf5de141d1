/** Which quotations were accepted, and what was left of them, by kind of job: in one plain view. */
import type { Pence } from '../money/pence';

/** A quotation as it ended, of its newest revision. */
export interface EndedQuote {
  readonly kind: string;
  readonly state: 'accepted' | 'declined' | 'open' | 'expired';
  /** Of what was accepted; of an open one the first choice. Without tax. */
  readonly netPence: Pence;
  readonly costPence: Pence;
  /** Cost with the hours that were worked, where the job is finished. */
  readonly workedCostPence: Pence | null;
}

export interface KindLesson {
  readonly kind: string;
  readonly decided: number;
  readonly accepted: number;
  readonly open: number;
  /** Share accepted of those decided, with where it lies four times in five; null while none is decided. */
  readonly winShare: number | null;
  readonly winInterval: readonly [number, number] | null;
  readonly soldPence: Pence;
  /** What is left of what was sold, in percent: as estimated, and as worked over those finished. */
  readonly marginPercent: number | null;
  readonly workedMarginPercent: number | null;
}

/** z of a two-sided interval of four fifths. */
const Z_80 = 1.2816;

/** Where a share lies four times in five, seen so often of so many. Source: Wilson score interval. */
export function interval(seen: number, of: number): readonly [number, number] {
  const [p, n] = [seen / of, of];
  const z2 = Z_80 * Z_80;
  const middle = (p + z2 / (2 * n)) / (1 + z2 / n);
  const half = (Z_80 / (1 + z2 / n)) * Math.sqrt((p * (1 - p)) / n + z2 / (4 * n * n));
  return [Math.max(0, middle - half), Math.min(1, middle + half)];
}

export function kindLessons(quotes: readonly EndedQuote[]): KindLesson[] {
  return [...new Set(quotes.map(({ kind }) => kind))].sort().map((kind) => {
    const of = quotes.filter((each) => each.kind === kind);
    const accepted = of.filter(({ state }) => state === 'accepted');
    const decided = of.filter(({ state }) => state !== 'open').length;
    const sold = sum(accepted.map(({ netPence }) => netPence));
    const finished = accepted.flatMap((each) =>
      each.workedCostPence === null ? [] : [{ net: each.netPence, cost: each.workedCostPence }],
    );
    return {
      kind,
      decided,
      accepted: accepted.length,
      open: of.length - decided,
      winShare: decided === 0 ? null : accepted.length / decided,
      winInterval: decided === 0 ? null : interval(accepted.length, decided),
      soldPence: sold,
      marginPercent: margin(sold, sum(accepted.map(({ costPence }) => costPence))),
      workedMarginPercent: margin(sum(finished.map(({ net }) => net)), sum(finished.map(({ cost }) => cost))),
    };
  });
}

function margin(net: Pence, cost: Pence): number | null {
  return net <= 0 ? null : ((net - cost) / net) * 100;
}

function sum(values: readonly Pence[]): Pence {
  return values.reduce((all, each) => all + each, 0);
}
