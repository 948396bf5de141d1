import type { Pence } from '../money/pence';
import type { Task } from '../price/tasks';

/** What one choice of a quotation comes to. */
export interface QuoteChoice {
  readonly id: string;
  readonly title: string;
  /** What is done, in plain words. */
  readonly does: readonly string[];
  /** Line by line, where the firm shows so much. */
  readonly lines: readonly { readonly text: string; readonly quantity: string; readonly pence: Pence }[];
  readonly netPence: Pence;
  readonly taxes: readonly { readonly name: string; readonly percent: number; readonly pence: Pence }[];
  readonly totalPence: Pence;
  /** Paid to the operator, beside the sum; null where it is not known yet what the operator charges. */
  readonly operatorPence: Pence | null;
  readonly operatorWords: string;
  readonly help: readonly { readonly name: string; readonly pence: Pence; readonly missing: readonly string[] }[];
  /** Steps in time, each with its own part of the sum; none where it is all done at once. */
  readonly stages: readonly {
    readonly name: string;
    readonly when: string;
    readonly settings: readonly string[];
    readonly operator: string;
    readonly totalPence: Pence;
  }[];
}

/** A quotation as the customer reads it. Once it is sent, its text is fixed. */
export interface Quote {
  readonly format: 'keen-gauge-quotation';
  readonly version: 1;
  readonly number: string;
  readonly revision: number;
  readonly date: string;
  readonly validUntil: string;
  readonly firm: {
    readonly name: string;
    readonly address: string;
    readonly telephone: string;
    readonly email: string;
  };
  readonly to: { readonly name: string; readonly address: string };
  readonly about: string;
  readonly choices: readonly QuoteChoice[];
  readonly assumes: readonly string[];
  readonly wouldChange: readonly string[];
  readonly excluded: readonly string[];
  readonly disruption: readonly string[];
  readonly conditions: string;
  /** Photographs of the job that go with it. */
  readonly pictures: readonly { readonly id: string; readonly caption: string }[];
}

/** What the firm keeps of a quotation beside its text, and the customer never sees: for learning, ordering and margins. */
export interface QuoteBasis {
  readonly choices: readonly {
    readonly id: string;
    readonly netPence: Pence;
    readonly costPence: Pence;
    readonly hours: Readonly<Partial<Record<Task, number>>>;
    /** The rates these hours were estimated by: person-hours each, so that a rate changed since is told from jobs that took longer. */
    readonly rates: Readonly<Partial<Record<Task, number>>>;
    readonly materials: readonly { readonly id: string; readonly item: string | null; readonly quantity: number }[];
  }[];
}
