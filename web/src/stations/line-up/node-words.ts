import type { BoardPlace, CableType, DeviceType, Enclosure, Laid } from '@keen-gauge/core/survey/words/words';

export const CABLE_WORDS: Readonly<Record<CableType, string>> = {
  tails: 'Tails, sheathed singles',
  'flat-twin': 'Flat twin',
  armoured: 'Armoured',
  'split-concentric': 'Split concentric',
  other: 'Another kind',
};

export const LAID_WORDS: Readonly<Record<Laid, string>> = {
  clipped: 'Clipped direct',
  enclosed: 'In trunking or conduit',
  'insulated-wall': 'In an insulated wall',
  buried: 'In the ground or a duct',
};

export const ENCLOSURE_WORDS: Readonly<Record<Enclosure, string>> = {
  metal: 'Metal',
  plastic: 'Plastic',
  other: 'Another',
};

export const PLACE_WORDS: Readonly<Record<BoardPlace, string>> = {
  indoors: 'Indoors',
  'under-stairs': 'Under the stairs',
  'garage-or-shed': 'Garage or shed',
  outdoors: 'Outdoors',
};

export const DEVICE_WORDS: Readonly<Record<DeviceType, string>> = {
  mcb: 'Circuit-breaker',
  rcbo: 'Circuit-breaker with RCD',
  'cartridge-fuse': 'Cartridge fuse',
  'rewirable-fuse': 'Rewirable fuse',
  other: 'Another kind',
};

/** Words of a closed list as options to choose from. */
export const worded = <V extends string>(values: readonly V[], words: Readonly<Record<V, string>>) =>
  values.map((value) => ({ value, label: words[value] }));
