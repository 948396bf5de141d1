import type { Station } from '@keen-gauge/core/finding';
import { useSurvey } from '../survey/SurveyContext';
import { Notice } from '../kit/Notice';
import { Stack } from '../kit/Panel';
import { ASK_WORDS, STATION_NAMES } from './station-names';

/** A station’s heading, what it is for, its own fields, and what is still open there. */
export function StationFrame({
  station,
  lead,
  children,
}: {
  readonly station: Station;
  readonly lead: string;
  readonly children: React.ReactNode;
}) {
  const { assessment } = useSurvey();
  const findings = assessment.findings.filter((finding) => finding.station === station);
  const dangers = findings.filter(({ grade }) => grade === 'danger');
  const others = findings.filter(({ grade }) => grade !== 'danger');
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
      {children}
      {others.length > 0 && (
        <Stack as="section" aria-label="Still open here" style={{ '--gap': '0.5rem' }}>
          <h2>Still open here</h2>
          {others.map((finding, index) => (
            <Notice key={index} kind={finding.grade} title={finding.title}>
              {finding.remedy}
              {finding.askOf && finding.grade === 'ask' && ` Who knows: ${ASK_WORDS[finding.askOf]}.`}
              {finding.source && ` Source: ${finding.source}.`}
            </Notice>
          ))}
        </Stack>
      )}
    </Stack>
  );
}
