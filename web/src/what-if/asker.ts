import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { AnswerTo, MoreFor, WhatIf } from './reckon';

/** What reckons, elsewhere: a worker, or in tests a function. */
export type Reckon = <K extends WhatIf>(
  what: K,
  survey: Survey,
  rules: Rules,
  more: MoreFor<K>,
) => Promise<AnswerTo<K>>;

interface Question<K extends WhatIf> {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly more: MoreFor<K>;
}

/** The last answer there was, and what it answers; none yet at first. */
export interface Told<K extends WhatIf> {
  readonly answer: AnswerTo<K> | null;
  readonly to: Question<K> | null;
  readonly hasFailed: boolean;
}

/**
 * One thing asked again and again of a survey that changes under it. One reckoning is under way at a time; what is asked meanwhile waits, and only
 * the newest of it is reckoned. An answer that something newer waits behind is never told.
 */
export class Asker<K extends WhatIf> {
  private told: Told<K> = { answer: null, to: null, hasFailed: false };
  private readonly listeners = new Set<() => void>();
  private next: Question<K> | null = null;
  private isAtWork = false;

  constructor(
    private readonly what: K,
    private readonly reckon: Reckon,
  ) {}

  readonly get = (): Told<K> => this.told;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
      // Nobody waits for it any more.
      if (this.listeners.size === 0) this.next = null;
    };
  };

  ask(survey: Survey, rules: Rules, more: MoreFor<K>): void {
    this.next = { survey, rules, more };
    if (!this.isAtWork) void this.goOn();
  }

  private async goOn(): Promise<void> {
    this.isAtWork = true;
    for (let to = this.taken(); to; to = this.taken()) {
      const { answer, hasFailed } = await this.reckon(this.what, to.survey, to.rules, to.more).then(
        (found) => ({ answer: found, hasFailed: false }),
        () => ({ answer: null, hasFailed: true }),
      );
      if (this.next === null) this.tell({ answer, to, hasFailed });
    }
    this.isAtWork = false;
  }

  private taken(): Question<K> | null {
    const { next } = this;
    this.next = null;
    return next;
  }

  private tell(told: Told<K>): void {
    this.told = told;
    for (const listener of this.listeners) listener();
  }
}
