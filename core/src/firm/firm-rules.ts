import { meterPoint } from '../route/meter-point';
import { rulePack } from '../rules/catalogue';
import { gbDefault } from '../rules/gb-default';
import type { RulePack } from '../rules/rule-pack';
import type { FirmChecklists } from './checklists';
import { withFirmTerms, type FirmTerms } from './option-terms';
import { toRulePack, type HouseRules, type OperatorPack } from './operator-pack';

/** Every rule a firm works to: house rules, its own packs, and what options cost it. */
export interface FirmRules {
  readonly house: HouseRules;
  readonly packs: readonly OperatorPack[];
  readonly terms: FirmTerms;
  readonly checklists: FirmChecklists;
}

/** The rules a survey is judged by: its area's where one is set, the firm's default otherwise, under the house rules. */
export function rulesFor(typedMeterPoint: string | undefined, { house, packs, terms }: FirmRules): RulePack {
  const number = meterPoint(typedMeterPoint);
  const area = number.state === 'good' ? house.areas.find(({ area }) => area === number.distributor) : undefined;
  const found = packOf(area?.packId ?? house.defaultPackId, packs) ?? packOf(house.defaultPackId, packs) ?? gbDefault;
  const pack = withFirmTerms(found, terms);
  return house.alwaysAsk && !pack.alwaysAsk ? { ...pack, alwaysAsk: true } : pack;
}

/** A pack by its id, the firm's own or one that ships. */
export function packOf(id: string, own: readonly OperatorPack[]): RulePack | undefined {
  const mine = own.find((each) => each.id === id);
  return mine ? toRulePack(mine) : rulePack(id);
}
