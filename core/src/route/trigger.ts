import type { Station } from '../finding';
import type { FuseRating } from '../intake/fuse-rating';
import type { ConditionVerdict } from '../intake/condition';
import type { LoopVerdict } from '../intake/loop-status';
import type { RulePack } from '../rules/rule-pack';
import type { Survey } from '../survey/survey';
import type { Figure } from '../worked';

/** Everything the route is decided from. */
export interface RouteFacts {
  readonly survey: Survey;
  readonly pack: RulePack;
  readonly fuse: FuseRating;
  readonly condition: ConditionVerdict;
  readonly loop: LoopVerdict;
  /** Maximum demand after the work on the most loaded phase, charger free to draw its limit. */
  readonly unmanaged: Figure;
  /** The same as the limiter guarantees it; the unmanaged figure where there is no limiter or it does not hold. */
  readonly managed: Figure;
  readonly limiterHolds: boolean;
}

/** A reason to ask the operator first, or to hold. */
export interface Trigger {
  readonly id: string;
  /** `met`: the fact is known and triggers; `not-known`: it cannot be ruled out. */
  readonly state: 'met' | 'not-known';
  readonly leadsTo: 'ask-then-fit' | 'hold';
  readonly title: string;
  readonly evidence: string;
  /** What single change would lift it. */
  readonly clearedBy: string;
  readonly station: Station;
  readonly source?: string;
  /** What one turns to lift it; reasons with the same one go together. */
  readonly lever?: 'demand' | 'equipment' | 'record';
  /** How much less demand would lift it, in amperes. */
  readonly lessA?: number;
}

/** Looks at the facts and gives a reason or none. */
export type Rule = (facts: RouteFacts) => Trigger | null;

/** A reason that asks first and is known to be one, unless it says otherwise. */
export const trigger = (parts: Omit<Trigger, 'leadsTo' | 'state'> & Partial<Trigger>): Trigger => ({
  state: 'met',
  leadsTo: 'ask-then-fit',
  ...parts,
});
