import { assess, decide } from './assess';
import type { Decided } from './assessment';
import { worstPhase } from './demand/per-phase';
import { questionKey } from './questions/question';
import type { RouteWay } from './route/ways';
import type { Rules } from './rules/rules';
import type { Survey } from './survey/survey';
import { BASES, type Basis } from './survey/words/words';

/** What the decision would be if the demand were declared by one basis. */
export interface BasisOutcome {
  readonly basis: Basis;
  readonly afterA: number | null;
  readonly headroomA: number | null;
  readonly route: RouteWay;
}

/** Something not known, and how far the headroom after the work depends on what it proves to be. */
export interface MissingKnowledge {
  readonly id: string;
  readonly label: string;
  /** Headroom after the work at either end of what it may prove to be, in amperes. */
  readonly lowA: number;
  readonly highA: number;
  /** Whether the route to the operator depends on it. */
  readonly movesRoute: boolean;
}

/** The outcome under each basis that can give a figure. */
export function basisOutcomes(survey: Survey, rules: Rules): BasisOutcome[] {
  return BASES.flatMap((basis) => {
    const made = decide({ ...survey, declaration: { ...survey.declaration, basis, reason: 'what if' } }, rules);
    // A basis that cannot be used falls back to the pack's own: that is no outcome of its own.
    if (made.demand.basis !== basis) return [];
    return [
      { basis, afterA: worstPhase(made.demand.afterManaged).value, headroomA: headroomOf(made), route: made.route.way },
    ];
  });
}

/**
 * What is not known of the demand or the fuse, that which moves the headroom most first: questions of the register with plausible answers.
 * What moves it by nothing is left out.
 */
export function missingKnowledge(survey: Survey, rules: Rules): MissingKnowledge[] {
  return assess(survey, rules)
    .questions.filter(({ on, answers }) => (on === 'demand' || on === 'fuse') && answers !== undefined)
    .flatMap((question) => {
      const outcomes = (question.answers ?? []).map(({ change }) => decide(change(survey), rules));
      const headrooms = outcomes.flatMap((outcome) => headroomOf(outcome) ?? []);
      if (headrooms.length < 2) return [];
      const [lowA, highA] = [Math.min(...headrooms), Math.max(...headrooms)];
      const movesRoute = new Set(outcomes.map(({ route }) => route.way)).size > 1;
      return highA - lowA < 0.05 && !movesRoute
        ? []
        : [{ id: questionKey(question), label: question.title, lowA, highA, movesRoute }];
    })
    .sort((a, b) => b.highA - b.lowA - (a.highA - a.lowA));
}

function headroomOf({ demand }: Decided): number | null {
  const values = Object.values(demand.headroom).map(({ value }) => value);
  return values.length === 0 || values.includes(null) ? null : Math.min(...values.map((value) => value ?? 0));
}
