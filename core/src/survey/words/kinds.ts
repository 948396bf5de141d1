/** What may be asked to be connected: the same supply and much the same form, each with its own data and triggers. */
export const PROPOSAL_KINDS = [
  'vehicle-charger',
  'vehicle-to-home',
  'heat-pump',
  'electric-heating',
  'pv',
  'battery',
] as const;
export type ProposalKind = (typeof PROPOSAL_KINDS)[number];

export const KIND_NAMES: Readonly<Record<ProposalKind, string>> = {
  'vehicle-charger': 'Vehicle charger',
  'vehicle-to-home': 'Vehicle-to-home charger',
  'heat-pump': 'Heat pump',
  'electric-heating': 'Electric heating',
  pv: 'PV',
  battery: 'Battery',
};

/** Which limits of harmonics and flicker equipment keeps; the second pair are for connection under conditions. */
export const HARMONICS = ['en-61000-3-2-and-3-3', 'en-61000-3-12-and-3-11', 'neither', 'unknown'] as const;
export type Harmonics = (typeof HARMONICS)[number];
export const HARMONICS_NAMES: Readonly<Record<Harmonics, string>> = {
  'en-61000-3-2-and-3-3': 'EN 61000-3-2 and -3-3',
  'en-61000-3-12-and-3-11': 'EN 61000-3-12 and -3-11',
  neither: 'Neither',
  unknown: 'not known',
};

/** It fills a vehicle: parking, reach, its own RCD and the open PEN conductor matter. */
export function isCharger({ kind }: { readonly kind: ProposalKind }): boolean {
  return kind === 'vehicle-charger' || kind === 'vehicle-to-home';
}

/** It sends power back by its nature, whatever is answered to whether it can. */
export function isGeneration({ kind }: { readonly kind: ProposalKind }): boolean {
  return kind === 'pv' || kind === 'battery' || kind === 'vehicle-to-home';
}

/** It takes power from the supply. */
export function isLoad({ kind }: { readonly kind: ProposalKind }): boolean {
  return kind !== 'pv';
}

/** What new equipment is called: its own name, or what it is. */
export function equipmentName({ label, kind }: { readonly label?: string; readonly kind: ProposalKind }): string {
  return label ?? (kind === 'vehicle-charger' ? 'New charger' : `New ${UNNAMED[kind]}`);
}

/**
 * What it is called in the middle of a sentence: what is only named after its kind takes the article, a name of its own stays as it was typed.
 * @example equipmentInText({ kind: 'vehicle-charger', label: 'Vehicle charger' }) // 'the vehicle charger'
 */
export function equipmentInText(equipment: { readonly label?: string; readonly kind: ProposalKind }): string {
  const { label, kind } = equipment;
  if (label !== undefined && label.trim().toLowerCase() !== KIND_NAMES[kind].toLowerCase()) return label;
  const name = label === undefined ? equipmentName(equipment) : KIND_NAMES[kind];
  // An abbreviation keeps its capitals.
  const begins = /^[A-Z]{2}/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
  return `the ${begins}`;
}

const UNNAMED: Readonly<Record<Exclude<ProposalKind, 'vehicle-charger'>, string>> = {
  'vehicle-to-home': 'vehicle-to-home charger',
  'heat-pump': 'heat pump',
  'electric-heating': 'electric heating',
  pv: 'PV',
  battery: 'battery',
};
