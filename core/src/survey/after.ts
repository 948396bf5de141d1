import { Day, Id, Moment, OneOf, RequiredOneOf, Text, YesNo, ListOf } from './fields';
import { ANSWERS, type Answer } from './words/words';

export const CHECKLISTS = ['labels', 'handover', 'funding'] as const;
export type ChecklistId = (typeof CHECKLISTS)[number];

export const TICKS = ['done', 'not-applicable'] as const;
export type TickAnswer = (typeof TICKS)[number];

/** One item of a checklist, seen to: as it read then, since the firm may change its list. */
export class Tick {
  @Id() id: string;
  @RequiredOneOf(CHECKLISTS) list: ChecklistId;
  @Text(200) text?: string;
  @OneOf(TICKS) answer?: TickAnswer;
  @Text(300) note?: string;
  @Text(100) by?: string;
  @Moment() at?: string;
}

/** What is seen to once the work is done. */
export class AfterJob {
  @ListOf(() => Tick, 200) ticks?: Tick[];
  /** Is money claimed from a scheme, so that its evidence has to be gathered? */
  @YesNo() fundingClaimed?: boolean;
  @Text(60) certificateNumber?: string;
  @Day() nextInspectionOn?: string;
}

/** What was seen of a new circuit that is no figure. */
export class Tested {
  @OneOf(ANSWERS) polarity?: Answer;
  /** It does what it is meant to: starts, stops, trips by its test button. */
  @OneOf(ANSWERS) works?: Answer;
}
