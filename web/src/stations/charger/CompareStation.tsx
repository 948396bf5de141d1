import { isCharger } from '@keen-gauge/core/survey/words/kinds';
import { Link } from 'react-router';
import { Notice } from '../../kit/Notice';
import { useSurvey } from '../../survey/SurveyContext';
import { TrialPanel } from '../../trial/TrialPanel';
import { StationFrame } from '../StationFrame';
import { DriverPanel } from './DriverPanel';
import { OptionsPanel } from './OptionsPanel';

/** What the driver needs, every option with what it comes to, what would change the answer, and a year of it played. */
export default function CompareStation() {
  const { survey, job } = useSurvey();
  return (
    <StationFrame
      station="compare"
      lead="What the driver needs, and which way meets it: compared before anything is chosen."
    >
      {survey.proposals.length === 0 ? (
        <Notice kind="ask" title="No new equipment is recorded, so there is nothing to compare.">
          <Link to={`/jobs/${job.id}/charger`}>New equipment</Link>
        </Notice>
      ) : (
        <>
          <DriverPanel />
          <OptionsPanel />
        </>
      )}
      <p>
        More cars to come, or several bays? <Link to={`/jobs/${job.id}/pool`}>How many cars this supply carries</Link>.
        Several supplies in the building? <Link to={`/jobs/${job.id}/site`}>Which supply feeds which bay</Link>.
      </p>
      {survey.proposals
        .filter(isCharger)
        .slice(0, 1)
        .map((proposal) => (
          <TrialPanel key={proposal.id} proposal={proposal} />
        ))}
    </StationFrame>
  );
}
