import { StationFrame } from '../StationFrame';
import { ChecklistPanel } from './ChecklistPanel';
import { ClosePanel } from './ClosePanel';
import { CommissionedPanel } from './CommissionedPanel';
import { TestsPanel } from './TestsPanel';
import { useSurvey } from '../../survey/SurveyContext';

/** Once it is fitted: the day, the tests, what is labelled and handed over, and closing the job. */
export default function AfterStation() {
  const { survey } = useSurvey();
  return (
    <StationFrame
      station="after"
      lead="Once it is fitted: the day, the tests, what is labelled and handed over. A job is closed when nothing is owed."
    >
      <CommissionedPanel />
      {survey.proposals.map((proposal) => (
        <TestsPanel key={proposal.id} proposal={proposal} />
      ))}
      <ChecklistPanel list="labels" />
      <ChecklistPanel list="handover" />
      <ChecklistPanel list="funding" />
      <ClosePanel />
    </StationFrame>
  );
}
