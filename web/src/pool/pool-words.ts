import type { CarriedSpread } from '@keen-gauge/core/pool/growth';

/** So many cars, and in how wide a range of luck. */
export function carsWords({ least, median, most }: CarriedSpread, bays: number): string {
  const luck = least === most ? '' : ` (${least} to ${most})`;
  return median >= bays ? `a car in every bay, ${bays}${luck}` : `${median} car${median === 1 ? '' : 's'}${luck}`;
}

/** Until when that is enough. */
export function yearWords(year: number | null, last: number): string {
  return year === null ? `enough until ${last} and beyond` : `too few from ${year}`;
}
