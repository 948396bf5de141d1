import { leastShown } from '../rules/rounding';
import { replacementsOf, type Replacement } from './replacement';
import type { RouteFacts, Trigger } from './trigger';
import { triggersOf } from './triggers';
import { ROUTE_WORDS, type RouteWay } from './ways';

/** The words where the operator need not be asked, and something of the firm's own work stands in the way all the same. */
export const SETTLE_WORDS = 'Not yet: settle first';

/** The way to the network operator, every reason for it, and what would change it. */
export interface Route {
  readonly way: RouteWay;
  readonly words: string;
  /** Whether the operator has a reason to be asked first; without one, what stands in the way is the firm's own work. */
  readonly operatorFirst: boolean;
  readonly triggers: readonly Trigger[];
  /** What the new equipment takes the place of: the notice or application says so. */
  readonly replaces: readonly Replacement[];
  /** The one change that would move the route, or how many there are to make. */
  readonly wouldMove: string;
}

/** The strictest of what the triggers ask for. */
export function routeOf(facts: RouteFacts): Route {
  const triggers = triggersOf(facts);
  const way = strictest(triggers);
  const operatorFirst = triggers.some(({ ownWork }) => !ownWork);
  const words = way === 'ask-then-fit' && !operatorFirst ? SETTLE_WORDS : ROUTE_WORDS[way];
  const replaces = replacementsOf(facts.survey, facts.rules);
  return { way, words, operatorFirst, triggers, replaces, wouldMove: wouldMove(way, triggers) };
}

function strictest(triggers: readonly Trigger[]): RouteWay {
  if (triggers.some(({ leadsTo }) => leadsTo === 'hold')) return 'hold';
  return triggers.length > 0 ? 'ask-then-fit' : 'fit-then-notify';
}

/**
 * One trigger at the route's own level: lifting it moves the route. Several that the same thing would lift: so much of it does. Otherwise
 * no single change does.
 */
function wouldMove(way: RouteWay, triggers: readonly Trigger[]): string {
  if (way === 'fit-then-notify') return 'Any one trigger would turn this into asking first.';
  const standing = triggers.filter(({ leadsTo }) => leadsTo === way);
  const [first, ...others] = standing;
  if (first && others.length === 0) return `One change would move it: ${first.clearedBy}.`;
  const lever = first?.lever;
  if (lever !== undefined && others.every((each) => each.lever === lever))
    return `One change would move it: ${togetherBy(lever, standing)}.`;
  return `No single change moves it: ${standing.length} reasons stand.`;
}

function togetherBy(lever: NonNullable<Trigger['lever']>, standing: readonly Trigger[]): string {
  switch (lever) {
    case 'demand':
      return `at least ${leastShown(Math.max(...standing.map(({ lessA = 0 }) => lessA)))} A less demand, which lifts ${standing.length} reasons`;
    case 'equipment':
      return `other equipment that is all of this: ${standing.map(({ clearedBy }) => clearedBy).join('; ')}`;
    case 'record':
      return 'the operator’s record of both the loop and the fuse, where it says neither stands in the way';
  }
}
