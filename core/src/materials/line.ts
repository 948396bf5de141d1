import type { Station } from '../finding';
import { TASK_WORDS, type Task } from '../price/tasks';
import { fixed } from '../rules/rounding';
import type { ItemUnit } from '../price/price-book';

/** Which part of the survey a line comes from. */
export interface LineSource {
  readonly station: Station;
  readonly subjectId?: string;
  /** In words: “Route, 2nd section, clipped, 12 m”. */
  readonly says: string;
}

interface EveryLine {
  /** Stands as long as what it comes from stands, so that a change somebody made finds it again. */
  readonly id: string;
  readonly text: string;
  /** Null where the survey does not say how much: then `gap` says what is missing. */
  readonly quantity: number | null;
  readonly from: LineSource;
  /** What is not known, so that there is no quantity or no item. */
  readonly gap?: string;
  /** What was taken for want of a record, in a sentence that a customer may read. */
  readonly assumes?: string;
}

/** Something to buy, or to take out of the van. */
export interface MaterialLine extends EveryLine {
  readonly kind: 'material';
  /** Of the price list; null where it is not known which. */
  readonly item: string | null;
  readonly unit: ItemUnit;
}

/** Something to do. */
export interface WorkLine extends EveryLine {
  readonly kind: 'work';
  readonly task: Task;
  /** The word its hours may differ by: the surface, the ground, the wall. */
  readonly by?: string;
  /** Above what one reaches from the floor. */
  readonly heightM?: number;
  /** Typed rather than taken from a rate: travel. */
  readonly hours?: number;
}

export type Line = MaterialLine | WorkLine;

/** The id of a line of one subject, within the 64 characters an id may have. */
export function lineId(subject: string, role: string): string {
  return `${subject.slice(-(63 - role.length))}-${role}`;
}

/** How much of a line there is, with its unit. @example quantityWords(cable) // '30.7 m' */
export function quantityWords(line: Line): string {
  if (line.quantity === null) return '?';
  const amount = Number.isInteger(line.quantity) ? String(line.quantity) : fixed(line.quantity, 1);
  const unit = line.kind === 'material' ? line.unit : TASK_WORDS[line.task].per;
  return unit === 'm' ? `${amount} m` : `${amount} ×`;
}
