import type { CustomerSays } from '@keen-gauge/core/customer/answer';
import type { CustomerStepId } from '@keen-gauge/core/customer/steps';
import type { EventKind, JobEvent } from '@keen-gauge/core/calendar/job-events';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { Task } from '@keen-gauge/core/price/tasks';
import type { DemoLog } from './logs';
import type { DemoPicture } from './pictures';

/** A day of a made-up job: what happened or is booked, so many days from today. */
export interface DemoDay {
  readonly kind: EventKind;
  readonly inDays: number;
  readonly by: number;
  readonly details?: JobEvent['details'];
}

/** What the customer of a made-up job sent by the link. */
export interface DemoReply {
  readonly step: CustomerStepId;
  readonly says?: CustomerSays;
  readonly drawings?: readonly DemoPicture['drawing'][];
}

/** A quotation of a made-up job: by whom, what the customer answered, and how long the tasks of an accepted one took against the estimate. */
export interface DemoQuotation {
  readonly by: number;
  readonly answer?: 'accepted' | 'declined';
  readonly question?: string;
  readonly took?: Readonly<Partial<Record<Task, number>>>;
  /** How much cable was used, against the plan. */
  readonly cable?: number;
}

/** A made-up job: what it was called, and the stages its survey went through, each a change by one of the people. */
export interface Scenario {
  readonly place: string;
  readonly wanted: string;
  /** Index into the demo people of whoever made the job. */
  readonly by: number;
  /** What was known when it was made. */
  readonly known?: (survey: Survey) => void;
  readonly stages: readonly { readonly by: number; readonly change: (survey: Survey) => void }[];
  /** Index of who signed it off, where that was done. */
  readonly signedBy?: number;
  /** Pictures handed in after the last stage. */
  readonly pictures?: readonly DemoPicture[];
  /** What the customer sent, still to be looked at; by whom it was asked. */
  readonly sent?: { readonly askedBy: number; readonly replies: readonly DemoReply[] };
  /** A quotation made of it once it is surveyed, and what came of that. */
  readonly quoted?: DemoQuotation;
  /** A log handed in with the last stage. */
  readonly log?: DemoLog;
  /** Index of who has it, null for nobody; left out, whoever made it. */
  readonly assignedTo?: number | null;
  /** When it was last touched. */
  readonly changedDaysAgo?: number;
  /** What happened after it was signed, and what is booked. */
  readonly days?: readonly DemoDay[];
}
