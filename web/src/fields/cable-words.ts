import { CABLE_TYPES, LAID, type CableType, type Laid } from '@keen-gauge/core/survey/words/words';

const CABLE_NAMES: Readonly<Record<CableType, string>> = {
  tails: 'Tails, sheathed singles',
  'flat-twin': 'Flat twin',
  armoured: 'Armoured',
  'split-concentric': 'Split concentric',
  other: 'Another kind',
};

const LAID_NAMES: Readonly<Record<Laid, string>> = {
  clipped: 'Clipped direct',
  enclosed: 'In trunking or conduit',
  'insulated-wall': 'In an insulated wall',
  buried: 'In the ground or a duct',
};

export const CABLE_OPTIONS = CABLE_TYPES.map((value) => ({ value, label: CABLE_NAMES[value] }));
export const LAID_OPTIONS = LAID.map((value) => ({ value, label: LAID_NAMES[value] }));
