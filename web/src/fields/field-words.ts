import type { FieldPath } from '@keen-gauge/core/survey/schema/field-path';
import type { ChoiceOption } from '../kit/Choice';

/** What a field is called, wherever it is asked for: at its station, on a card, in a line of what is recorded. */
export interface FieldWords {
  readonly label: string;
  readonly help?: string;
  /** The words for its values, for what is chosen from a few. */
  readonly options?: readonly ChoiceOption<string>[];
  /** Many to choose from: from a list that opens. */
  readonly list?: boolean;
  /** Usual figures, one tap each. */
  readonly usual?: readonly number[];
  /** Least width of a tile. */
  readonly tile?: string;
  /** Needed by few: while nothing is recorded and nobody asks, a line that opens. */
  readonly few?: boolean;
  /** Free text of several lines. */
  readonly lines?: boolean;
  readonly type?: 'email' | 'tel';
  readonly inputMode?: 'numeric';
}

export type WordsOf = Partial<Readonly<Record<FieldPath, FieldWords>>>;
