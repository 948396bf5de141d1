import { equipmentName, isCharger } from '@keen-gauge/core/survey/words/kinds';
import { useSurvey } from '../../survey/SurveyContext';
import { Panel } from '../../kit/Panel';
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
  return (
    <StationFrame
      station="circuit"
      lead="How the current gets to the new equipment, and what protects it on the way. Sizes come from the published tables; values are never interpolated."
    >
      {assessment.feeders.map((feeder) => (
        <FeederPanel key={feeder.nodeId} feeder={feeder} />
      ))}
      {survey.proposals.length === 0 && (
        <Panel>
          <Notice kind="ask" title="No new equipment is recorded, so there is no circuit to work out." />
        </Panel>
      )}
      {survey.proposals.map((proposal) => {
        const circuit = assessment.circuits.find(({ proposalId }) => proposalId === proposal.id);
        return (
          <OneOf
            key={proposal.id}
            id={proposal.id}
            name={equipmentName(proposal)}
            station="circuit"
            of={survey.proposals.map((each) => each.id)}
          >
            <ReusePanel proposal={proposal} />
            <CablePanel proposal={proposal} />
            {circuit && <SizesPanel circuit={circuit} />}
            <DevicePanel proposal={proposal} />
            <SurgePanel proposal={proposal} />
            {isCharger(proposal) && <PositionPanel proposal={proposal} />}
          </OneOf>
        );
      })}
    </StationFrame>
  );
}
