import type { AnswerOfOperator } from '../calendar/operator-answers';
import { ROUTE_WORDS } from './ways';
import { type Route } from './route';

const SAID: Readonly<Record<AnswerOfOperator, string>> = {
  accepted: 'accepted',
  'accepted-if': 'accepted on a condition',
  'asks-for-more': 'more asked for',
  'un-loop-first': 'un-loop first',
  refused: 'refused',
};

/**
 * The route's words once the operator has answered what was sent last. They say what was answered and never more: what the survey says by now
 * may be worse than what was accepted.
 */
export function answeredWords({ words }: Pick<Route, 'words'>, answer: AnswerOfOperator | null): string {
  return answer !== null && words === ROUTE_WORDS['ask-then-fit'] ? `${words}: ${SAID[answer]}` : words;
}
