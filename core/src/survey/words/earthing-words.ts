/** The closed lists of words of earthing, bonding and protection against an open PEN conductor. */

/** What is seen of where the earth comes from. */
export const EARTHING_SIGNS = [
  'conductor-to-neutral-block',
  'conductor-to-sheath-or-armour',
  'conductor-to-rod',
  'label-says-pme',
  'overhead-lines',
  'rcd-at-origin',
] as const;
export type EarthingSign = (typeof EARTHING_SIGNS)[number];

/** Services and parts that may have to be bonded. */
export const BONDED_PARTS = ['gas', 'water', 'oil', 'structural-steel', 'other'] as const;
export type BondedPart = (typeof BONDED_PARTS)[number];

/** What a part is of where it comes in. */
export const INCOMING = ['metal', 'plastic', 'not-there'] as const;
export type Incoming = (typeof INCOMING)[number];

/** How an open PEN conductor is noticed. */
export const PEN_DETECTIONS = ['voltage-window', 'measuring-electrode'] as const;
export type PenDetection = (typeof PEN_DETECTIONS)[number];

export const INCOMING_NAMES: Readonly<Record<Incoming, string>> = {
  metal: 'Metal',
  plastic: 'Plastic',
  'not-there': 'None here',
};

export const BONDED_PART_NAMES: Readonly<Record<BondedPart, string>> = {
  gas: 'Gas',
  water: 'Water',
  oil: 'Oil',
  'structural-steel': 'Structural steel',
  other: 'Another part',
};
