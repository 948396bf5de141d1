import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { toRules } from '@keen-gauge/core/firm/operator-rules';
import { RULE_SETS } from '@keen-gauge/core/rules/catalogue';
import type { Rules } from '@keen-gauge/core/rules/rules';

/** Every set of rules there is to choose from: those that ship and the firm's own, without those it offers no more and that hold nowhere. */
export function ruleSetList({ own, house }: FirmRules): Rules[] {
  const held = new Set([house.defaultRulesId, ...house.areas.map(({ rulesId }) => rulesId)]);
  return [...RULE_SETS, ...own.filter(({ id, retired }) => !retired || held.has(id)).map(toRules)];
}

export const rulesOptions = (rules: FirmRules): { readonly value: string; readonly label: string }[] =>
  ruleSetList(rules).map(({ id, title }) => ({ value: id, label: title }));
