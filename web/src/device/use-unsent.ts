import useSWR from 'swr';
import { unsent, type Unsent } from './unsent';

const NONE: readonly Unsent[] = [];

/** What is on this device and not with the server, looked at every few seconds. */
export function useUnsent(personId: string): readonly Unsent[] {
  const { data } = useSWR<readonly Unsent[]>(['unsent', personId], () => unsent(personId), { refreshInterval: 3000 });
  return data ?? NONE;
}
