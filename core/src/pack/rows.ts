import type { PerPhase } from '../demand/per-phase-figures';
import { fixed } from '../rules/rounding';
import { digitsOf, type Figure } from '../worked';

/** A line of the document: what it is, what it says, and how that is known. */
export interface Row {
  readonly label: string;
  readonly value: string;
  readonly note?: string;
}

export interface Section {
  readonly title: string;
  /** Decided from the facts rather than one of them: it follows when they change. */
  readonly derived?: true;
  readonly rows: readonly Row[];
}

export const NOT_KNOWN = 'Not known';

/** A figure as people read it, never without its unit. */
export function figureText({ value, unit, bound, why }: Figure): string {
  if (value === null) return `${NOT_KNOWN}${why ? ` (${why})` : ''}`;
  return `${bound === 'at-least' ? 'at least ' : ''}${fixed(value, digitsOf(value, unit))} ${unit}`;
}

/** A figure for each phase in one line. */
export function phasesText(figures: PerPhase): string {
  const entries = Object.entries(figures);
  return entries.map(([phase, figure]) => `${entries.length > 1 ? `${phase} ` : ''}${figureText(figure)}`).join(' · ');
}

/** One line of a section; what is not known says so. */
export function row(label: string, value: string | number | undefined, note?: string): Row {
  const text = value === undefined || value === '' ? NOT_KNOWN : String(value);
  return { label, value: text, ...(note ? { note } : {}) };
}
