import useSWR, { type SWRConfiguration, type SWRResponse } from 'swr';
import { fetcher } from './client';

/**
 * What an address answers, asked again by itself as often as the latest answer calls for: `every` gives the milliseconds, 0 for no more. A number is
 * handed on and not a function, for that is looked at only when an answer comes: what begins to change later would not be asked for again.
 */
export function usePolled<T>(
  address: string,
  every: (latest: T) => number,
  config: SWRConfiguration<T, Error> = {},
): SWRResponse<T, Error> {
  const found = useSWR<T, Error>(address, fetcher, config);
  const refreshInterval = found.data === undefined ? 0 : every(found.data);
  useSWR<T, Error>(refreshInterval > 0 ? address : null, fetcher, {
    ...config,
    refreshInterval,
    revalidateOnMount: false,
  });
  return found;
}
