import type { Station } from '@keen-gauge/core/finding';
import { useSurvey } from '../survey/SurveyContext';
import { Hint } from '../kit/Hint';
import { Notice } from '../kit/Notice';
import { Stack } from '../kit/Panel';
import { UploadList } from '../photos/UploadList';
import { CommentsHere } from '../review/Comments';
import { AskedFields } from './AsLine';
import { OpenHere } from './OpenHere';
import { useAskedFields } from './use-asked-fields';
import { STATION_NAMES } from './station-names';

/** A station’s heading, what it is for, what is still open there, and its fields: those asked for, and what is recorded in a line each. */
export function StationFrame({
  station,
  lead,
  children,
  openHere = true,
}: {
  readonly station: Station;
  readonly lead: string;
  readonly children: React.ReactNode;
  /** Whether what is still open stands at the head; a station with a better place for it says no. */
  readonly openHere?: boolean;
}) {
  const { assessment } = useSurvey();
  // A danger stands at the head of every station, and nothing puts it away.
  const dangers = assessment.findings.filter(({ grade }) => grade === 'danger');
  const asked = useAskedFields(assessment);
  return (
    <Stack>
      <div>
        <h1 id="station-name" tabIndex={-1}>
          {STATION_NAMES[station]}
        </h1>
        <p className="quiet">{lead}</p>
      </div>
      {dangers.map((finding, index) => (
        <Notice key={index} kind="danger" title={finding.title}>
          <strong style={{ color: 'var(--ink)' }}>{finding.remedy}</strong>
        </Notice>
      ))}
      <Hint id="station">
        What is recorded stands in a line: press it to change it. Press any figure to see how it was worked out.
      </Hint>
      <UploadList />
      {openHere && <OpenHere station={station} />}
      <CommentsHere station={station} />
      <AskedFields value={asked}>{children}</AskedFields>
    </Stack>
  );
}
