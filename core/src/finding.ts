/** What an assessment has to say, beside its figures. */
import type { Check } from './survey/words/words';
import type { FindingId } from './finding-ids';
import type { FieldPath } from './survey/schema/field-path';
import type { Standing } from './grounds/verdict-ids';
import type { Step } from './worked';

/** The stations of the survey, in the order they are walked. */
export const STATIONS = [
  'place',
  'cut-out',
  'loop',
  'line-up',
  'earthing',
  'loads',
  'charger',
  'limit',
  'circuit',
  'compare',
  'route',
  'pack',
  'works',
  'materials',
  'quotation',
  'crew',
  'commissioning',
  'tests',
  'after',
] as const;
export type Station = (typeof STATIONS)[number];

/** Who can answer an open question. */
export type AskOf = 'surveyor' | 'customer' | 'operator';

/**
 * - `danger`: someone could be hurt now;
 * - `act`: something must be done or decided;
 * - `ask`: something is not known yet;
 * - `note`: worth saying.
 */
export type FindingGrade = 'danger' | 'act' | 'ask' | 'note';

interface Told {
  readonly id: FindingId;
  readonly station: Station;
  readonly title: string;
  readonly remedy: string;
  readonly askOf?: AskOf;
  /** The node, load or piece of equipment concerned. */
  readonly subjectId?: string;
  /** The field of the survey that would settle it; members of lists are named by `subjectId`. */
  readonly field?: FieldPath;
  readonly source?: string;
  /** The check of the chain it came of, which can be answered by looking. */
  readonly check?: Check;
  /** How it was found, where there is arithmetic in it. */
  readonly working?: readonly Step[];
  /** For the firm's own work: the operator does not need it. */
  readonly ownUse?: boolean;
}

/** Something found: it says what is so. What has to be done about names the verdict it stands against. */
export type Statement = Told &
  (
    | { readonly grade: 'note'; readonly on?: Standing }
    | { readonly grade: 'danger' | 'act' | 'note'; readonly on: Standing }
  );

/** Something not known: an entry of the register of questions, open on this survey. */
export type AskFinding = Told & { readonly grade: 'ask'; readonly on: Standing; readonly askOf: AskOf };

/** One finding: stable id, where it belongs, what it says and what would settle it. */
export type Finding = Statement | AskFinding;
