import { equipmentName, isCharger } from '@keen-gauge/core/survey/words/kinds';
import { useSurvey } from '../../survey/SurveyContext';
import { Panel, SideBySide } from '../../kit/Panel';
import { Notice } from '../../kit/Notice';
import { OneOf } from '../OneOf';
import { StationFrame } from '../StationFrame';
import { CablePanel } from './CablePanel';
import { DevicePanel } from './DevicePanel';
import { FeederPanel } from './FeederPanel';
import { PositionPanel } from './PositionPanel';
import { ReusePanel } from './ReusePanel';
import { SizesPanel } from './SizesPanel';
import { SurgePanel } from './SurgePanel';

/** The circuit that carries the new equipment: the feeder it comes by, its protection, its cable, and its place. */
export default function CircuitStation() {
  const { survey, assessment } = useSurvey();
  // A feeder and the circuit at its end are two things to go through, as two chargers are.
  const parts = [...assessment.feeders.map(({ nodeId }) => nodeId), ...survey.proposals.map(({ id }) => id)];
  return (
    <StationFrame
      station="circuit"
      lead="How the current gets to the new equipment, and what protects it. Sizes come from the published tables; nothing is interpolated."
    >
      {assessment.feeders.map((feeder) => (
        <OneOf key={feeder.nodeId} id={feeder.nodeId} name={feeder.label} station="circuit" of={parts}>
          <FeederPanel feeder={feeder} />
        </OneOf>
      ))}
      {survey.proposals.length === 0 && (
        <Panel>
          <Notice kind="ask" title="No new equipment is recorded, so there is no circuit to work out." />
        </Panel>
      )}
      {survey.proposals.map((proposal) => {
        const circuit = assessment.circuits.find(({ proposalId }) => proposalId === proposal.id);
        return (
          <OneOf key={proposal.id} id={proposal.id} name={equipmentName(proposal)} station="circuit" of={parts}>
            <ReusePanel proposal={proposal} />
            <SideBySide>
              <CablePanel proposal={proposal} />
              <DevicePanel proposal={proposal} />
            </SideBySide>
            {circuit && <SizesPanel circuit={circuit} />}
            <SideBySide>
              <SurgePanel proposal={proposal} />
              {isCharger(proposal) && <PositionPanel proposal={proposal} />}
            </SideBySide>
          </OneOf>
        );
      })}
    </StationFrame>
  );
}
