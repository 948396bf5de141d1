import { judgeTests, TEST_KINDS, testsOf, type JudgedTest } from '@keen-gauge/core/after/tests';
import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { StateMark } from '../../kit/StateMark';
import { Panel } from '../../kit/Panel';
import { Table } from '../../kit/Table';
import { ReadingsPanel } from '../../readings/ReadingsPanel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundAnswer } from '../bound';

const WORDS: Readonly<Record<JudgedTest['state'], string>> = {
  passes: 'Passes',
  fails: 'Fails',
  'not-known': 'Not judged',
};

/** What was measured of one new circuit, each held against its limit; every value with its instrument and who took it. */
export function TestsPanel({ proposal }: { readonly proposal: Proposal }) {
  const { survey, assessment, rules } = useSurvey();
  const name = equipmentName(proposal);
  const circuit = assessment.circuits.find(({ proposalId }) => proposalId === proposal.id);
  const tests = judgeTests(survey, circuit, proposal, rules);
  const path = ['proposals', proposal.id, 'tested'] as const;
  return (
    <section aria-label={`Tests of ${name}`} style={{ display: 'grid', gap: '0.9rem' }}>
      <Panel>
        <h2>{name}: tests</h2>
        <Table
          label={`Tests of ${name}`}
          columns={['Test', 'Measured', 'Limit', 'Verdict']}
          rows={tests.map(({ id, title, measured, limit, state, says }) => ({
            id,
            about: title,
            cells: [
              <span key="measured" className="figures">
                {measured}
              </span>,
              limit,
              <span key="verdict">
                <StateMark state={state === 'passes' ? 'holds' : state} words={WORDS[state]} />
                {says !== '' && <span className="quiet">: {says}</span>}
              </span>,
            ],
          }))}
        />
        <BoundAnswer path={[...path, 'polarity']} label="Polarity right at every point?" />
        <BoundAnswer
          path={[...path, 'works']}
          label="Does it work as intended?"
          help="Starts and stops, and its RCD trips by the test button."
        />
      </Panel>
      <ReadingsPanel
        kinds={TEST_KINDS}
        proposalId={proposal.id}
        nodeId={proposal.nodeId}
        shown={new Set(testsOf(survey, proposal).map(({ id }) => id))}
        title={`Readings of ${name}`}
      />
    </section>
  );
}
