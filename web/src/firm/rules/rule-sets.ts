import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { toRules } from '@keen-gauge/core/firm/operator-rules';
import { RULE_SETS } from '@keen-gauge/core/rules/catalogue';
import type { Rules } from '@keen-gauge/core/rules/rules';

/** Every set of rules there is to choose from: those that ship and the firm's own, without those it offers no more and that hold nowhere. */
export function ruleSetList({ packs, house }: FirmRules): Rules[] {
  const held = new Set([house.defaultPackId, ...house.areas.map(({ packId }) => packId)]);
  return [...RULE_SETS, ...packs.filter(({ id, retired }) => !retired || held.has(id)).map(toRules)];
}

export const packOptions = (rules: FirmRules): { readonly value: string; readonly label: string }[] =>
  ruleSetList(rules).map(({ id, title }) => ({ value: id, label: title }));
