/** The meter point number (MPAN): form and check digit. */

export type MeterPoint =
  | { readonly state: 'missing' }
  | { readonly state: 'faulty'; readonly fault: 'length' | 'digit' | 'area' | 'check'; readonly says: string }
  | { readonly state: 'good'; readonly core: string; readonly distributor: string };

const WEIGHTS = [3, 5, 7, 13, 17, 19, 23, 29, 31, 37, 41, 43] as const;

/**
 * Judges a meter point number as typed: spaces and hyphens are ignored; all 21 digits or just the lower 13 will do.
 * Source: field practice; the check digit is the weighted sum of the first twelve, mod 11, then mod 10.
 */
export function meterPoint(typed: string | undefined): MeterPoint {
  const digits = (typed ?? '').replace(/^s(?=[\s\d])/i, '').replace(/[\s-]/g, '');
  if (digits === '') return { state: 'missing' };
  const wrongAt = digits.search(/\D/);
  if (wrongAt >= 0)
    return {
      state: 'faulty',
      fault: 'digit',
      says: `“${digits.charAt(wrongAt)}” is not a digit (place ${wrongAt + 1}).`,
    };
  if (digits.length !== 13 && digits.length !== 21)
    return {
      state: 'faulty',
      fault: 'length',
      says: `${digits.length} digits; the number has 13, or 21 with its top row.`,
    };
  const core = digits.slice(-13);
  // Nobody is given a number that begins with noughts: it passes the check, and is none.
  if (core.startsWith('0'))
    return {
      state: 'faulty',
      fault: 'area',
      says: `“${core.slice(0, 2)}” is no distributor’s area: read the number again.`,
    };
  const expected = checkDigit(core);
  if (Number(core.charAt(12)) !== expected)
    return {
      state: 'faulty',
      fault: 'check',
      says: `The last digit should be ${expected} if the other twelve are right: one of the thirteen is misread.`,
    };
  return { state: 'good', core, distributor: core.slice(0, 2) };
}

/** The check digit that belongs to the first twelve digits of a core. */
export function checkDigit(core: string): number {
  return (WEIGHTS.reduce((total, weight, index) => total + weight * Number(core.charAt(index)), 0) % 11) % 10;
}

/** The core in groups as it is printed on bills: 97 0000 0012 340. */
export function groupedMeterPoint(core: string): string {
  return [core.slice(0, 2), core.slice(2, 6), core.slice(6, 10), core.slice(10)].join(' ');
}
