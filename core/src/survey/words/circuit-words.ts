/** The closed lists of words of the new circuit, its protection and the place of the equipment. */

/** What serves as protective conductor. */
export const CPC_KINDS = ['core', 'armour', 'separate'] as const;
export type CpcKind = (typeof CPC_KINDS)[number];

/** Where the equipment's own RCD is. */
export const RCD_PLACES = ['built-in', 'at-board'] as const;
export type RcdPlace = (typeof RCD_PLACES)[number];

export const SURGE_DECISIONS = ['fit', 'there-already', 'owner-declined'] as const;
export type SurgeDecision = (typeof SURGE_DECISIONS)[number];

/** Where the new circuit's device goes. */
export const WAY_PLANS = ['spare-way', 'share-ways', 'small-board', 'larger-board', 'outdoor-board'] as const;
export type WayPlan = (typeof WAY_PLANS)[number];

/** How the clamp, or the network, reaches the equipment. */
/** How a clamp can be joined to the equipment it serves. */
export const CLAMP_LINKS = ['wired', 'wireless'] as const;
export type ClampLink = (typeof CLAMP_LINKS)[number];

export const LINKS = ['wired', 'wireless', 'none'] as const;
export type Link = (typeof LINKS)[number];

export const WAY_PLAN_NAMES: Readonly<Record<WayPlan, string>> = {
  'spare-way': 'A spare way',
  'share-ways': 'A way freed by two circuits sharing one',
  'small-board': 'A small board of its own',
  'larger-board': 'A larger board',
  'outdoor-board': 'A board outdoors',
};
