import type { Says } from './asked';
import type { Keep, KeptAnswer } from './kept';
import { newId, type SmallPicture } from './picture';
import { Refused, sendAnswer, sendPicture } from './server';

/** How an answer stands. */
export type Standing =
  | { readonly is: 'draft' }
  | { readonly is: 'sending' }
  /** No connection; it is tried again by itself. */
  | { readonly is: 'waiting' }
  | { readonly is: 'arrived' }
  | { readonly is: 'refused'; readonly says: string };

export interface Entry {
  readonly says: Says;
  readonly pictures: readonly SmallPicture[];
  readonly standing: Standing;
}

/** How the outbox reaches the world. */
export interface Links {
  readonly keep: Keep;
  readonly sendPicture: typeof sendPicture;
  readonly sendAnswer: typeof sendAnswer;
  readonly later: (milliseconds: number, work: () => void) => void;
}

const FIRST_WAIT_MS = 2000;
const LONGEST_WAIT_MS = 60_000;

/**
 * Answers on their way to the server, one at a time and each picture by itself. Everything is kept on the telephone before it is sent and until it has arrived; what
 * failed for want of a connection is tried again, from the picture that failed.
 */
export class Outbox {
  private readonly kept = new Map<string, KeptAnswer>();
  private readonly standings = new Map<string, Standing>();
  private isBusy = false;
  private waitMs = FIRST_WAIT_MS;

  constructor(
    private readonly token: string,
    private readonly links: Links,
    private readonly changed: () => void,
  ) {}

  /** Takes up what an earlier visit left. */
  async open(): Promise<void> {
    for (const answer of await this.links.keep.all(this.token)) {
      this.kept.set(answer.step, answer);
      this.standings.set(answer.step, { is: answer.isReady ? 'waiting' : 'draft' });
    }
    this.changed();
    this.go();
  }

  /** What is known of a step; undefined where nothing has been answered on this telephone. */
  of(step: string): Entry | undefined {
    const answer = this.kept.get(step);
    const standing = this.standings.get(step);
    if (!standing) return undefined;
    return { says: answer ? answer.says : {}, pictures: answer ? answer.pictures : [], standing };
  }

  /** Keeps what is being typed. */
  async draft(step: string, says: Says, pictures: readonly SmallPicture[]): Promise<void> {
    await this.write(step, says, pictures, false);
  }

  /** Hands an answer over to be sent. */
  async send(step: string, says: Says, pictures: readonly SmallPicture[]): Promise<void> {
    await this.write(step, says, pictures, true);
    this.waitMs = FIRST_WAIT_MS;
    this.go();
  }

  /** Tries now what waits: there is a connection again, or somebody pressed. */
  go(): void {
    if (this.isBusy) return;
    const next = Array.from(this.kept.values()).find(
      ({ step, isReady }) => isReady && this.is(step) !== 'refused' && this.is(step) !== 'arrived',
    );
    if (!next) return;
    this.isBusy = true;
    this.tell(next.step, { is: 'sending' });
    void this.one(next).then((isThere) => {
      this.isBusy = false;
      if (isThere) {
        this.waitMs = FIRST_WAIT_MS;
        this.go();
        return;
      }
      const wait = this.waitMs;
      this.waitMs = Math.min(LONGEST_WAIT_MS, wait * 2);
      this.links.later(wait, () => {
        this.go();
      });
    });
  }

  /** Sends one answer; false where there was no connection. */
  private async one(answer: KeptAnswer): Promise<boolean> {
    try {
      let now = answer;
      for (const picture of answer.pictures) {
        if (now.sent.indexOf(picture.id) >= 0) continue;
        await this.links.sendPicture(this.token, answer.step, picture);
        now = { ...now, sent: now.sent.concat(picture.id) };
        await this.put(now);
      }
      await this.links.sendAnswer(this.token, {
        ...answer.says,
        id: answer.id,
        step: answer.step,
        pictures: answer.pictures.map(({ id }) => id),
      });
      await this.arrived(answer);
      return true;
    } catch (failed) {
      if (!(failed instanceof Refused)) {
        if (this.isStill(answer)) this.tell(answer.step, { is: 'waiting' });
        return false;
      }
      // Looked at already: nothing more is needed.
      if (failed.status === 409 && /already/.test(failed.says)) await this.arrived(answer);
      else if (this.isStill(answer)) {
        // Sent again it is sent whole: what the server says it misses it does not have.
        await this.put({ ...answer, sent: [] });
        this.tell(answer.step, { is: 'refused', says: failed.says });
      }
      return true;
    }
  }

  private async arrived(answer: KeptAnswer): Promise<void> {
    // Changed while it was on its way: what is there now still has to go.
    if (!this.isStill(answer)) return;
    this.kept.delete(answer.step);
    this.tell(answer.step, { is: 'arrived' });
    await this.links.keep.drop(answer.key);
  }

  private isStill({ step, id }: KeptAnswer): boolean {
    const now = this.kept.get(step);
    return now !== undefined && now.id === id;
  }

  private async write(step: string, says: Says, pictures: readonly SmallPicture[], isReady: boolean): Promise<void> {
    const before = this.kept.get(step);
    const answer: KeptAnswer = {
      key: `${this.token} ${step}`,
      token: this.token,
      step,
      // Another answer is another: one that is on its way under the old id does not count for it.
      id: newId(),
      says,
      pictures,
      sent: before ? before.sent : [],
      isReady,
    };
    this.kept.set(step, answer);
    this.tell(step, { is: isReady ? 'waiting' : 'draft' });
    await this.links.keep.put(answer).catch(() => undefined);
  }

  private async put(answer: KeptAnswer): Promise<void> {
    if (!this.isStill(answer)) return;
    this.kept.set(answer.step, answer);
    await this.links.keep.put(answer).catch(() => undefined);
  }

  private is(step: string): Standing['is'] | undefined {
    const standing = this.standings.get(step);
    return standing && standing.is;
  }

  private tell(step: string, standing: Standing): void {
    this.standings.set(step, standing);
    this.changed();
  }
}
