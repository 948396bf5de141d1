/** The judgements everything else is decided from, in the order they are read out: street first, then the new equipment. */
export const VERDICT_IDS = [
  'fuse',
  'loop',
  'intake',
  'demand',
  'nodes',
  'limiter',
  'earthing',
  'open-pen',
  'circuit',
  'generation',
  'registered',
] as const;
export type VerdictId = (typeof VERDICT_IDS)[number];

/**
 * What a finding or a question stands on: one of the verdicts; `workmanship`, which is settled while fitting and stops
 * nothing before; or `form`, which only the paperwork needs.
 */
export type Standing = VerdictId | 'workmanship' | 'form';

/** Verdicts that touch safety: what is open or wrong there stops a signature until somebody answers for it by name. */
export const SAFETY: readonly Standing[] = ['fuse', 'loop', 'intake', 'earthing', 'open-pen', 'limiter'];

/** What each verdict says where it is yes. */
export const VERDICT_NAMES: Readonly<Record<VerdictId, string>> = {
  fuse: 'Cut-out fuse rating confirmed',
  loop: 'Service not looped',
  intake: 'Intake fit for more load',
  demand: 'Maximum demand known',
  nodes: 'Every part within its rating',
  limiter: 'Limiter keeps the supply within its rating',
  earthing: 'Earthing and bonding right',
  'open-pen': 'Open-PEN protection right',
  circuit: 'Circuit right for the equipment',
  generation: 'Generation within the notify limit',
  registered: 'Equipment on the type-test register',
};
