/** What an operator may answer. */
export const ANSWERS_OF_OPERATOR = ['accepted', 'accepted-if', 'asks-for-more', 'un-loop-first', 'refused'] as const;
export type AnswerOfOperator = (typeof ANSWERS_OF_OPERATOR)[number];

export const OPERATOR_ANSWER_NAMES: Readonly<Record<AnswerOfOperator, string>> = {
  accepted: 'Accepted',
  'accepted-if': 'Accepted on a condition',
  'asks-for-more': 'Asks for more',
  'un-loop-first': 'Un-loop first',
  refused: 'Refused',
};
