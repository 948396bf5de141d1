/** Generic items, named once: the lines of a survey and the starter list agree by these ids. */
import type { CableType, Curve } from '../survey/words/words';

/** Cables that have a run of their own to buy. */
export type RunCable = Extract<CableType, 'flat-twin' | 'armoured'>;

const size = (mm2: number): string => String(mm2).replace('.', '-');

/** A cable by the metre. Flat twin is named by its size, armoured by its conductors too. */
export function cableItem(type: RunCable, cores: number, sizeMm2: number): string {
  return type === 'flat-twin' ? `cable-flat-${size(sizeMm2)}` : `cable-armoured-${cores}c-${size(sizeMm2)}`;
}

/** What that cable is called. */
export function cableWords(type: RunCable, cores: number, sizeMm2: number): string {
  return type === 'flat-twin' ? `Flat twin and earth, ${sizeMm2} mm²` : `Armoured cable, ${cores}-core ${sizeMm2} mm²`;
}

/** A clip or cleat for a cable. */
export function fixingItem(type: RunCable, sizeMm2: number): string {
  return `${type === 'flat-twin' ? 'clip' : 'cleat'}-${size(sizeMm2)}`;
}

export function glandItem(gland: string): string {
  return `gland-${gland}`;
}

/** A circuit’s device: an RCBO where its RCD stands at the board, of three poles where it feeds three phases. */
export function deviceItem(curve: Curve, ratingA: number, poles: 1 | 3, rcd: string | null): string {
  const kind = rcd === null ? 'mcb' : `rcbo-${rcd.toLowerCase()}`;
  return `${kind}-${curve.toLowerCase()}-${ratingA}${poles === 3 ? '-3p' : ''}`;
}

export function deviceWords(curve: Curve, ratingA: number, poles: 1 | 3, rcd: string | null): string {
  return `${rcd === null ? 'MCB' : `RCBO type ${rcd}, 30 mA,`} ${curve}${ratingA}${poles === 3 ? ', three-pole' : ''}`;
}

/** Equipment of the firm’s list. */
export function equipmentItem(profileId: string): string {
  return `equipment-${profileId}`.slice(0, 64);
}

/** Items that need no size, by id. */
export const PLAIN_ITEMS = {
  'clamp-ct': 'Clamp (CT) with lead',
  'clamp-wireless': 'Wireless sender for a clamp',
  'data-cable': 'Data cable, outdoor',
  'data-plug': 'Data plug',
  'duct-50': 'Duct, 50 mm',
  'warning-tape': 'Warning tape for a trench',
  'trunking-25': 'Trunking, 25 mm',
  'conduit-25': 'Conduit, 25 mm',
  'tray-75': 'Tray, 75 mm',
  transition: 'Bush or seal between two installation methods',
  'wall-seal': 'Sleeve and seal for a drilled wall',
  'board-small': 'Small board with main switch',
  'board-10-way': 'Board, 10-way, with main switch',
  'board-outdoor': 'Outdoor board with main switch',
  'split-block': 'Split block, pair',
  'tails-25': 'Tail, 25 mm²',
  'isolator-100': 'Isolator, 100 A, double-pole',
  'switch-fuse': 'Switch-fuse',
  'rcd-100-s': 'RCD, 100 A, time-delayed',
  'surge-device': 'Surge protection device',
  'open-pen-device': 'Open-PEN protection device',
  'electrode-rod': 'Earth electrode, rod with clamp and pit',
  'earth-conductor-10': 'Earthing conductor, 10 mm²',
  'earth-conductor-16': 'Earthing conductor, 16 mm²',
  'bonding-clamp': 'Bonding clamp with label',
  'labels-set': 'Set of labels and notices',
  'fixings-set': 'Set of fixings for the equipment',
  post: 'Post or pedestal for equipment',
  'rcd-4p-63-b': 'RCD type B, 63 A, four-pole',
  'tap-box': 'Tap-off box of a trunk',
  'lock-kit': 'Lock or card reader for equipment',
  'energy-meter': 'Energy meter for billing',
  'own-sim-router': 'Mobile router for equipment',
} as const satisfies Readonly<Record<string, string>>;
export type PlainItem = keyof typeof PLAIN_ITEMS;
