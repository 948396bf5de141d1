import { gbDefault } from './gb-default';
import type { Rules } from './rules';

/** The usual rules under a house rule: ask the operator first, whatever the arithmetic says. */
const gbAlwaysAsk: Rules = {
  ...gbDefault,
  id: 'gb-always-ask',
  title: 'Great Britain, house rule: always ask first',
  source: 'house rule of firms that want the operator’s word before every fitting',
  alwaysAsk: true,
};

/** An operator that holds the figure a limiter guarantees, rather than the unmanaged one, against its threshold. */
const gbManagedFigure: Rules = {
  ...gbDefault,
  id: 'gb-managed-figure',
  title: 'Great Britain, operator that judges the managed demand',
  source: 'operators whose terms take the figure a limiter guarantees',
  triggerDemand: 'managed',
};

/** An operator that does not accept load limiting in place of a larger fuse. */
const gbNoLimiting: Rules = {
  ...gbDefault,
  id: 'gb-no-limiting',
  title: 'Great Britain, operator that does not accept limiting',
  source: 'operators whose terms take no limiting in place of a larger fuse',
  acceptsLimiting: false,
};

/** Every set of rules that ships, the default first. */
export const RULE_SETS: readonly Rules[] = [gbDefault, gbAlwaysAsk, gbManagedFigure, gbNoLimiting];

/** The rules of that id, or undefined when there is none. */
export function ruleSet(id: string): Rules | undefined {
  return RULE_SETS.find((rules) => rules.id === id);
}
