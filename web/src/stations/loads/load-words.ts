import type { Load } from '@keen-gauge/core/survey/load';

/** A load's size as entered, in a few words. */
export function sizeWords(load: Load): string {
  const size =
    load.powerW !== undefined
      ? `${load.powerW.toLocaleString('en-GB').replaceAll(',', '\u202f')} W`
      : load.currentA !== undefined
        ? `${load.currentA} A`
        : load.apparentVA !== undefined
          ? `${load.apparentVA.toLocaleString('en-GB').replaceAll(',', '\u202f')} VA`
          : 'size not known';
  return load.quantity !== undefined && load.quantity !== 1 ? `${load.quantity} × ${size}` : size;
}

/** The three ways a size can be given, with their units. */
export const SIZES = [
  { key: 'powerW', label: 'W', most: 1_000_000 },
  { key: 'currentA', label: 'A', most: 3000 },
  { key: 'apparentVA', label: 'VA', most: 1_000_000 },
] as const;
export type SizeKey = (typeof SIZES)[number]['key'];

/** The way this load's size is given; amperes for a socket circuit, watts for the rest, until something is entered. */
export function sizeKey(load: Load): SizeKey {
  return (
    SIZES.find(({ key }) => load[key] !== undefined)?.key ?? (load.class === 'socket-circuit' ? 'currentA' : 'powerW')
  );
}
