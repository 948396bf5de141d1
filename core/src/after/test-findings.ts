import type { CircuitAssessment } from '../circuit/charger-circuit';
import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import { allTests } from './tests';

/** Tests of a new circuit that fail: what was measured breaks what was worked out. */
export function testFindings(survey: Survey, circuits: readonly CircuitAssessment[], rules: Rules): Statement[] {
  return allTests(survey, circuits, rules).flatMap(({ proposalId, name, tests }) =>
    tests
      .filter(({ state }) => state === 'fails')
      .map(({ id, title, measured, limit }): Statement => ({
        id: `test-fails-${id}`,
        grade: 'act',
        on: 'circuit',
        station: 'tests',
        subjectId: proposalId,
        title: `${name}: ${title} fails: ${measured}, ${limit}.`,
        remedy: 'Find out why, put it right and test again before it is left in use.',
        field: 'readings',
      })),
  );
}
