import { judgeTests, testsOf } from '../after/tests';
import type { Assessment } from '../assessment';
import { CHECKLIST_NAMES } from '../firm/checklists';
import type { Rules } from '../rules/rules';
import { CHECKLISTS } from '../survey/after';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { NOT_KNOWN, row, rowOf, type Section } from './rows';

const VERDICTS = { passes: 'passes', fails: 'FAILS', 'not-known': 'not judged' } as const;

/** What was measured of a new circuit with its limits; nothing before anything was. */
export function testSections(survey: Survey, { circuits }: Assessment, proposal: Proposal, rules: Rules): Section[] {
  const readings = testsOf(survey, proposal).filter(({ proposalId }) => proposalId === proposal.id);
  if (readings.length === 0 && proposal.tested === undefined) return [];
  const tests = judgeTests(
    survey,
    circuits.find(({ proposalId }) => proposalId === proposal.id),
    proposal,
    rules,
  );
  const takenBy = [...new Set(readings.flatMap(({ takenBy: by }) => by ?? []))].join(', ');
  const instruments = [...new Set(readings.flatMap(({ instrument }) => instrument ?? []))].join(', ');
  return [
    {
      id: 'tests',
      subject: proposal.id,
      title: `Tests: ${equipmentName(proposal)}`,
      rows: [
        ...tests.map(({ id, title, measured, limit, state }) =>
          rowOf('test', id, title, measured, `${limit}: ${VERDICTS[state]}`),
        ),
        row('taken-by', 'Taken by', takenBy === '' ? undefined : takenBy, instruments),
      ],
    },
  ];
}

/** What was seen to after the work; nothing before anything was. */
export function afterSection({ after }: Survey): Section {
  const ticks = after?.ticks?.filter(({ answer }) => answer !== undefined) ?? [];
  return {
    id: 'after',
    title: 'After the work',
    rows: [
      ...(after?.certificateNumber === undefined
        ? []
        : [row('certificate-number', 'Certificate number', after.certificateNumber)]),
      ...(after?.nextInspectionOn === undefined
        ? []
        : [row('next-inspection-on', 'Next inspection on', after.nextInspectionOn)]),
      ...CHECKLISTS.flatMap((list) => {
        const seen = ticks.filter((tick) => tick.list === list);
        return seen.map(({ id, text, answer, by, at }) =>
          rowOf(
            'seen-to',
            id,
            CHECKLIST_NAMES[list],
            text ?? NOT_KNOWN,
            [answer === 'done' ? 'done' : 'does not apply', by, at?.slice(0, 10)].filter(Boolean).join(', '),
          ),
        );
      }),
    ],
  };
}
