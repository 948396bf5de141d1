import type { Assessment } from '../assessment';
import type { Ground } from '../grounds/verdict';
import type { CostBand, OptionKind } from '../survey/words/option-words';
import type { Survey } from '../survey/survey';
import type { ChargingTime } from './charging-time';

/** One option, compared in one view with the others. */
export interface Option {
  /** What names it among the others: its kinds. */
  readonly id: string;
  readonly kind: OptionKind;
  /** The second of two ways together. */
  readonly also?: OptionKind;
  readonly title: string;
  /** Null where something unknown decides it. */
  readonly holds: boolean | null;
  readonly why: string;
  /** Everything that rests on. */
  readonly grounds: readonly Ground[];
  /** What is over its rating already, whatever is done. */
  readonly already: readonly string[];
  /** The node with least left under this option. */
  readonly weakest: string | null;
  readonly route: Assessment['route']['way'];
  /** For the first charger at its least when everything else runs, and at its most. */
  readonly charging: ChargingTime | null;
  readonly whoMustAgree: string;
  /** Weeks, from and to. */
  readonly waitWeeks: readonly [number, number];
  readonly costBand: CostBand;
  readonly costWords: string;
  readonly cautions: readonly string[];
  /** The survey under this option, to be taken over when it is chosen. */
  readonly survey: Survey;
}
