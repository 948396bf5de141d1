import type { KindLesson } from '@keen-gauge/core/learning/wins';
import type { MaterialLesson } from '@keen-gauge/core/learning/materials';
import type { TaskLesson } from '@keen-gauge/core/learning/rates';
import type { OrderList } from '@keen-gauge/core/order/order-list';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import type { Schemes } from '@keen-gauge/core/schemes/scheme';
import useSWR from 'swr';
import { call, fetcher } from './client';

/** A firm’s prices as one person sees them: without money where the firm keeps them from their role. */
export interface ShownBook {
  readonly book: PriceBook;
  readonly version: number;
  readonly hidden: boolean;
}

export const usePrices = () => useSWR<ShownBook, Error>('/firm/prices', fetcher);
export const putPrices = (book: PriceBook, version: number): Promise<ShownBook> =>
  call('POST', '/firm/prices', { book, version });

export const useSchemes = () => useSWR<Schemes, Error>('/firm/schemes', fetcher);
export const putSchemes = (schemes: Schemes): Promise<Schemes> => call('POST', '/firm/schemes', schemes);

/** What the firm’s own jobs teach of its rates and quotations. */
export interface Lessons {
  readonly tasks: readonly TaskLesson[];
  readonly materials: readonly MaterialLesson[];
  readonly kinds: readonly KindLesson[];
  readonly finished: number;
}
export const useLessons = () => useSWR<Lessons, Error>('/firm/lessons', (path: string) => call<Lessons>('GET', path));

/** What to buy over these jobs. */
export const askOrder = (jobs: readonly string[]): Promise<OrderList> => call('POST', '/firm/order', { jobs });
