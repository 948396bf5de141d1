/**
 * How many decimals each quantity is shown with, everywhere: one for amperes, two where small differences decide. Source: house rule. Lines of
 * working are written to two decimals, so that they can be followed.
 */
export const SHOWN_DECIMALS = { A: 1, kW: 1, kVA: 2, W: 0, Ω: 2, V: 1, '%': 2, m: 1, 'mm²': 2 } as const;

export type ShownUnit = keyof typeof SHOWN_DECIMALS;

/**
 * The tolerance of every comparison with a limit, stated once: what is shown alike is alike. Half of the last decimal shown, in the unit: 60.04 A
 * on 60 A is not over, since it would be said to be over by nothing.
 */
export function toleranceOf(unit: ShownUnit): number {
  return 0.5 * 10 ** -SHOWN_DECIMALS[unit];
}

/**
 * What arithmetic in floating point may leave over, in whatever unit: sums that are equal by hand differ by less, and nothing anybody measures is so
 * small. For comparisons between figures reckoned here; a figure and a limit are compared by `exceeds`.
 */
export const HAIR = 1e-6;

/** The whole number at or below a value; one that is a hair below a whole number is that number. @example wholeBelow(15.9999999) // 16 */
export function wholeBelow(value: number): number {
  return Math.floor(value + HAIR);
}

/** A value to so many decimals, never as minus nought. */
export function fixed(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? (0).toFixed(decimals) : text;
}

/** A value as it is shown, without its unit; whole numbers plain. @example shown(12.54, 'A') // '12.5' */
export function shown(value: number, unit: ShownUnit = 'A'): string {
  const text = fixed(value, SHOWN_DECIMALS[unit]);
  return Number.isInteger(Number(text)) ? String(Number(text)) : text;
}

/** A least amount that is needed, rounded up so that what is said is enough. @example leastShown(32.52) // '32.6' */
export function leastShown(value: number, unit: ShownUnit = 'A'): string {
  const scale = 10 ** SHOWN_DECIMALS[unit];
  return shown(Math.ceil(value * scale - HAIR) / scale, unit);
}

/**
 * Parts rounded so that they add up to their sum as it is shown: each to the decimal below, and what is left of the sum to those that lost most.
 * Source: largest remainder.
 */
export function partsShown(parts: readonly number[], unit: ShownUnit = 'A'): string[] {
  const decimals = SHOWN_DECIMALS[unit];
  const scale = 10 ** decimals;
  const scaled = parts.map((part) => part * scale);
  const down = scaled.map((part) => wholeBelow(part));
  const total = Math.round(scaled.reduce((sum, part) => sum + part, 0) + HAIR);
  let left = total - down.reduce((sum, part) => sum + part, 0);
  const order = scaled.map((part, at) => ({ at, lost: part - (down[at] ?? 0) })).sort((a, b) => b.lost - a.lost);
  const made = [...down];
  for (const { at } of order) {
    if (left <= 0) break;
    made[at] = (made[at] ?? 0) + 1;
    left -= 1;
  }
  return made.map((part) => fixed(part / scale, decimals));
}
