/** Reading numbers as people type them. */

export type ReadNumber =
  { readonly kind: 'empty' } | { readonly kind: 'number'; readonly value: number } | { readonly kind: 'not-a-number' };

/** A typed number: comma or point for the decimals, spaces let through, a unit at the end forgiven. */
export function readNumber(typed: string, unit: string): ReadNumber {
  const bare = typed
    .trim()
    .replace(new RegExp(`\\s*${unit}$`, 'i'), '')
    .replace(/[\s\u202f]/g, '')
    .replace(',', '.');
  if (bare === '') return { kind: 'empty' };
  if (!/^-?(\d+\.?\d*|\.\d+)$/.test(bare)) return { kind: 'not-a-number' };
  return { kind: 'number', value: Number(bare) };
}
