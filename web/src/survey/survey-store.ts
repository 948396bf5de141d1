import {
  apply,
  diff,
  inverse,
  same,
  valueAt,
  type Change,
  type Conflict,
  type Value,
} from '@keen-gauge/core/record/changes';
import type { Place, ValueAt } from '@keen-gauge/core/survey/schema/field-path';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { asSurvey, asValue, sameField, setting, wholeMember, withField, type Setting } from './edits';
import type { FieldFault } from '../api/client';
import type { Head, Saved } from '../api/surveys';

/**
 * - `saved`: the server has everything;
 * - `waiting`: typed a moment ago, about to be sent;
 * - `saving`: on its way;
 * - `offline`: no answer, kept here and tried again;
 * - `unavailable`: the server says that it cannot just now, kept here and sent again a moment later;
 * - `failed`: something is wrong at the server, kept here; tried again a few times, then when asked;
 * - `signed-out`: kept here until somebody signs in;
 * - `refused`: the server found a fault in it; kept here until it is put right.
 */
export type SaveState =
  'saved' | 'waiting' | 'saving' | 'offline' | 'unavailable' | 'failed' | 'signed-out' | 'refused';

export interface SurveyState {
  readonly survey: Survey;
  readonly saveState: SaveState;
  readonly head: Head;
  /** Fields set here and elsewhere: theirs is in the document, mine is kept here until someone chooses. */
  readonly conflicts: readonly Conflict[];
  readonly faults: readonly FieldFault[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** This browser keeps nothing: what the server does not have yet is only in this page. */
  readonly notKept: boolean;
  /** Under what a failure of the server is logged there, while it lasts. */
  readonly failedUnder?: string;
}

/** What came of sending a revision. */
export type Outcome =
  | { readonly kind: 'saved'; readonly saved: Saved }
  | { readonly kind: 'conflict'; readonly head: Head }
  | { readonly kind: 'signed-out' }
  | Unanswered
  | { readonly kind: 'refused'; readonly faults: readonly FieldFault[] };

/** What leaves open whether it arrived: no answer at all, a server that cannot just now, or one in which something is wrong, logged under `under`. */
type Unanswered = { readonly kind: 'no-answer' | 'unavailable' } | { readonly kind: 'failed'; readonly under: string };

/** What the server does not have: the document, what it started from, and what waits for the person to decide. */
export interface Unsaved {
  readonly base: Survey;
  readonly document: Survey;
  readonly conflicts: readonly Conflict[];
  /** The revision sent last and not answered: it may have arrived, so it is sent again as it was before anything newer. */
  readonly pending?: Revision;
}

/** A revision as it is sent. */
export interface Revision {
  readonly id: string;
  readonly parentId: string;
  readonly changes: readonly Change[];
}

/** How the store reaches the world; tests put their own in. */
export interface Links {
  readonly send: (revision: Revision) => Promise<Outcome>;
  /** Called whenever what is unsaved changes: null when nothing is. */
  readonly keep: (unsaved: Unsaved | null) => void;
  readonly later: (milliseconds: number, work: () => void) => void;
  readonly newId: () => string;
}

const PAUSE_MS = 350;
const SAME_TYPING_MS = 1500;
const RETRY_MS = [1500, 3000, 6000, 12_000, 30_000];
/** A server that says it cannot just now is asked again so soon, however often: it answers the moment it can. */
const UNAVAILABLE_MS = 1000;
/** A server in which something is wrong is asked again so often by itself; after that it takes a person. */
const MOST_FAILURES = 4;

/** A revision on its way, or sent and not answered, with what it was made on and out of. */
interface Pending extends Revision {
  readonly parent: Survey;
  readonly sent: Survey;
}

interface Step {
  changes: Change[];
  at: number;
}

/**
 * One survey being worked on. Edits show at once; they are sent as revisions a moment later, one at a time, and merged
 * with what others saved meanwhile. Everything unsaved is handed to `keep` before it is sent.
 */
export class SurveyStore {
  private state: SurveyState;
  private readonly listeners = new Set<() => void>();
  private undoSteps: Step[] = [];
  private redoSteps: Step[] = [];
  private sending = false;
  /** When the next send is due, and which timer is to make it: a sooner one takes the place of a later. */
  private dueAt = Infinity;
  private timer = 0;
  private failures = 0;
  private closed = false;
  /** What has been sent and not been answered. Until it is, nothing newer goes: its own changes would come back as somebody else's. */
  private pending: Pending | null = null;

  constructor(
    head: Head,
    private readonly links: Links,
  ) {
    this.state = {
      survey: head.survey,
      saveState: 'saved',
      head,
      conflicts: [],
      faults: [],
      canUndo: false,
      canRedo: false,
      notKept: false,
    };
  }

  readonly get = (): SurveyState => this.state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  close(): void {
    this.closed = true;
  }

