import type { FieldPath } from '../survey/schema/field-path';
import { VERDICT_NAMES, type VerdictId } from './verdict-ids';

/** One thing a verdict rests on. */
export interface Ground {
  readonly id: string;
  /** What is so, what is wrong, or what is not known, as a sentence without its stop. */
  readonly says: string;
  readonly state: 'met' | 'failed' | 'open';
  /** Met only because something usual is taken that nobody has confirmed. */
  readonly assumed?: string;
  /** The finding or question behind it, where it is not met. */
  readonly findingId?: string;
  readonly subjectId?: string;
  readonly field?: FieldPath;
}

/** A judgement and everything it rests on: no with one ground failed, not known with one open, yes only with all of them met. */
export interface Verdict {
  readonly id: VerdictId;
  readonly name: string;
  readonly answer: boolean | null;
  /** The ground that decides it, in a sentence. */
  readonly why: string;
  /** Yes, but resting on something assumed. */
  readonly assumed: boolean;
  readonly grounds: readonly Ground[];
}

/** The verdict a list of grounds comes to. Without a ground it is not known: nothing is yes for want of anybody asking. */
export function verdictOf(id: VerdictId, grounds: readonly Ground[], metWhy?: string): Verdict {
  const failed = grounds.find(({ state }) => state === 'failed');
  const open = grounds.find(({ state }) => state === 'open');
  const answer = failed ? false : open || grounds.length === 0 ? null : true;
  const decides = failed ?? open ?? grounds[0];
  const why = answer === true && metWhy !== undefined ? metWhy : sentence(decides?.says ?? 'nothing is recorded');
  const assumed = answer === true && grounds.some((each) => each.assumed !== undefined);
  return { id, name: VERDICT_NAMES[id], answer, why, assumed, grounds };
}

function sentence(words: string): string {
  const text = words.replace(/[.]$/, '');
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}${text.endsWith('?') ? '' : '.'}`;
}

/** The words for what a verdict answers, the same everywhere. */
export function answerWords(answer: boolean | null): 'OK' | 'Fails' | 'Not known yet' {
  return answer === null ? 'Not known yet' : answer ? 'OK' : 'Fails';
}
