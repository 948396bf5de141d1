/** Numbers that look random and are the same anywhere for the same seed: integer arithmetic only (sfc32). */
export interface Random {
  /** From 0 up to, not including, 1. */
  next(): number;
  between(least: number, most: number): number;
  /** Bell-shaped about a mean: twelve draws added up, which needs no logarithm that could differ between machines. */
  about(mean: number, spread: number): number;
}

export function seeded(seed: number): Random {
  let [a, b, c, d] = [0x9e3779b9 | 0, 0x243f6a88 | 0, 0xb7e15162 | 0, seed | 0];
  const next = (): number => {
    const t = (((a + b) | 0) + d) | 0;
    d = (d + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = (c << 21) | (c >>> 11);
    c = (c + t) | 0;
    return (t >>> 0) / 4294967296;
  };
  for (let at = 0; at < 15; at += 1) next();
  const about = (mean: number, spread: number): number => {
    let sum = 0;
    for (let at = 0; at < 12; at += 1) sum += next();
    return mean + spread * (sum - 6);
  };
  return { next, about, between: (least, most) => least + (most - least) * next() };
}
