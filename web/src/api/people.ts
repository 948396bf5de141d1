import useSWR from 'swr';
import { fetcher } from './client';

/** Somebody of the firm, as others see them. */
export interface Colleague {
  readonly id: string;
  readonly name: string;
  readonly role: 'surveyor' | 'office' | 'supervisor';
}

export function usePeople() {
  return useSWR<{ people: readonly Colleague[] }, Error>('/people', fetcher);
}
