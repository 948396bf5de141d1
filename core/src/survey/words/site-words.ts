/** Who has a supply of a site, and the supplies a bay can be fed from. */

export const SUPPLY_OWNERS = ['dwelling', 'landlord'] as const;
export type SupplyOwner = (typeof SUPPLY_OWNERS)[number];

/** The dwelling’s own, the landlord’s, or a new one for charging. */
export const BAY_SUPPLIES = ['own', 'landlord', 'new'] as const;
export type BaySupply = (typeof BAY_SUPPLIES)[number];

/** Whose ground or building the cable of a bay crosses. */
export const CROSSED = ['own', 'common', 'others'] as const;
export type Crossed = (typeof CROSSED)[number];
