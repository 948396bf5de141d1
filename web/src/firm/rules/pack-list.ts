import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { toRulePack } from '@keen-gauge/core/firm/operator-pack';
import { RULE_PACKS } from '@keen-gauge/core/rules/catalogue';
import type { RulePack } from '@keen-gauge/core/rules/rule-pack';

/** Every pack there is to choose from: those that ship and the firm's own, without those it offers no more and that hold nowhere. */
export function packList({ packs, house }: FirmRules): RulePack[] {
  const held = new Set([house.defaultPackId, ...house.areas.map(({ packId }) => packId)]);
  return [...RULE_PACKS, ...packs.filter(({ id, retired }) => !retired || held.has(id)).map(toRulePack)];
}

export const packOptions = (rules: FirmRules): { readonly value: string; readonly label: string }[] =>
  packList(rules).map(({ id, title }) => ({ value: id, label: title }));
