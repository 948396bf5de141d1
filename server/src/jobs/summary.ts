import { assess } from '@keen-gauge/core/assess';
import { rulesFor, type FirmRules } from '@keen-gauge/core/firm/firm-rules';
import type { RouteWay } from '@keen-gauge/core/route/ways';
import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Survey } from '@keen-gauge/core/survey/survey';

/** What the list of jobs shows of a survey. */
export interface JobSummary {
  readonly route: RouteWay;
  readonly nextQuestion: string | null;
  readonly place: string;
}

/** The survey in short, under the firm's rules. `place` falls back to what the job was called when it was made. */
export function summarise(survey: Survey, rules: Rules, place: string): JobSummary {
  const assessment = assess(survey, rules);
  const standing = assessment.findings.filter(({ grade }) => grade !== 'note');
  // What the decision waits for before what only the form does.
  const open = standing.find(({ on }) => on !== 'form' && on !== 'workmanship') ?? standing[0];
  const { addressLine1, town } = survey.place;
  return {
    route: assessment.route.way,
    nextQuestion: open?.title ?? null,
    place: addressLine1 ? [addressLine1, town].filter(Boolean).join(', ') : place,
  };
}

/** As `summarise`, for a thread. */
export function summaryUnder(input: {
  readonly survey: Survey;
  readonly rules: FirmRules;
  readonly place: string;
}): JobSummary {
  const { survey, rules, place } = input;
  return summarise(survey, rulesFor(survey.place.meterPointNumber, rules), place);
}
