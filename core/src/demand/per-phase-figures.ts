import type { Phase } from '../survey/words/words';
import type { Figure } from '../worked';

/** A figure for each phase of the supply; single-phase supplies have L1 only. */
export type PerPhase = Readonly<Partial<Record<Phase, Figure>>>;
