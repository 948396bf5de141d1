/**
 * The worst of many days, from the worst of each day seen: a Gumbel distribution fitted by L-moments.
 * Source: b0 the mean, b1 = Σ (i − 1)/(n − 1) x(i) / n with x sorted upwards; scale β = (2 b1 − b0)/ln 2; location
 * μ = b0 − 0.5772 β.
 */
export interface GumbelFit {
  readonly location: number;
  readonly scale: number;
}

const EULER = 0.5772156649;

/** The fit to a list of at least two values; a list that never varies has no scale. */
export function fitGumbel(values: readonly number[] | Float64Array): GumbelFit {
  const sorted = Float64Array.from(values).sort();
  return fitCounted(sorted, new Uint32Array(sorted.length).fill(1));
}

/** The fit to values sorted upwards of which each is there so many times. */
function fitCounted(sorted: Float64Array, counts: Uint32Array): GumbelFit {
  const total = counts.reduce((sum, count) => sum + count, 0);
  let [rank, b0, b1] = [0, 0, 0];
  for (let at = 0; at < sorted.length; at += 1) {
    const count = counts[at] ?? 0;
    if (count === 0) continue;
    const value = sorted[at] ?? 0;
    b0 += value * count;
    // The ranks rank … rank + count − 1, added up.
    b1 += value * (count * rank + (count * (count - 1)) / 2);
    rank += count;
  }
  b0 /= total;
  b1 /= total * Math.max(1, total - 1);
  const scale = Math.max(0, (2 * b1 - b0) / Math.LN2);
  return { location: b0 - EULER * scale, scale };
}

/** The level passed on one day of so many: μ − β ln(−ln(1 − 1/days)). */
export function returnLevel({ location, scale }: GumbelFit, days: number): number {
  return location - scale * Math.log(-Math.log(1 - 1 / days));
}

/** Numbers that are the same for the same seed, everywhere: xorshift on 32 bits. From 0 up to, not including, 1. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0 || 0x9e3779b9;
  return () => {
    state ^= state << 13;
    state >>>= 0;
    state ^= state >>> 17;
    state ^= state << 5;
    state >>>= 0;
    return state / 4294967296;
  };
}

/**
 * Between which levels the one-day-in-`days` level lies in nine cases of ten, by fitting again to days drawn at random
 * from those seen. Repeatable: the same seed gives the same interval.
 */
export function bootstrapInterval(
  values: readonly number[] | Float64Array,
  days: number,
  resamples = 2000,
  seed = 1,
): { readonly low: number; readonly high: number } {
  const sorted = Float64Array.from(values).sort();
  const random = seeded(seed);
  // How often each value is drawn says all a fit needs, and spares sorting every resample.
  const counts = new Uint32Array(sorted.length);
  const levels = new Float64Array(resamples);
  for (let round = 0; round < resamples; round += 1) {
    counts.fill(0);
    for (let draw = 0; draw < sorted.length; draw += 1) {
      const at = Math.floor(random() * sorted.length);
      counts[at] = (counts[at] ?? 0) + 1;
    }
    levels[round] = returnLevel(fitCounted(sorted, counts), days);
  }
  levels.sort();
  const at = (share: number): number => levels[Math.min(resamples - 1, Math.floor(share * resamples))] ?? NaN;
  return { low: at(0.05), high: at(0.95) };
}
