import type { Finding, Station } from '@keen-gauge/core/finding';
import { same, type Value } from '@keen-gauge/core/record/changes';
import { settlingPath } from '@keen-gauge/core/settling-path';
import { memo } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Button } from '../kit/Button';
import { More } from '../kit/More';
import { NOTICE_COLOURS, NOTICE_SHAPES, NOTICE_WORDS } from '../kit/Notice';
import { useSurvey } from '../survey/SurveyContext';
import { fieldUrl } from './arrival';
import { ASK_WORDS } from './station-names';

/** As many as are shown before the rest is put away. */
const SHOWN = 4;

const Frame = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  border: 1px solid var(--line);
  border-radius: calc(var(--corner) + 2px);
  background: var(--surface);
  padding: 0.5rem 0.9rem;
  & > h2 {
    padding: 0.2rem 0;
  }
`;

const Row = styled.details`
  border-top: 1px solid var(--line);
  & > summary {
    display: grid;
    grid-template-columns: 1.6rem minmax(0, 1fr);
    gap: 0.5rem;
    align-items: center;
    min-height: 44px;
    padding: 0.35rem 0;
    cursor: pointer;
    list-style: none;
  }
  & > summary::-webkit-details-marker {
    display: none;
  }
  & > summary > svg {
    color: var(--kind);
  }
  & > div {
    padding: 0 0 0.6rem 2.1rem;
  }
`;

/** What is still open at a station, a line each; opened, what to do or ask, who knows, where the rule comes from, and how it was found. */
export function OpenHere({
  station,
  onShow,
}: {
  readonly station: Station;
  /** Shows what a finding is about, where the station can. */
  readonly onShow?: (finding: Finding) => void;
}) {
  const { assessment, job } = useSurvey();
  const here = assessment.findings.filter((finding) => finding.station === station && finding.grade !== 'danger');
  if (here.length === 0) return null;
  const open = here.filter(({ grade }) => grade !== 'note');
  const notes = here.filter(({ grade }) => grade === 'note');
  const rows = (findings: readonly Finding[]): React.ReactNode =>
    findings.map((finding, index) => (
      <OneFinding key={index} finding={finding} jobId={job.id} {...(onShow ? { onShow } : {})} />
    ));
  return (
    <Frame aria-label="Still open here">
      <h2>{open.length === 0 ? 'Nothing open here' : `Still open here: ${open.length}`}</h2>
      {rows(open.slice(0, SHOWN))}
      {open.length > SHOWN && <More label={`${open.length - SHOWN} more`}>{rows(open.slice(SHOWN))}</More>}
      {notes.length > 0 && <More label={notes.length === 1 ? 'One note' : `${notes.length} notes`}>{rows(notes)}</More>}
    </Frame>
  );
}

interface OneFindingProps {
  readonly finding: Finding;
  readonly jobId: string;
  readonly onShow?: (finding: Finding) => void;
}

/** A finding says the same on most keystrokes: it is drawn anew only when it says something else. */
const OneFinding = memo(
  ({ finding, jobId, onShow }: OneFindingProps) => {
    const Shape = NOTICE_SHAPES[finding.grade];
    const field = settlingPath(finding);
    return (
      <Row style={{ '--kind': NOTICE_COLOURS[finding.grade] }}>
        <summary>
          <Shape size={20} aria-hidden />
          <span>
            <span className="unseen">{NOTICE_WORDS[finding.grade]}: </span>
            {finding.title}
          </span>
        </summary>
        <div>
          <div className="quiet">
            {finding.remedy}
            {finding.askOf && finding.grade === 'ask' && ` Who knows: ${ASK_WORDS[finding.askOf]}.`}
            {finding.source && ` Source: ${finding.source}.`}
            {finding.working?.map((step) => (
              <div key={step.label}>
                {step.label}: {step.expression}. <span className="figures">{step.substituted}</span>
              </div>
            ))}
          </div>
          {onShow && finding.subjectId !== undefined ? (
            <div className="no-print" style={{ marginTop: '0.3rem' }}>
              <Button
                onPress={() => {
                  onShow(finding);
                }}
              >
                Show it
              </Button>
            </div>
          ) : (
            field !== undefined && (
              <Answer className="no-print" to={fieldUrl(jobId, finding.station, field)} replace>
                Answer it
              </Answer>
            )
          )}
        </div>
      </Row>
    );
  },
  (before, now) =>
    before.onShow === now.onShow && same(before.finding as unknown as Value, now.finding as unknown as Value),
);

const Answer = styled(Link)`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  font-weight: 600;
`;
