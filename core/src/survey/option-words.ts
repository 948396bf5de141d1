/** The closed lists of words of options. */

export const OPTION_KINDS = [
  'full-rate',
  'fixed-limit',
  'managed',
  'fuse-upgrade',
  'un-loop',
  'three-phase',
  'fewer-chargers',
] as const;
export type OptionKind = (typeof OPTION_KINDS)[number];

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
  'three-phase': 'Three-phase supply',
  'fewer-chargers': 'Fewer or shared chargers',
};
