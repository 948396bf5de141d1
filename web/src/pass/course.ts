import type { QuickPass } from '@keen-gauge/core/quick-pass';
import { questionKey, type Question } from '@keen-gauge/core/questions/question';

/** A card in the pass: its question, and where in the pass it stands. */
export interface Standing {
  readonly key: string;
  readonly question: Question;
  readonly stop: string;
  readonly stopName: string;
  /** Its place within its stop. */
  readonly at: number;
}

/** Every card of the pass in its order. */
export function cardsOf({ stops }: QuickPass): Standing[] {
  return stops.flatMap(({ id, name, questions }) =>
    questions.map((question, at) => ({ key: cardKey(question), question, stop: id, stopName: name, at })),
  );
}

/**
 * A check may want a figure first and a look afterwards, under one question: a card each, since the first digit of the figure would take the keys away
 * from the others.
 */
function cardKey(question: Question): string {
  return question.check === undefined ? questionKey(question) : `${questionKey(question)} ${question.field}`;
}

/**
 * The card after one: the next at the same standing place, then at those after it, then what is left before it. An answer takes its card away and
 * may bring others: what has come into the answered card’s place is next. What was passed by in this round does not come again; null where nothing is left.
 */
export function cardAfter(pass: QuickPass, from: Standing | null, passed: ReadonlySet<string>): Standing | null {
  const cards = cardsOf(pass).filter(({ key }) => !passed.has(key) && key !== from?.key);
  if (from === null) return cards[0] ?? null;
  const rank = (stop: string): number => pass.order.indexOf(stop);
  const here = rank(from.stop);
  const ahead = cards.find(({ stop, at }) => (stop === from.stop ? at >= from.at : rank(stop) > here));
  return ahead ?? cards[0] ?? null;
}
