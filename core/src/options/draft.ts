import type { Decided } from '../assessment';
import type { OptionKind } from '../survey/words/option-words';
import type { Survey } from '../survey/survey';

/** A way of doing it, as the survey would be with it, before it is judged. */
export interface Draft {
  readonly kind: OptionKind;
  /** The second of two ways together. */
  readonly also?: OptionKind;
  readonly title: string;
  readonly survey: Survey;
  /** What was decided of that survey while it was looked for. */
  readonly decided?: Decided;
  /** What is taken over when it is chosen, where that is not what was reckoned. */
  readonly takes?: Survey;
  /** What keeps it from being known, whatever this supply says. */
  readonly open?: string;
  readonly cautions: readonly string[];
}
