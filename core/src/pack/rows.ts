import type { PerPhase } from '../demand/per-phase-figures';
import { fixed } from '../rules/rounding';
import { digitsOf, type Figure } from '../worked';
import type { RowId, RowKind, SectionId } from './row-ids';

/** A line of the document: what names it, what it is called, what it says, and how that is known. */
export interface Row {
  readonly id: RowId | RowKind;
  /** What of several it is about. */
  readonly subject?: string;
  readonly label: string;
  readonly value: string;
  readonly note?: string;
}

export interface Section {
  readonly id: SectionId;
  /** The piece of equipment, or part, it is about; left out where there is one such section. */
  readonly subject?: string;
  /** What that is called, where the section is about one of several. */
  readonly about?: string;
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
export function row(id: RowId, label: string, value: string | number | undefined, note?: string): Row {
  return { id, ...said(label, value, note) };
}

/** One line of several of a kind: `subject` is what names it among them, the id of what it is about. */
export function rowOf(
  kind: RowKind,
  subject: string,
  label: string,
  value: string | number | undefined,
  note?: string,
): Row {
  return { id: kind, subject, ...said(label, value, note) };
}

function said(label: string, value: string | number | undefined, note?: string): Pick<Row, 'label' | 'value' | 'note'> {
  const text = value === undefined || value === '' ? NOT_KNOWN : String(value);
  return { label, value: text, ...(note ? { note } : {}) };
}