  /** Sets one field; undefined makes it not known. A part or list the field belongs in is made where there is none. */
  set<const P extends Place>(at: P, to: ValueAt<P> | undefined): void {
    this.setAll(setting(at, to));
  }

  /** Sets several fields as one step of undo. */
  setAll(...settings: readonly Setting[]): void {
    this.edit(settings.reduce((survey, { path, value }) => withField(survey, path, value), this.state.survey));
  }

  /** Sets a field of a member of a list, which is added where it is not there yet. */
  setMember(list: Place, id: string, field: string, value: Value | undefined): void {
    const member = [...list, id];
    const isThere = valueAt(asValue(this.state.survey), member) !== undefined;
    if (isThere) this.setAll({ path: [...member, field], value });
    else if (value !== undefined) this.setAll({ path: member, value: { id, [field]: value } });
  }

  /** Makes the survey what it should become, as one step of undo. */
  edit(next: Survey): void {
    const changes = diff(asValue(this.state.survey), asValue(next));
    if (changes.length === 0) return;
    const last = this.undoSteps.at(-1);
    const now = Date.now();
    if (last && now - last.at < SAME_TYPING_MS && sameField(last.changes, changes)) {
      last.changes = [...last.changes, ...changes];
      last.at = now;
    } else this.undoSteps.push({ changes, at: now });
    this.redoSteps = [];
    this.changed(next);
  }

  undo(): void {
    const step = this.undoSteps.pop();
    if (!step) return;
    this.redoSteps.push({ changes: step.changes, at: 0 });
    this.changed(this.with(inverse(step.changes)));
  }

  redo(): void {
    const step = this.redoSteps.pop();
    if (!step) return;
    this.undoSteps.push({ changes: step.changes, at: 0 });
    this.changed(this.with(step.changes));
  }

  /** Takes up typing left behind by an earlier visit: what no longer fits is asked about, once what was sent before has been answered. */
  adopt({ base, document, conflicts, pending }: Unsaved): void {
    this.state = { ...this.state, conflicts: [...this.state.conflicts, ...conflicts] };
    if (pending && !this.pending) {
      const sent = asSurvey(apply(asValue(base), pending.changes).document);
      this.pending = { ...pending, parent: base, sent };
      // Shown as it was left; whether it has arrived decides what there is to ask.
      this.state = { ...this.state, survey: document };
      this.tell();
      this.soon(0);
      return;
    }
    this.rebase(this.state.head, diff(asValue(base), asValue(document)));
    if (this.unsaved().length > 0) this.soon(0);
  }

  /** Sends what is typed before this returns: the page may be about to go, and no timer of it runs any more. */
  flush(): void {
    if (this.sending || !this.hasMore()) return;
    this.timer += 1;
    this.dueAt = Infinity;
    void this.send();
  }

  /** Whether this browser keeps what is typed. */
  kept(is: boolean): void {
    if (this.state.notKept === !is) return;
    this.state = { ...this.state, notKept: !is };
    for (const listener of this.listeners) listener();
  }

  /** What the server holds now, as seen by looking rather than saving. */
  seen(head: Head): void {
    if (head.seq <= this.state.head.seq || this.sending || this.pending) return;
    this.rebase(head, this.unsaved());
    this.tell();
  }

  /** Settles a conflict: mine goes in as a fresh edit, theirs stands as it is. */
  settle(conflict: Conflict, keepMine: boolean): void {
    const conflicts = this.state.conflicts.filter((each) => each !== conflict);
    this.state = { ...this.state, conflicts };
    if (keepMine && conflict.change.kind === 'set') {
      const { path, to } = conflict.change;
      this.setAll({ path, value: to });
    }
    this.tell();
  }

  /** Tries again now: a connection came back, or somebody signed in. */
  retry(): void {
    this.failures = 0;
    if (this.hasMore()) this.soon(0);
  }

  /** The server answered something else just now: what it refused for want of an answer or a person may go through. */
  retryIfStuck(): void {
    if (['offline', 'unavailable', 'signed-out'].includes(this.state.saveState)) this.retry();
  }

  private hasMore(): boolean {
    return this.pending !== null || this.unsaved().length > 0;
  }

  private with(changes: readonly Change[]): Survey {
    return asSurvey(apply(asValue(this.state.survey), changes).document);
  }

  private changed(survey: Survey): void {
    this.state = { ...this.state, survey, faults: [], saveState: this.sending ? 'saving' : 'waiting' };
    if (this.unsaved().length === 0 && !this.sending) this.state = { ...this.state, saveState: 'saved' };
    this.tell();
    this.soon(PAUSE_MS);
  }

