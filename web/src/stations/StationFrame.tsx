import type { Station } from '@keen-gauge/core/finding';
import { useSurvey } from '../survey/SurveyContext';
import { Notice } from '../kit/Notice';
import { Stack } from '../kit/Panel';
import { UploadList } from '../photos/UploadList';
import { OpenHere } from './OpenHere';
import { STATION_NAMES } from './station-names';

/** A station’s heading, what it is for, its own fields, and what is still open there. */
export function StationFrame({
  station,
  lead,
  children,
  openHere = true,
}: {
  readonly station: Station;
  readonly lead: string;
  readonly children: React.ReactNode;
  /** Whether what is still open stands at the end; a station with a better place for it says no. */
  readonly openHere?: boolean;
}) {
  const { assessment } = useSurvey();
  // A danger stands at the head of every station, and nothing puts it away.
  const dangers = assessment.findings.filter(({ grade }) => grade === 'danger');
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
      <UploadList />
      {children}
      {openHere && <OpenHere station={station} />}
    </Stack>
  );
}
