import { assess, decide } from '../assess';
import { questionKey, type Question } from '../questions/question';
import type { RouteWay } from '../route/ways';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import { fits } from './fits';

/** What one plausible answer to an open question comes to. */
export interface Outcome {
  readonly answer: string;
  readonly route: RouteWay;
  /** Whether what is proposed fits, and whether full rate would. */
  readonly holds: boolean | null;
  readonly fullRate: boolean | null;
}

/** An open question that decides something, with what each plausible answer comes to. */
export interface DecidingFact {
  readonly id: string;
  readonly question: string;
  readonly outcomes: readonly Outcome[];
  readonly changes: readonly ('route' | 'holds' | 'full-rate')[];
}

/**
 * Every question with plausible answers tried over them, one at a time; those of which an answer comes to something else than another does, or
 * than what is known now, the most decisive first.
 */
export function whatWouldChange(survey: Survey, rules: Rules): DecidingFact[] {
  // What stands on no verdict moves neither the route nor a fit.
  const questions = assess(survey, rules).questions.filter(({ on }) => on !== 'form' && on !== 'workmanship');
  const now = outcomeOf('', survey, rules);
  return questions
    .flatMap((question) => decidingFact(question, now, survey, rules) ?? [])
    .sort((a, b) => weight(b) - weight(a));
}

function decidingFact(question: Question, now: Outcome, survey: Survey, rules: Rules): DecidingFact | null {
  const outcomes = (question.answers ?? []).map(({ says, change }) => outcomeOf(says, change(survey), rules));
  if (outcomes.length === 0) return null;
  const changes = changesIn([now, ...outcomes]);
  return changes.length === 0 ? null : { id: questionKey(question), question: question.title, outcomes, changes };
}

function outcomeOf(answer: string, survey: Survey, rules: Rules): Outcome {
  const assessed = decide(survey, rules);
  const limited = survey.proposals.some(({ limiter }) => limiter.kind === 'fixed' || limiter.kind === 'clamp');
  const free = limited ? decide(unlimited(survey), rules) : assessed;
  return { answer, route: assessed.route.way, holds: fits(assessed).answer, fullRate: fits(free).answer };
}

function unlimited(survey: Survey): Survey {
  return { ...survey, proposals: survey.proposals.map((each) => ({ ...each, limiter: { kind: 'none' as const } })) };
}

function changesIn(outcomes: readonly Outcome[]): DecidingFact['changes'] {
  const differ = (of: (outcome: Outcome) => unknown): boolean => new Set(outcomes.map(of)).size > 1;
  return [
    ...(differ(({ route }) => route) ? ['route' as const] : []),
    ...(differ(({ holds }) => holds) ? ['holds' as const] : []),
    ...(differ(({ fullRate }) => fullRate) ? ['full-rate' as const] : []),
  ];
}

/** A fact that may make what is proposed fail outweighs one that moves the route, and that one a better rate. */
function weight({ changes }: DecidingFact): number {
  return (
    (changes.includes('holds') ? 4 : 0) + (changes.includes('route') ? 2 : 0) + (changes.includes('full-rate') ? 1 : 0)
  );
}
