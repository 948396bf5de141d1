import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import { useSurvey } from '../../survey/SurveyContext';
import { OneOf } from '../OneOf';
import { StationFrame } from '../StationFrame';
import { CommissionedPanel } from './CommissionedPanel';
import { CommissioningPanel } from './CommissioningPanel';

/** The day it was commissioned, and each limiter shown to do what it promises. */
export default function CommissioningStation() {
  const { survey } = useSurvey();
  const clamped = survey.proposals.filter(({ limiter }) => limiter.kind === 'clamp');
  return (
    <StationFrame
      station="commissioning"
      lead="The day it was commissioned, and each limiter shown to give way. Only then is its promise kept."
    >
      <CommissionedPanel />
      {clamped.map((proposal) => (
        <OneOf
          key={proposal.id}
          id={proposal.id}
          name={equipmentName(proposal)}
          station="commissioning"
          of={clamped.map(({ id }) => id)}
          from={4}
        >
          <CommissioningPanel proposal={proposal} />
        </OneOf>
      ))}
    </StationFrame>
  );
}
