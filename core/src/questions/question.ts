import type { CircuitAssessment } from '../circuit/charger-circuit';
import type { CircuitFacts } from '../circuit/circuit-facts';
import type { FeederAssessment } from '../feeder/feeder';
import type { Connected } from '../demand/connected';
import type { OpenCheck } from '../intake/checks/findings';
import type { MeasuredDemand } from '../demand/measured/verdict';
import type { EarthingAssessment } from '../earthing/assess-earthing';
import type { AskOf, Station } from '../finding';
import type { FindingId } from '../finding-ids';
import type { Standing } from '../grounds/verdict-ids';
import type { FuseRating } from '../intake/fuse-rating';
import type { LoopVerdict } from '../intake/loop-status';
import type { ConditionVerdict } from '../intake/condition';
import type { SharedService } from '../intake/shared-service';
import type { Rules } from '../rules/rules';
import type { FieldPath } from '../survey/schema/field-path';
import type { Load } from '../survey/load';
import type { Survey } from '../survey/survey';
import type { PutOffTo } from '../survey/put-off';
import type { Basis, Check } from '../survey/words/words';
import type { SupplyTree } from '../tree/supply-tree';
import type { Step } from '../worked';

/** Where one stands, or with whom one speaks, to answer a question. `part` is the part of the supply it is about, wherever that is. */
export type Stop = 'part' | 'entries' | 'rooms' | 'route' | 'parking' | 'data' | 'desk';

/** Everything reckoned of a survey that a question may be open on. */
export interface QuestionFacts {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly tree: SupplyTree;
  /** The limiting device's, and every fuse the new equipment's current passes through. */
  readonly fuse: FuseRating;
  readonly fuses: readonly FuseRating[];
  readonly condition: ConditionVerdict;
  readonly loop: LoopVerdict;
  readonly shared: SharedService | null;
  /** Checks of the chain that neither the record nor a look has settled. */
  readonly checks: readonly OpenCheck[];
  /** Existing loads below the limiting device, and what measuring says of them. */
  readonly connected: readonly Connected[];
  readonly measured: MeasuredDemand;
  readonly basis: Basis;
  readonly earthing: EarthingAssessment;
  readonly circuits: readonly CircuitAssessment[];
  readonly circuitFacts: CircuitFacts;
  readonly feeders: readonly FeederAssessment[];
}

/** One plausible answer, as the change it makes to the survey. */
export interface PlausibleAnswer {
  readonly says: string;
  readonly change: (survey: Survey) => Survey;
}

/** A question as it is open on one survey. */
export interface Open {
  readonly title: string;
  readonly remedy: string;
  readonly subjectId?: string | undefined;
  /** The very field that answers it, where that is not the entry's own. */
  readonly field?: FieldPath | undefined;
  readonly askOf?: AskOf | undefined;
  readonly station?: Station | undefined;
  readonly on?: Standing | undefined;
  readonly source?: string | undefined;
  readonly check?: Check | undefined;
  readonly working?: readonly Step[] | undefined;
  readonly ownUse?: boolean | undefined;
  /** Plausible answers, the values from the rules; none where only a figure will do. */
  readonly answers?: readonly PlausibleAnswer[] | undefined;
}

/** Something that can be unknown, registered once: of a survey with all that is known of it, or of a load by itself. */
export type QuestionEntry = EntryWords &
  (
    | { readonly open: (facts: QuestionFacts) => readonly Open[]; readonly ofLoad?: undefined }
    | { readonly ofLoad: (load: Load) => Open | null; readonly open?: undefined }
  );

/** What is said of an entry, whatever it is open on. */
export interface EntryWords {
  readonly id: FindingId;
  readonly station: Station;
  /** The field of the survey that answers it. */
  readonly field: FieldPath;
  readonly askOf: AskOf;
  readonly stop: Stop;
  /** The verdict that stays open with it. */
  readonly on: Standing;
  /** Why it matters, in a sentence. */
  readonly why: string;
  /** The photograph that would prove the answer. */
  readonly photo?: string | undefined;
  /** For the firm's own work: the operator does not need the answer. */
  readonly ownUse?: boolean | undefined;
  /**
   * Not asked of anybody: until it is answered it counts at its worst, or as is usual where hardly anything else occurs. Told where the answer
   * would change something.
   */
  readonly taken?: 'at-worst' | 'as-usual' | undefined;
}

/** An entry of the register open on a survey. */
export interface Question extends EntryWords, Open {
  /** Passed over on site: whom to ask instead, or that it could not be seen. */
  readonly putOff?: PutOffTo;
  readonly field: FieldPath;
  readonly askOf: AskOf;
  readonly station: Station;
  readonly on: Standing;
}

/** An entry’s words with what is open. Written out: spread, it takes longer than all that opens it. */
export function questionOf(words: EntryWords, made: Open): Question {
  return {
    id: words.id,
    station: made.station ?? words.station,
    field: made.field ?? words.field,
    askOf: made.askOf ?? words.askOf,
    stop: words.stop,
    on: made.on ?? words.on,
    why: words.why,
    photo: words.photo,
    ownUse: made.ownUse ?? words.ownUse,
    taken: words.taken,
    subjectId: made.subjectId,
    title: made.title,
    remedy: made.remedy,
    source: made.source,
    check: made.check,
    working: made.working,
    answers: made.answers,
  };
}

/** What names a question within its survey. */
export function questionKey({ id, subjectId }: Pick<Question, 'id' | 'subjectId'>): string {
  return subjectId === undefined ? id : `${id} ${subjectId}`;
}
