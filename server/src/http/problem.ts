import type { Fault } from '@keen-gauge/core/survey/opening/plain';

/** An error the caller can do something about, told as application/problem+json (RFC 9457). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    /** Extra members of the problem document, such as faults by field or conflicts. */
    readonly members: Readonly<Record<string, unknown>> = {},
  ) {
    super(title);
  }

  toJSON(): object {
    return { type: 'about:blank', title: this.title, status: this.status, detail: this.detail, ...this.members };
  }
}

export const notFound = (what: string): Problem =>
  new Problem(404, 'Not found', `There is no such ${what}, or it is not your firm’s.`);

export const invalid = (faults: readonly Fault[]): Problem =>
  new Problem(422, 'Not valid', 'Nothing was changed. Each fault names its field and what is expected.', { faults });

/** A client-made id that something else has, which this firm may or may not see: nothing more is said of it. */
export const takenId = (): Problem =>
  new Problem(409, 'Not stored', 'That id is taken. Send it again under another; nothing was changed.');
