import type { EquipmentProfile } from '@keen-gauge/core/firm/equipment';
import type { FirmTerms } from '@keen-gauge/core/firm/option-terms';
import useSWR from 'swr';
import { call, fetcher } from './client';

/** The firm's own kinds of charging equipment. */
export function useEquipment() {
  return useSWR<{ profiles: EquipmentProfile[] }, Error>('/firm/equipment', fetcher);
}

export const putEquipment = ({ id, ...profile }: EquipmentProfile): Promise<{ profiles: EquipmentProfile[] }> =>
  call('POST', `/firm/equipment/${id}`, profile);

/** What options cost the firm and how long they take; what it has not set is the rule pack's. */
export function useFirmTerms() {
  return useSWR<{ terms: FirmTerms }, Error>('/firm/terms', fetcher);
}

export const putFirmTerms = (terms: FirmTerms): Promise<{ terms: FirmTerms }> => call('POST', '/firm/terms', terms);
