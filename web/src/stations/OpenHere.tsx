import type { Finding, Station } from '@keen-gauge/core/finding';
import { same, type Value } from '@keen-gauge/core/record/changes';
import { memo } from 'react';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Stack } from '../kit/Panel';
import { useSurvey } from '../survey/SurveyContext';
import { ASK_WORDS } from './station-names';

/** What is still open at a station: what to do or ask, who knows, where the rule comes from, how it was found. */
export function OpenHere({
  station,
  onShow,
}: {
  readonly station: Station;
  /** Shows what a finding is about, where the station can. */
  readonly onShow?: (finding: Finding) => void;
}) {
  const { assessment } = useSurvey();
  const findings = assessment.findings.filter((finding) => finding.station === station && finding.grade !== 'danger');
  if (findings.length === 0) return null;
  return (
    <Stack as="section" aria-label="Still open here" style={{ '--gap': '0.5rem' }}>
      <h2>Still open here</h2>
      {findings.map((finding, index) => (
        <OneFinding key={index} finding={finding} {...(onShow ? { onShow } : {})} />
      ))}
    </Stack>
  );
}

interface OneFindingProps {
  readonly finding: Finding;
  readonly onShow?: (finding: Finding) => void;
}

/** A finding says the same on most keystrokes: it is drawn anew only when it says something else. */
const OneFinding = memo(
  ({ finding, onShow }: OneFindingProps) => (
    <Notice kind={finding.grade} title={finding.title}>
      {finding.remedy}
      {finding.askOf && finding.grade === 'ask' && ` Who knows: ${ASK_WORDS[finding.askOf]}.`}
      {finding.source && ` Source: ${finding.source}.`}
      {finding.working?.map((step) => (
        <div key={step.label}>
          {step.label}: {step.expression}. <span className="figures">{step.substituted}</span>
        </div>
      ))}
      {onShow && finding.subjectId !== undefined && (
        <div className="no-print" style={{ marginTop: '0.3rem' }}>
          <Button
            onPress={() => {
              onShow(finding);
            }}
          >
            Show it
          </Button>
        </div>
      )}
    </Notice>
  ),
  (before, now) =>
    before.onShow === now.onShow && same(before.finding as unknown as Value, now.finding as unknown as Value),
);
