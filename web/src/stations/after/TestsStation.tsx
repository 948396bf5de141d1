import { Link } from 'react-router';
import { Notice } from '../../kit/Notice';
import { useSurvey } from '../../survey/SurveyContext';
import { StationFrame } from '../StationFrame';
import { TestsPanel } from './TestsPanel';

/** The tests of each new circuit, each reading held to its limit. */
export default function TestsStation() {
  const { survey, job } = useSurvey();
  return (
    <StationFrame
      station="tests"
      lead="The tests of each new circuit. Each reading is judged against its limit as it is entered."
    >
      {survey.proposals.length === 0 && (
        <Notice kind="ask" title="No new equipment is recorded, so there is no circuit to test.">
          <Link to={`/jobs/${job.id}/charger`}>New equipment</Link>
        </Notice>
      )}
      {survey.proposals.map((proposal) => (
        <TestsPanel key={proposal.id} proposal={proposal} />
      ))}
    </StationFrame>
  );
}
