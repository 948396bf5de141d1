import { findingsOn } from '@keen-gauge/core/lineup/findings-on';
import { Link } from 'react-router';
import { Notice } from '../../kit/Notice';
import { Stack } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { STATION_NAMES } from '../station-names';

/** What other stations have found that concerns this node, or new equipment that hangs from it. */
export function NodeFindings({ nodeId }: { readonly nodeId: string }) {
  const { survey, assessment, job } = useSurvey();
  const found = (findingsOn(survey, assessment).get(nodeId) ?? []).filter(({ station }) => station !== 'line-up');
  if (found.length === 0) return null;
  return (
    <Stack as="section" aria-label="Found elsewhere" style={{ '--gap': '0.5rem' }}>
      <h3>Found here by other stations</h3>
      {found.map(({ grade, title, remedy, station }, at) => (
        <Notice key={at} kind={grade} title={title}>
          {remedy} <Link to={`/jobs/${job.id}/${station}`}>{STATION_NAMES[station]}</Link>
        </Notice>
      ))}
    </Stack>
  );
}
