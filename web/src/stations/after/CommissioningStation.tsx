import { useSurvey } from '../../survey/SurveyContext';
import { StationFrame } from '../StationFrame';
import { CommissionedPanel } from './CommissionedPanel';
import { CommissioningPanel } from './CommissioningPanel';

/** The day it was commissioned, and each limiter shown to do what it promises. */
export default function CommissioningStation() {
  const { survey } = useSurvey();
  return (
    <StationFrame
      station="commissioning"
      lead="The day it was commissioned, and each limiter shown to give way. Only then is its promise kept."
    >
      <CommissionedPanel />
      {survey.proposals
        .filter(({ limiter }) => limiter.kind === 'clamp')
        .map((proposal) => (
          <CommissioningPanel key={proposal.id} proposal={proposal} />
        ))}
    </StationFrame>
  );
}
