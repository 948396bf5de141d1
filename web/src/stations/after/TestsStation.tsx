import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import { Link } from 'react-router';
import { Notice } from '../../kit/Notice';
import { useSurvey } from '../../survey/SurveyContext';
import { OneOf } from '../OneOf';
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
        <OneOf
          key={proposal.id}
          id={proposal.id}
          name={equipmentName(proposal)}
          station="tests"
          of={survey.proposals.map((each) => each.id)}
        >
          <TestsPanel proposal={proposal} />
        </OneOf>
      ))}
    </StationFrame>
  );
}
