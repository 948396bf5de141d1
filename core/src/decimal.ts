const DECIMAL = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?$/i;

/**
 * A number as people and instruments write one; null for anything else. Nothing, blanks, hexadecimal and words are no numbers, though the
 * language would take some of them for one.
 * @example decimal(' 12.5 ') // 12.5
 * @example decimal('0x20') // null
 */
export function decimal(text: string): number | null {
  const trimmed = text.trim();
  if (!DECIMAL.test(trimmed)) return null;
  const value = Number(trimmed);
  return Number.isFinite(value) ? value : null;
}
