/** Numbers that look random and are the same anywhere for the same seed: integer arithmetic only (sfc32). */
export interface Random {
  /** From 0 up to, not including, 1. */
  next(): number;
  between(least: number, most: number): number;
  /** Bell-shaped about a mean: twelve draws added up, which needs no logarithm that could differ between machines. */
  about(mean: number, spread: number): number;
}

export function seeded(seed: number): Random {
  // Whole numbers of 32 bits in an array of them: kept as they are, where a variable would box every other one.
  const state = Int32Array.of(0x9e3779b9, 0x243f6a88, 0xb7e15162, seed);
  /** So many draws, added up; the state is taken out and put back once for all of them. */
  const sum = (draws: number): number => {
    let a = state[0] ?? 0;
    let b = state[1] ?? 0;
    let c = state[2] ?? 0;
    let d = state[3] ?? 0;
    let total = 0;
    for (let at = 0; at < draws; at += 1) {
      const t = (((a + b) | 0) + d) | 0;
      d = (d + 1) | 0;
      a = b ^ (b >>> 9);
      b = (c + (c << 3)) | 0;
      c = (((c << 21) | (c >>> 11)) + t) | 0;
      total += (t >>> 0) / 4294967296;
    }
    state[0] = a;
    state[1] = b;
    state[2] = c;
    state[3] = d;
    return total;
  };
  const next = (): number => sum(1);
  sum(15);
  return {
    next,
    about: (mean, spread) => mean + spread * (sum(12) - 6),
    between: (least, most) => least + (most - least) * next(),
  };
}