  private tell(): void {
    const { head, survey, conflicts } = this.state;
    const { pending } = this;
    const unsaved = pending !== null || conflicts.length > 0 || !same(asValue(head.survey), asValue(survey));
    this.links.keep(
      unsaved
        ? {
            base: pending?.parent ?? head.survey,
            document: survey,
            conflicts,
            ...(pending ? { pending: plain(pending) } : {}),
          }
        : null,
    );
    this.state = {
      ...this.state,
      canUndo: this.undoSteps.length > 0,
      canRedo: this.redoSteps.length > 0,
    };
    for (const listener of this.listeners) listener();
  }

  private unsaved(): Change[] {
    return diff(asValue(this.state.head.survey), asValue(this.state.survey));
  }

  private soon(milliseconds: number): void {
    const at = Date.now() + milliseconds;
    if (at >= this.dueAt) return;
    this.dueAt = at;
    const timer = (this.timer += 1);
    this.links.later(milliseconds, () => {
      if (timer !== this.timer) return;
      this.dueAt = Infinity;
      void this.send();
    });
  }

  private async send(): Promise<void> {
    if (this.sending || this.closed) return;
    const pending = this.pending ?? this.next();
    if (pending === null) {
      this.state = { ...this.state, saveState: 'saved' };
      this.tell();
      return;
    }
    this.pending = pending;
    this.sending = true;
    this.state = { ...this.state, saveState: 'saving' };
    // Kept with its id before it goes: whatever happens to the page, the same is sent again under the same.
    this.tell();
    const outcome = await this.links.send(plain(pending));
    this.sending = false;
    this.after(outcome, pending);
  }

  /** What is typed and not sent yet, as the revision it will be. */
  private next(): Pending | null {
    const changes = this.unsaved();
    if (changes.length === 0) return null;
    const { head, survey } = this.state;
    return { id: this.links.newId(), parentId: head.revisionId, changes, parent: head.survey, sent: survey };
  }

  private after(outcome: Outcome, pending: Pending): void {
    const { failedUnder: _before, ...state } = this.state;
    this.state = state;
    if (isUnanswered(outcome)) this.unanswered(outcome);
    else if (outcome.kind === 'signed-out') {
      this.state = { ...this.state, saveState: 'signed-out' };
      this.tell();
    } else this.answered(outcome, pending);
  }

  private answered(outcome: Extract<Outcome, { kind: 'saved' | 'conflict' | 'refused' }>, pending: Pending): void {
    this.pending = null;
    this.failures = 0;
    const typedSince = diff(asValue(pending.sent), asValue(this.state.survey));
    if (outcome.kind === 'saved') {
      const { revisionId, seq, survey } = outcome.saved;
      this.rebase({ revisionId, seq, survey: survey ?? pending.sent }, typedSince);
    } else if (outcome.kind === 'conflict')
      this.rebase(outcome.head, diff(asValue(pending.parent), asValue(this.state.survey)));
    else if (typedSince.length === 0) {
      this.state = { ...this.state, saveState: 'refused', faults: outcome.faults };
      this.tell();
      return;
    }
    const left = this.unsaved().length > 0;
    this.state = { ...this.state, saveState: left ? 'waiting' : 'saved' };
    this.tell();
    if (left) this.soon(PAUSE_MS);
  }

  /** Whether it arrived is not known: the same goes again, soon where the server says so and ever later where it says nothing. */
  private unanswered(outcome: Unanswered): void {
    const saveState = outcome.kind === 'no-answer' ? 'offline' : outcome.kind;
    this.state = { ...this.state, saveState, ...(outcome.kind === 'failed' ? { failedUnder: outcome.under } : {}) };
    this.tell();
    this.failures += 1;
    if (outcome.kind === 'failed' && this.failures >= MOST_FAILURES) return;
    const pause = RETRY_MS[Math.min(this.failures, RETRY_MS.length) - 1] ?? PAUSE_MS;
    this.soon(outcome.kind === 'unavailable' ? UNAVAILABLE_MS : pause);
  }

  /** Puts my changes on another head; what does not fit waits for the person, with theirs in its place meanwhile. */
  private rebase(head: Head, mine: readonly Change[]): void {
    const made = apply(asValue(head.survey), mine);
    const found = made.conflicts.map((conflict) => wholeMember(conflict, head.survey, this.state.survey));
    const known = [...this.state.conflicts, ...found];
    const conflicts = known.filter(
      ({ change }, at) => known.findIndex((each) => same([...each.change.path], [...change.path])) === at,
    );
    // What says the same stays the very same: a save changes nothing that is drawn.
    const survey = same(made.document, asValue(this.state.survey)) ? this.state.survey : asSurvey(made.document);
    this.state = { ...this.state, head, survey, conflicts };
    this.tell();
  }
}

const isUnanswered = (outcome: Outcome): outcome is Unanswered =>
  outcome.kind === 'no-answer' || outcome.kind === 'unavailable' || outcome.kind === 'failed';

const plain = ({ id, parentId, changes }: Pending): Revision => ({ id, parentId, changes });
