/** The closed lists of words a survey is written in. The open format uses these words as they stand. */

export const ANSWERS = ['yes', 'no', 'unknown'] as const;
export type Answer = (typeof ANSWERS)[number];

export const PREMISES = ['household', 'small-shop-or-office', 'guest-house'] as const;
export type Premises = (typeof PREMISES)[number];

export const NATIONS = ['england', 'wales', 'scotland', 'northern-ireland'] as const;
export type Nation = (typeof NATIONS)[number];

/** What a node of the supply tree is, street first. */
export const NODE_KINDS = [
  'service',
  'cut-out',
  'meter',
  'isolator',
  'split-block',
  'switch-fuse',
  'board',
  'rcd',
  'device',
  'feeder',
] as const;
export type NodeKind = (typeof NODE_KINDS)[number];

/** How a fuse rating is known, weakest first. Only the last three establish a rating. */
export const EVIDENCE = ['assumed', 'moulding', 'label', 'record', 'attended'] as const;
export type Evidence = (typeof EVIDENCE)[number];

export const LOOP_STATUSES = ['not-looped', 'feeds-next-door', 'fed-from-next-door', 'unknown'] as const;
export type LoopStatus = (typeof LOOP_STATUSES)[number];

export const LOOP_EVIDENCE = ['cable-traced', 'operator-record', 'signs-only'] as const;
export type LoopEvidence = (typeof LOOP_EVIDENCE)[number];

export const CONDITION_LOOKS = ['fine', 'not-fine', 'could-not-see'] as const;
export type ConditionLook = (typeof CONDITION_LOOKS)[number];

export const FAULTS = [
  'broken-moulding',
  'heat-damage',
  'leaking-compound',
  'exposed-live-parts',
  'seal-missing-or-broken',
  'damp-or-corrosion',
  'fused-neutral-or-metal-clad',
  'suspected-asbestos',
  'cable-sheath-damaged',
  'loose-or-unsupported',
  'signs-of-interference',
  'other',
] as const;
export type Fault = (typeof FAULTS)[number];

export const CONDITION_GRADES = ['make-safe-now', 'before-load-added', 'note'] as const;
export type ConditionGrade = (typeof CONDITION_GRADES)[number];

export const ARRANGEMENTS = ['tn-c-s', 'tn-s', 'tt', 'unknown'] as const;
export type Arrangement = (typeof ARRANGEMENTS)[number];

/** Classes of load in the allowance tables. */
export const LOAD_CLASSES = [
  'lighting',
  'heating-and-power',
  'cooking',
  'instantaneous-water-heating',
  'thermostatic-water-heating',
  'floor-warming',
  'storage-heating',
  'socket-circuit',
  'socket-appliance',
  'motor',
  'heat-pump',
  'ev-charging',
  'hot-tub-sauna-kiln-welder',
] as const;
export type LoadClass = (typeof LOAD_CLASSES)[number];

/** `all` is a three-phase load drawing alike from each phase. */
export const PHASES = ['L1', 'L2', 'L3', 'all'] as const;
export type LoadPhase = (typeof PHASES)[number];
export type Phase = 'L1' | 'L2' | 'L3';

export const BASES = ['circuits', 'appliances'] as const;
export type Basis = (typeof BASES)[number];

export const LIMITER_KINDS = ['none', 'fixed', 'clamp'] as const;
export type LimiterKind = (typeof LIMITER_KINDS)[number];

export const PARKING = ['outdoors', 'indoors-only'] as const;
export type Parking = (typeof PARKING)[number];

export const OPEN_PEN_METHODS = ['built-in', 'separate-device', 'tt-island', 'low-electrode'] as const;
export type OpenPenMethod = (typeof OPEN_PEN_METHODS)[number];

/** Nodes as people name them when they have no name of their own. */
export const NODE_NAMES: Readonly<Record<NodeKind, string>> = {
  service: 'Service cable',
  'cut-out': 'Cut-out',
  meter: 'Meter',
  isolator: 'Isolator',
  'split-block': 'Split block',
  'switch-fuse': 'Switch-fuse',
  board: 'Board',
  rcd: 'RCD',
  device: 'Circuit device',
  feeder: 'Feeder',
};

export const NATION_NAMES: Readonly<Record<Nation, string>> = {
  england: 'England',
  wales: 'Wales',
  scotland: 'Scotland',
  'northern-ireland': 'Northern Ireland',
};

export const PREMISES_NAMES: Readonly<Record<Premises, string>> = {
  household: 'Household',
  'small-shop-or-office': 'Small shop or office',
  'guest-house': 'Guest house',
};
