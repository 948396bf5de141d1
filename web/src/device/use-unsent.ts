import useSWR from 'swr';
import { unsent, type Unsent } from './unsent';

/** What is on this device and not with the server, looked at every few seconds; undefined until it has been. */
export function useUnsent(personId: string): readonly Unsent[] | undefined {
  return useSWR<readonly Unsent[]>(['unsent', personId], () => unsent(personId), { refreshInterval: 3000 }).data;
}
