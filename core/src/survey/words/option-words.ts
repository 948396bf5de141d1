/** The closed lists of words of options. */

export const OPTION_KINDS = [
  'full-rate',
  'fixed-limit',
  'managed',
  'fuse-upgrade',
  'un-loop',
  'new-feeder',
  'three-phase',
  'other-supply',
  'fewer-chargers',
] as const;
export type OptionKind = (typeof OPTION_KINDS)[number];

/** What an option costs, from nothing beyond the work itself upwards; the firm says what each means. */
export const COST_BANDS = ['none', 'low', 'middle', 'high'] as const;
export type CostBand = (typeof COST_BANDS)[number];

/** What the customer cares about most. */
export const PRIORITIES = ['soonest', 'cheapest', 'fastest-charging'] as const;
export type Priority = (typeof PRIORITIES)[number];

export const PRIORITY_NAMES: Readonly<Record<Priority, string>> = {
  soonest: 'Having it soon',
  cheapest: 'What it costs',
  'fastest-charging': 'Charging fast',
};

export const OPTION_NAMES: Readonly<Record<OptionKind, string>> = {
  'full-rate': 'Full rate',
  'fixed-limit': 'Held to a fixed rate',
  managed: 'Managed by clamp',
  'fuse-upgrade': 'Fuse upgrade',
  'un-loop': 'Un-looping',
  'new-feeder': 'A new feeder',
  'three-phase': 'Three-phase supply',
  'other-supply': 'A different supply on the site',
  'fewer-chargers': 'Fewer or shared chargers',
};
