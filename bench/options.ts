import { assess } from '@keen-gauge/core/assess';
import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import { guardTable } from '@keen-gauge/core/options/guard-table';
import { options } from '@keen-gauge/core/options/options';
import { whatWouldChange } from '@keen-gauge/core/options/what-would-change';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { quantile, report } from './report';

/** A home of which little but its loads is known, so that there is much that could change the answer. */
function home(chargers: number): Survey {
  const survey = blankSurvey();
  survey.supply.phases = 1;
  survey.loads = (STARTING_SETS[0]?.loads ?? []).map((load) => ({ ...load }));
  survey.proposals = Array.from({ length: chargers }, (_each, at) => ({
    id: `car-${at}`,
    kind: 'vehicle-charger' as const,
    ratedA: 32,
    phases: 1 as const,
    limiter: {},
  }));
  return survey;
}

/** Guards, options and what would change the answer, as the charger's station reckons them after every change. */
export function benchOptions(): void {
  for (const [name, chargers, most] of [
    ['a home', 1, 60],
    ['six chargers on one supply', 6, 200],
  ] as const) {
    const survey = home(chargers);
    const times: number[] = [];
    for (let at = 0; at < 120; at += 1) {
      const start = performance.now();
      const assessment = assess(survey, gbDefault);
      for (const proposal of survey.proposals) guardTable(survey, assessment, proposal, gbDefault);
      options(survey, gbDefault);
      whatWouldChange(survey, gbDefault);
      if (at >= 40) times.push(performance.now() - start);
    }
    report(`guards, options and what would change the answer, ${name}, median`, quantile(times, 0.5), 'ms', most);
  }
}
