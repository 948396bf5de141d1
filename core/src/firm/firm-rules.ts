import { meterPoint } from '../route/meter-point';
import { ruleSet } from '../rules/catalogue';
import { gbDefault } from '../rules/gb-default';
import type { Rules } from '../rules/rules';
import type { FirmChecklists } from './checklists';
import { withFirmTerms, type FirmTerms } from './option-terms';
import { toRules, type HouseRules, type OperatorRules } from './operator-rules';

/** Every rule a firm works to: house rules, its own sets of rules, and what options cost it. */
export interface FirmRules {
  readonly house: HouseRules;
  readonly own: readonly OperatorRules[];
  readonly terms: FirmTerms;
  readonly checklists: FirmChecklists;
}

/** The rules a survey is judged by: its area's where one is set, the firm's default otherwise, under the house rules. */
export function rulesFor(typedMeterPoint: string | undefined, { house, own, terms }: FirmRules): Rules {
  const number = meterPoint(typedMeterPoint);
  const area = number.state === 'good' ? house.areas.find(({ area }) => area === number.distributor) : undefined;
  const found =
    rulesById(area?.rulesId ?? house.defaultRulesId, own) ?? rulesById(house.defaultRulesId, own) ?? gbDefault;
  const rules = withFirmTerms(found, terms);
  return house.alwaysAsk && !rules.alwaysAsk ? { ...rules, alwaysAsk: true } : rules;
}

/** A set of rules by its id, the firm's own or one that ships. */
export function rulesById(id: string, own: readonly OperatorRules[]): Rules | undefined {
  const mine = own.find((each) => each.id === id);
  return mine ? toRules(mine) : ruleSet(id);
}
