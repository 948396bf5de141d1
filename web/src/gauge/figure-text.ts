import { digitsOf, type Figure, type Unit } from '@keen-gauge/core/worked';

/** A figure as people read it: amperes to one decimal, kVA, ohms and per cent to two, never without its unit. */
export function figureText(figure: Figure): string {
  if (figure.value === null) return 'Not known';
  return `${figure.bound === 'at-least' ? '≥ ' : ''}${amount(figure.value, figure.unit)}`;
}

/** A value with its unit; thin spaces in thousands. */
export function amount(value: number, unit: Unit): string {
  const digits = digitsOf(value, unit);
  // Never “-0.0”.
  const rounded = Number(value.toFixed(digits)) || 0;
  const text = Math.abs(rounded)
    .toFixed(digits)
    .replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f');
  return `${rounded < 0 ? '−' : ''}${text} ${unit}`;
}
