import type { EquipmentProfile } from '@keen-gauge/core/firm/equipment';
import type { FirmChecklists } from '@keen-gauge/core/firm/checklists';
import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import type { HouseRules, OperatorRules } from '@keen-gauge/core/firm/operator-rules';
import type { FirmTerms } from '@keen-gauge/core/firm/option-terms';
import useSWR from 'swr';
import { call, fetcher } from './client';

/** The firm's own kinds of charging equipment. */
export function useEquipment() {
  return useSWR<{ profiles: EquipmentProfile[] }, Error>('/firm/equipment', fetcher);
}

export const putEquipment = ({ id, ...profile }: EquipmentProfile): Promise<{ profiles: EquipmentProfile[] }> =>
  call('POST', `/firm/equipment/${id}`, profile);

/** What options cost the firm and how long they take; what it has not set is the rules’. */
export function useFirmTerms() {
  return useSWR<{ terms: FirmTerms }, Error>('/firm/terms', fetcher);
}

export const putFirmTerms = (terms: FirmTerms): Promise<{ terms: FirmTerms }> => call('POST', '/firm/terms', terms);

/** House rules, and the firm's own packs; both answer with every rule the firm works to now. */
export const putHouseRules = (house: HouseRules): Promise<{ rules: FirmRules }> =>
  call('POST', '/firm/rules/house', house);
export const putChecklists = (checklists: FirmChecklists): Promise<{ rules: FirmRules }> =>
  call('POST', '/firm/checklists', checklists);
export const putOperatorRules = ({ id, ...pack }: OperatorRules): Promise<{ rules: FirmRules }> =>
  call('POST', `/firm/rules/own/${id}`, pack);

export function useRulesVersions(id: string) {
  return useSWR<{ versions: { rules: OperatorRules; madeBy: string; madeAt: string }[] }, Error>(
    `/firm/rules/own/${id}/versions`,
    fetcher,
  );
}
