import useSWR from 'swr';
import { call, fetcher } from './client';

export interface Instrument {
  readonly id: string;
  readonly name: string;
  readonly serial: string;
  readonly calibrationDue: string | null;
  readonly retired: boolean;
}

/** How a reading names an instrument. */
export const instrumentName = ({ name, serial }: Pick<Instrument, 'name' | 'serial'>): string =>
  serial === '' ? name : `${name}, ${serial}`;

export function useInstruments() {
  return useSWR<{ instruments: Instrument[] }, Error>('/instruments', fetcher);
}

export const putInstrument = ({ id, calibrationDue, ...rest }: Instrument): Promise<{ instruments: Instrument[] }> =>
  call('POST', `/instruments/${id}`, { ...rest, ...(calibrationDue === null ? {} : { calibrationDue }) });
