import { questionKey, type Question } from '@keen-gauge/core/questions/question';

/** What is remembered from one edit to the next to say what an edit opened. */
export interface OpenedSoFar {
  readonly station: string;
  readonly questions: readonly Question[];
  /** Opened elsewhere by edits at this station, and still open. */
  readonly opened: readonly Question[];
}

/**
 * What edits at one station opened at others. A question that was open when the station was come to is no news, and one that is
 * closed again is gone; going to another station starts afresh.
 */
export function openedBy(before: OpenedSoFar, station: string, questions: readonly Question[]): OpenedSoFar {
  if (station !== before.station) return { station, questions, opened: [] };
  const known = new Set(before.questions.map(questionKey));
  const now = new Set(questions.map(questionKey));
  const fresh = questions.filter(
    (each) => each.taken === undefined && each.station !== station && !known.has(questionKey(each)),
  );
  return { station, questions, opened: [...before.opened.filter((each) => now.has(questionKey(each))), ...fresh] };
}
