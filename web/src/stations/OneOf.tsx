import type { Station } from '@keen-gauge/core/finding';
import { useState } from 'react';
import { More } from '../kit/More';
import { useSurvey } from '../survey/SurveyContext';

/** What a station has of one of several pieces of equipment, under its name: the first with something open there stands open, the others are put away. One alone stands as it is. */
export function OneOf({
  id,
  name,
  station,
  of,
  children,
}: {
  readonly id: string;
  readonly name: string;
  readonly station: Station;
  /** All of them, by their ids. */
  readonly of: readonly string[];
  readonly children: React.ReactNode;
}) {
  const { assessment } = useSurvey();
  const about = assessment.findings.flatMap((finding) =>
    finding.station === station && finding.grade !== 'note' ? (finding.subjectId ?? []) : [],
  );
  const open = about.filter((each) => each === id).length;
  const [first] = useState(about.find((each) => of.includes(each)) === id);
  return (
    <section aria-label={name} style={{ display: 'grid', gap: '0.9rem' }}>
      {of.length === 1 ? (
        children
      ) : (
        <More label={name} note={open === 0 ? 'nothing open' : `${open} open`} open={first}>
          {children}
        </More>
      )}
    </section>
  );
}
