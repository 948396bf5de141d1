/** How a bench prints what it measured against what it is meant to. */

/** The value below which a share of the samples lies. */
export function quantile(samples: readonly number[], share: number): number {
  const sorted = [...samples].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

/** One line: what, how much, and whether it meets its limit. */
export function report(what: string, measured: number, unit: string, limit: number): void {
  const verdict = measured <= limit ? 'meets' : 'MISSES';
  console.log(`${what}: ${measured.toFixed(2)} ${unit} (${verdict} ${limit} ${unit})`);
}
