import type { PutOff } from '../survey/put-off';
import { questionKey, type Question } from './question';

/**
 * Open questions with what was passed over on site marked so, and asked of whoever was named instead. Being passed over answers nothing: the
 * question stays open and what stands on it stays not known.
 */
export function withPutOff(questions: readonly Question[], putOff: readonly PutOff[] | undefined): readonly Question[] {
  if (putOff === undefined || putOff.length === 0) return questions;
  const last = new Map(putOff.map(({ question = '', subjectId, to }) => [keyOf(question, subjectId), to]));
  return questions.map((question) => {
    const to = last.get(questionKey(question));
    if (to === undefined) return question;
    return { ...question, putOff: to, askOf: to === 'not-seen' ? question.askOf : to };
  });
}

const keyOf = (question: string, subjectId: string | undefined): string =>
  subjectId === undefined ? question : `${question} ${subjectId}`;

/** The survey's list with a question passed over to somebody, or with null taken up again. */
export function puttingOff(
  { putOff = [] }: { readonly putOff?: readonly PutOff[] | undefined },
  question: Question,
  entry: Omit<PutOff, 'question' | 'subjectId'> | null,
): PutOff[] {
  const others = putOff.filter(({ question: id = '', subjectId }) => keyOf(id, subjectId) !== questionKey(question));
  if (entry === null) return others;
  const { id, subjectId } = question;
  return [...others, { ...entry, question: id, ...(subjectId === undefined ? {} : { subjectId }) }];
}
