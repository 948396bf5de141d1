import type { Unsaved } from './survey-store';

/** Where this browser keeps what is unsaved: put or, with null, taken away. */
export type Put = (unsaved: Unsaved | null) => Promise<unknown>;

const EVERY_MS = 100;

/**
 * Keeps what is unsaved in this browser, at most every tenth of a second however fast somebody types, and at once when asked to: before it is sent,
 * and when the page is about to go. Writes follow one another, so that an older state never lands on a newer one.
 */
export class Keeper {
  private waiting: { readonly unsaved: Unsaved | null } | null = null;
  private writing: Promise<unknown> = Promise.resolve();
  private lastAt = -Infinity;

  constructor(
    private readonly put: Put,
    private readonly kept: (is: boolean) => void,
    private readonly later: (milliseconds: number, work: () => void) => void,
    private readonly now: () => number = Date.now,
  ) {}

  keep(unsaved: Unsaved | null): void {
    const isWaitedFor = this.waiting !== null;
    this.waiting = { unsaved };
    const due = this.lastAt + EVERY_MS - this.now();
    if (due <= 0) this.flush();
    else if (!isWaitedFor)
      this.later(due, () => {
        this.flush();
      });
  }

  /** Writes what waits before this returns to the caller; the browser may take its time over it. */
  flush(): void {
    if (this.waiting === null) return;
    const { unsaved } = this.waiting;
    this.waiting = null;
    this.lastAt = this.now();
    this.writing = this.after(this.writing, () => this.put(unsaved));
  }

  /** Resolves when everything handed over so far is written. */
  idle(): Promise<unknown> {
    return this.writing;
  }

  /** Something else to be done to what is kept, in its turn. */
  then(work: () => Promise<unknown>): void {
    this.writing = this.writing.then(work).catch(() => undefined);
  }

  private after(before: Promise<unknown>, work: () => Promise<unknown>): Promise<unknown> {
    return before.then(work).then(
      () => {
        this.kept(true);
      },
      () => {
        this.kept(false);
      },
    );
  }
}
