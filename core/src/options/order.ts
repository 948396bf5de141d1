import { HAIR } from '../rules/rounding';
import { COST_BANDS, type Priority } from '../survey/words/option-words';
import type { Option } from './option';

/** Under this a night hardly fills a battery, in kW: put behind what charges faster until the customer says what matters. */
const SLOW_KW = 3.6;

/** Those that hold before those not known before those that do not; then by wait, cost or charging power, least work last. */
export function inOrder(found: readonly Option[], priority: Priority | undefined): Option[] {
  return [...found].sort((a, b) => rank(a, priority) - rank(b, priority));
}

function rank(option: Option, priority: Priority | undefined): number {
  const state = option.holds === true ? 0 : option.holds === null ? 10000 : 20000;
  const wait = option.waitWeeks[1];
  const cost = COST_BANDS.indexOf(option.costBand);
  const slow = 50 - (option.charging?.powerKw ?? 0);
  const short = option.charging?.enough === false ? 2000 : 0;
  // Of two alike, one change rather than two.
  const more = option.also === undefined ? 0 : 0.5;
  if (priority === 'cheapest') return state + short + cost * 60 + wait + more;
  if (priority === 'fastest-charging') return state + slow * 6 + wait / 10 + cost + more;
  const dull = priority === undefined && (option.charging?.powerKw ?? 0) < SLOW_KW ? 20 : 0;
  return state + short + dull + wait * 4 + cost + slow / 50 + more;
}

const BY: Readonly<Record<Priority, { readonly words: string; readonly better: (a: Option, b: Option) => boolean }>> = {
  soonest: { words: 'the shortest wait', better: (a, b) => a.waitWeeks[1] < b.waitWeeks[1] },
  cheapest: {
    words: 'the lowest cost',
    better: (a, b) => COST_BANDS.indexOf(a.costBand) < COST_BANDS.indexOf(b.costBand),
  },
  'fastest-charging': {
    words: 'the fastest charging',
    better: (a, b) => (a.charging?.powerKw ?? 0) > (b.charging?.powerKw ?? 0) + HAIR,
  },
};

/** Why the first is first, in a sentence that is true of it: what it is ahead of the others in, and what it is not. */
export function whyFirst(found: readonly Option[], priority: Priority | undefined): string {
  const [first, ...others] = found;
  if (!first) return '';
  if (first.holds !== true)
    return first.holds === null
      ? 'None of them is shown to hold yet; nothing that is known stands in the way of the first.'
      : 'None of them holds as things stand.';
  const holding = others.filter(({ holds }) => holds === true);
  const title = `“${first.title}”`;
  if (holding.length === 0) return `${title} is first because it alone holds at every node.`;
  if (priority !== undefined) {
    const { words, better } = BY[priority];
    const ahead = holding.filter((each) => better(each, first));
    if (ahead.length === 0)
      return `${title} is first because none that holds at every node has ${aheadWords(priority)}.`;
    return `${title} is first of those that charge enough in the time there is; ${ahead[0]?.title ?? ''} has ${words} and does not.`;
  }
  const { charging, waitWeeks } = first;
  const rate = !charging
    ? ''
    : charging.powerKw < SLOW_KW
      ? `, though slowly, at ${charging.powerKw.toFixed(1)} kW`
      : ` at ${charging.powerKw.toFixed(1)} kW`;
  const wait =
    waitWeeks[1] === 0 ? 'without a wait' : `after up to ${waitWeeks[1]} week${waitWeeks[1] === 1 ? '' : 's'}`;
  return `“${first.title}” is first: it holds at every node and ${charging ? `charges${rate}, ` : 'is there '}${wait}; say what matters most to change the order.`;
}

function aheadWords(priority: Priority): string {
  return { soonest: 'a shorter wait', cheapest: 'a lower cost', 'fastest-charging': 'faster charging' }[priority];
}
