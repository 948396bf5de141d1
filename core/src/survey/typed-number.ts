/** Reading numbers as people type and paste them. */

export type TypedNumber =
  | { readonly kind: 'empty' }
  | { readonly kind: 'number'; readonly value: number }
  /** Two readings are possible: a mark before three digits may be of thousands or of decimals. */
  | { readonly kind: 'either'; readonly whole: number; readonly fraction: number }
  | { readonly kind: 'not-a-number' };

const SPACES = /[\s\u00a0\u202f\u2009']/g;

/**
 * A typed number, without its unit: comma or point for the decimals, spaces between thousands. With both marks the later one is the
 * decimals'; one mark before exactly three digits may be either, and is told as such. Never guesses.
 *
 * @example typedNumber('1.200,5') // 1200.5
 * @example typedNumber('1,000')   // either 1000 or 1
 */
export function typedNumber(typed: string): TypedNumber {
  const bare = typed.replace(SPACES, '').replace(/^\+/, '');
  if (bare === '') return { kind: 'empty' };
  if (!/^-?[\d.,]*\d[.,]?$/.test(bare) && !/^-?[.,]\d+$/.test(bare)) return { kind: 'not-a-number' };
  const marks = bare.replace(/[^.,]/g, '');
  const last = marks.at(-1);
  if (last === undefined) return number(bare);
  const other = last === '.' ? ',' : '.';
  if (marks.includes(other)) {
    // Both: the later is the decimals', and every earlier one stands before three digits.
    if (marks.split(last).length > 2 || !grouped(bare.slice(0, bare.lastIndexOf(last)), other))
      return { kind: 'not-a-number' };
    return number(bare.replaceAll(other, '').replace(last, '.'));
  }
  if (marks.length > 1) return grouped(bare, last) ? number(bare.replaceAll(last, '')) : { kind: 'not-a-number' };
  const decimal = number(bare.replace(last, '.'));
  if (!/^-?[1-9]\d{0,2}[.,]\d{3}$/.test(bare) || decimal.kind !== 'number') return decimal;
  return { kind: 'either', whole: Number(bare.replace(last, '')), fraction: decimal.value };
}

function number(text: string): TypedNumber {
  const value = Number(text);
  return Number.isFinite(value) ? { kind: 'number', value } : { kind: 'not-a-number' };
}

/** One to three digits, then threes, divided by a mark. */
function grouped(text: string, mark: string): boolean {
  const [first = '', ...others] = text.replace('-', '').split(mark);
  return /^\d{1,3}$/.test(first) && others.every((each) => /^\d{3}$/.test(each));
}

/** Spellings of a unit that people type, the first the unit itself; the factor brings the number into the first. */
const UNITS: Readonly<Record<string, readonly (readonly [RegExp, number])[]>> = {
  A: [
    [/^(a|amps?|amperes?)$/i, 1],
    [/^ma|milliamps?$/i, 0.001],
  ],
  W: [
    [/^(w|watts?)$/i, 1],
    [/^(kw|kilowatts?)$/i, 1000],
  ],
  VA: [
    [/^va$/i, 1],
    [/^kva$/i, 1000],
  ],
  V: [[/^(v|volts?)$/i, 1]],
  m: [
    [/^(m|metres?|meters?)$/i, 1],
    [/^cm$/i, 0.01],
    [/^mm$/i, 0.001],
  ],
  mm: [
    [/^mm$/i, 1],
    [/^cm$/i, 10],
    [/^m$/i, 1000],
  ],
  'mm²': [[/^(mm²|mm2|mm\^2|sq\.? ?mm|mm)$/i, 1]],
  Ω: [[/^(ω|ohms?)$/i, 1]],
  kΩ: [[/^(kω|kohms?)$/i, 1]],
  mA: [
    [/^ma$/i, 1],
    [/^a$/i, 1000],
  ],
  kWh: [[/^kwh$/i, 1]],
  h: [[/^(h|hrs?|hours?)$/i, 1]],
  '%': [[/^(%|per ?cent)$/i, 1]],
};

/** A typed number with a unit at its end forgiven, and one of another size of the same unit turned into it; null where the unit is another. */
export function typedWithUnit(typed: string, unit: string): TypedNumber | null {
  const parts = /^(.*?[\d.,])\s*([^\d\s.,].*)?$/s.exec(typed.trim());
  const written = parts?.[2]?.trim() ?? '';
  const found = typedNumber(parts?.[1] ?? typed);
  if (written === '' || found.kind === 'empty' || found.kind === 'not-a-number') return found;
  const factor =
    written.toLowerCase() === unit.toLowerCase() ? 1 : UNITS[unit]?.find(([spelling]) => spelling.test(written))?.[1];
  if (factor === undefined) return /\d/.test(written) ? { kind: 'not-a-number' } : null;
  const times = (value: number): number => Number((value * factor).toPrecision(12));
  return found.kind === 'either'
    ? { ...found, whole: times(found.whole), fraction: times(found.fraction) }
    : { kind: 'number', value: times(found.value) };
}
