import type { BaySupply } from '@keen-gauge/core/survey/words/site-words';

export const SUPPLY_WORDS: Readonly<Record<BaySupply, string>> = {
  own: 'Its own supply',
  landlord: 'The landlord’s',
  new: 'A new supply',
};

/** Whole pounds, thousands apart. @example poundsWords(12400) // '£12,400' */
export function poundsWords(pounds: number): string {
  return `£${String(Math.round(pounds)).replace(/\B(?=(\d{3})+$)/g, ',')}`;
}

/** From so many weeks to so many. @example weeksWords([2, 12]) // '2 to 12 weeks' */
export function weeksWords([from, to]: readonly [number, number]): string {
  if (to === 0) return 'at once';
  return from === to ? `${to} week${to === 1 ? '' : 's'}` : `${from} to ${to} weeks`;
}
