import { ArrowLeft, History, Images, Redo2, Undo2 } from 'lucide-react';
import styled from 'styled-components';
import { jobNumber, stateWords, type Job } from '../api/jobs';
import { BareButton } from '../kit/Button';
import type { View } from '../stations/station-names';
import { SaveMark } from './SaveMark';
import { RoundLink } from './survey-layout';
import type { SurveyStore } from './survey-store';
import { useField, useStored } from './use-field';

const Top = styled.section`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 0.6rem;
  min-height: 46px;
  @media (max-width: 60rem) {
    gap: 0 0.2rem;
  }
`;

const Name = styled.span`
  flex: 1 1 4.5rem;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  @media (max-width: 44rem) {
    & .quiet {
      display: none;
    }
  }
`;

/** What the phone has in its bar at the foot instead. */
const Wide = styled.span`
  display: contents;
  @media (max-width: 60rem) {
    display: none;
  }
`;

/** Which survey this is, whether it is saved, and the way back from the last change. */
export function SurveyTop({
  job,
  store,
  view,
}: {
  readonly job: Job;
  readonly store: SurveyStore;
  readonly view: View;
}) {
  const addressLine1 = useField(['place', 'addressLine1']);
  const photos = useField(['photos']);
  const canUndo = useStored(({ canUndo: can }) => can);
  const canRedo = useStored(({ canRedo: can }) => can);
  return (
    <Top className="no-print" aria-label="This survey">
      <RoundLink to="/" aria-label="Back to the jobs">
        <ArrowLeft size={20} aria-hidden />
      </RoundLink>
      <Name>
        <span className="figures quiet">{jobNumber(job.number)}</span> <strong>{addressLine1 ?? job.place}</strong>{' '}
        <span className="quiet">{stateWords(job)}</span>
      </Name>
      <SaveMark store={store} isNew={job.number === 0} />
      <BareButton
        aria-label="Undo"
        isDisabled={!canUndo}
        onPress={() => {
          store.undo();
        }}
      >
        <Undo2 size={19} aria-hidden />
      </BareButton>
      <BareButton
        aria-label="Redo"
        isDisabled={!canRedo}
        onPress={() => {
          store.redo();
        }}
      >
        <Redo2 size={19} aria-hidden />
      </BareButton>
      <Wide>
        <RoundLink
          to={`/jobs/${job.id}/photos`}
          aria-label={`Photographs: ${photos?.length ?? 0}`}
          aria-current={view === 'photos' ? 'page' : undefined}
        >
          <Images size={19} aria-hidden />
        </RoundLink>
        <RoundLink to={`/jobs/${job.id}/history`} aria-label="History">
          <History size={19} aria-hidden />
        </RoundLink>
      </Wide>
    </Top>
  );
}
