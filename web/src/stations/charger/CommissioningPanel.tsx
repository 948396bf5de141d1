import { commissioningSteps } from '@keen-gauge/core/management/commissioning';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { FieldGrid } from '../../kit/fields';
import { Panel, Row } from '../../kit/Panel';
import { StateMark } from '../../kit/StateMark';
import { Button } from '../../kit/Button';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { BoundNumber, BoundText } from '../bound';

/** The record of commissioning a limiter: what was seen at each step, judged as it is typed. */
export function CommissioningPanel({ proposal }: { readonly proposal: Proposal }) {
  const { pack, me } = useSurvey();
  const set = useSet();
  const path = ['proposals', proposal.id, 'limiter', 'test'];
  const steps = commissioningSteps(proposal, pack);
  const mark = (at: number): React.ReactNode => {
    const step = steps[at];
    return (
      step && (
        <Row style={{ justifyContent: 'space-between' }}>
          <h3>
            {at + 1}. {step.title}
          </h3>
          <span>
            <StateMark
              state={step.state}
              words={{ holds: 'Passed', fails: 'Failed', 'not-known': 'Not done yet' }[step.state]}
            />{' '}
            <span className="quiet">{step.state === 'not-known' ? '' : step.says}</span>
          </span>
        </Row>
      )
    );
  };
  const { test } = proposal.limiter;
  return (
    <Panel aria-label="Commissioning the limiter">
      <h2>Commissioning the limiter</h2>
      <p className="quiet">
        After fitting, with everything live: for a competent person, as the maker’s instructions say.
      </p>
      {mark(0)}
      <FieldGrid>
        <BoundNumber path={[...path, 'knownLoadA']} label="Known load switched on" unit="A" least={0} most={1000} />
        <BoundNumber
          path={[...path, 'readingRoseA']}
          label="The reading rose by"
          unit="A"
          least={-1000}
          most={1000}
          help="Negative where it fell."
        />
      </FieldGrid>
      {mark(1)}
      <FieldGrid>
        <BoundNumber path={[...path, 'heldAtA']} label="The reading settled at" unit="A" least={0} most={3000} />
        <BoundNumber
          path={[...path, 'chargerThenA']}
          label="The charger had gone down to"
          unit="A"
          least={0}
          most={1000}
        />
      </FieldGrid>
      {mark(2)}
      <FieldGrid>
        <BoundNumber path={[...path, 'pulledA']} label="Lead pulled: it went to" unit="A" least={0} most={1000} />
      </FieldGrid>
      {mark(3)}
      <FieldGrid>
        <BoundNumber path={[...path, 'setPointSetA']} label="Set-point as set" unit="A" least={0} most={3000} />
        <BoundNumber path={[...path, 'failSafeSetA']} label="Fail-safe as set" unit="A" least={0} most={1000} />
        <BoundText path={[...path, 'doneBy']} label="Commissioned by" maxLength={100} />
        <BoundText path={[...path, 'note']} label="Note" maxLength={500} />
      </FieldGrid>
      <Row>
        <Button
          isDisabled={test?.doneAt !== undefined}
          onPress={() => {
            set([...path, 'doneAt'], new Date().toISOString());
            if (test?.doneBy === undefined) set([...path, 'doneBy'], me.name);
          }}
        >
          {test?.doneAt === undefined ? 'Done now, by me' : `Done ${new Date(test.doneAt).toLocaleString('en-GB')}`}
        </Button>
      </Row>
      <PhotoStrip subject="proposal" subjectId={proposal.id} of="The settings as shown" />
    </Panel>
  );
}
