import type { Station } from '../finding';
import type { Verdict } from '../grounds/verdict';
import type { VerdictId } from '../grounds/verdict-ids';
import type { FuseRating } from '../intake/fuse-rating';
import type { ConditionVerdict } from '../intake/condition';
import type { LoopVerdict } from '../intake/loop-status';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import type { Figure } from '../worked';

/** The demand behind one limiting fuse that new equipment is fed through. */
export interface FusedDemand {
  readonly fuse: FuseRating;
  /** What it is called, where there is more than one. */
  readonly name: string | null;
  /** Maximum demand after the work on the most loaded phase, charger free to draw its limit. */
  readonly unmanaged: Figure;
  /** The same as the limiter guarantees it; the unmanaged figure where there is no limiter or it does not hold. */
  readonly managed: Figure;
}

/** Everything the route is decided from. */
export interface RouteFacts {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly condition: ConditionVerdict;
  readonly loop: LoopVerdict;
  /** The supply of the survey first, then any other that new equipment is fed from. */
  readonly supplies: readonly FusedDemand[];
  /** A clamp keeps the supply within its rating. */
  readonly limiterHolds: boolean;
  readonly verdicts: readonly Verdict[];
}

/** A reason to ask the operator first, to settle something first, or to hold. */
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
  /** The verdict it stands for, whose grounds say why. */
  readonly verdict?: VerdictId;
  /** Settled in the firm's own work; the operator is not asked because of it. */
  readonly ownWork?: boolean;
}

/** Looks at the facts and gives a reason or none. */
export type Rule = (facts: RouteFacts) => Trigger | null;

/** A reason that asks first and is known to be one, unless it says otherwise. */
export const trigger = (parts: Omit<Trigger, 'leadsTo' | 'state'> & Partial<Trigger>): Trigger => ({
  state: 'met',
  leadsTo: 'ask-then-fit',
  ...parts,
});

/** A verdict by its id; undefined where it does not apply. */
export function verdictIn({ verdicts }: Pick<RouteFacts, 'verdicts'>, id: VerdictId): Verdict | undefined {
  return verdicts.find((each) => each.id === id);
}
