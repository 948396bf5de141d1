import { assess } from '../assess';
import { factSections } from '../pack/compose';
import { gbDefault } from '../rules/gb-default';
import type { Survey } from '../survey/survey';

/** For tests: everything a pack would say of a survey, a line for each row. */
export function composePackFacts(survey: Survey): string {
  return factSections(survey, assess(survey, gbDefault), gbDefault)
    .flatMap(({ rows }) => rows.map(({ label, value, note }) => [label, value, note].filter(Boolean).join(': ')))
    .join('\n');
}
