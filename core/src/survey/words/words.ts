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
  'check-meter',
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

/** What came of looking at one thing; nothing recorded means nobody has looked. */
export const LOOKS = ['fine', 'not-fine', 'could-not-see', 'not-there'] as const;
export type Look = (typeof LOOKS)[number];

/** What the service ends in. A solid link protects nothing: a switch-fuse further on does. */
export const HEAD_KINDS = ['fused', 'solid-link'] as const;
export type HeadKind = (typeof HEAD_KINDS)[number];

export const CABLE_TYPES = ['tails', 'flat-twin', 'armoured', 'split-concentric', 'other'] as const;
export type CableType = (typeof CABLE_TYPES)[number];

export const LAID = ['clipped', 'enclosed', 'insulated-wall', 'buried'] as const;
export type Laid = (typeof LAID)[number];

export const RCD_TYPES = ['AC', 'A', 'F', 'B'] as const;
export type RcdType = (typeof RCD_TYPES)[number];

export const DEVICE_TYPES = ['mcb', 'rcbo', 'cartridge-fuse', 'rewirable-fuse', 'other'] as const;
export type DeviceType = (typeof DEVICE_TYPES)[number];

export const CURVES = ['B', 'C', 'D'] as const;
export type Curve = (typeof CURVES)[number];

export const ENCLOSURES = ['metal', 'plastic', 'other'] as const;
export type Enclosure = (typeof ENCLOSURES)[number];

export const BOARD_PLACES = ['indoors', 'outdoors', 'under-stairs', 'garage-or-shed'] as const;
export type BoardPlace = (typeof BOARD_PLACES)[number];

/** Checks of the chain from the cut-out to the boards. */
export const CHECKS = [
  'meter-rating',
  'isolator',
  'isolator-rating',
  'tails-size',
  'tails-length',
  'split-block-rating',
  'main-switch-rating',
  'rcd-rating',
  'rcd-shared',
  'spare-way',
  'accepts-new-device',
  'enclosure',
  'board-place',
] as const;
export type Check = (typeof CHECKS)[number];

/** Outward signs of a looped service. */
export const LOOP_SIGNS = [
  'two-service-cables',
  'cable-through-party-wall',
  'pair-or-terrace-of-one-age',
  'neighbour-has-the-same',
  'operator-record-says-so',
] as const;
export type LoopSign = (typeof LOOP_SIGNS)[number];

/** What was measured. */
export const READING_KINDS = [
  'loop-impedance-external',
  'prospective-fault-current',
  'voltage',
  'clamp-current',
  'electrode-resistance',
  'insulation-resistance',
  'loop-impedance-circuit',
  'r1-r2',
  'r1-rn',
  'rcd-time',
] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

/** An instrument may only be able to say that a value lies beyond what it can show. */
export const BOUNDS = ['exact', 'above', 'below'] as const;
export type Bound = (typeof BOUNDS)[number];

export const MARK_KINDS = ['arrow', 'ring', 'text'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

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

export const SEASONS = ['heating', 'cooling'] as const;
export type Season = (typeof SEASONS)[number];

/** `all` is a three-phase load drawing alike from each phase. */
export const PHASES = ['L1', 'L2', 'L3', 'all'] as const;
export type LoadPhase = (typeof PHASES)[number];
export type Phase = 'L1' | 'L2' | 'L3';

export const BASES = ['circuits', 'appliances', 'measurement'] as const;
export type Basis = (typeof BASES)[number];
/** The bases that reckon from lists of loads. */
export type ListBasis = Exclude<Basis, 'measurement'>;

export const MEASUREMENT_KINDS = ['spot', 'full-load-test', 'logger', 'half-hourly'] as const;
export type MeasurementKind = (typeof MEASUREMENT_KINDS)[number];

/** What may be wrong with a log as a whole, so that its figures are no demand until somebody has looked. */
export const LOG_DOUBTS = ['nought', 'noise', 'frozen', 'reset', 'unit', 'decimal', 'dates'] as const;
export type LogDoubt = (typeof LOG_DOUBTS)[number];

/** What may send power back on the premises. */
export const GENERATION_KINDS = ['pv', 'battery', 'other-generation'] as const;
export type GenerationKind = (typeof GENERATION_KINDS)[number];
export const GENERATION_NAMES: Readonly<Record<GenerationKind, string>> = {
  pv: 'PV',
  battery: 'Battery',
  'other-generation': 'Generation',
};

/** The steps of commissioning a limiter. */
export const COMMISSIONING_STEPS = ['reading', 'gives-way', 'clamp-pulled', 'settings'] as const;
export type CommissioningStepId = (typeof COMMISSIONING_STEPS)[number];

export const LIMITER_KINDS = ['none', 'fixed', 'clamp'] as const;
export type LimiterKind = (typeof LIMITER_KINDS)[number];

export const CLAMP_CONDUCTORS = ['line', 'neutral'] as const;
export type ClampConductor = (typeof CLAMP_CONDUCTORS)[number];

export const PARKING = ['outdoors', 'indoors-only'] as const;
export type Parking = (typeof PARKING)[number];

export const OPEN_PEN_METHODS = ['built-in', 'separate-device', 'tt-island', 'low-electrode'] as const;
export type OpenPenMethod = (typeof OPEN_PEN_METHODS)[number];

/** Nodes as people name them when they have no name of their own. */
export const NODE_NAMES: Readonly<Record<NodeKind, string>> = {
  service: 'Service cable',
  'cut-out': 'Cut-out',
  meter: 'Meter',
  'check-meter': 'Check meter',
  isolator: 'Isolator',
  'split-block': 'Split block',
  'switch-fuse': 'Switch-fuse',
  board: 'Board',
  rcd: 'RCD',
  device: 'Circuit device',
  feeder: 'Feeder',
};

/** What a node is called: its own name, or what it is. */
export function nodeName({ label, kind }: { readonly label?: string | undefined; readonly kind: NodeKind }): string {
  return label ?? NODE_NAMES[kind];
}

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
