import { StationFrame } from '../StationFrame';
import { ChecklistPanel } from './ChecklistPanel';
import { ClosePanel } from './ClosePanel';

/** What is labelled and handed over, and closing the job. */
export default function AfterStation() {
  return (
    <StationFrame station="after" lead="What is labelled and handed over. A job is closed when nothing is due.">
      <ChecklistPanel list="labels" />
      <ChecklistPanel list="handover" />
      <ChecklistPanel list="funding" />
      <ClosePanel />
    </StationFrame>
  );
}
