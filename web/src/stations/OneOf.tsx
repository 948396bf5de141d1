import type { Station } from '@keen-gauge/core/finding';
import { useState } from 'react';
import { More } from '../kit/More';
import { useSurvey } from '../survey/SurveyContext';
import { useArrivalField } from './arrival';

/** So many of one kind are many. */
const MANY = 4;

/** What a station has of one of several pieces of equipment, under its name: the first with something open there stands open, the others are put away. One alone stands as it is. */
export function OneOf({
  id,
  name,
  station,
  of,
  from = 2,
  children,
}: {
  readonly id: string;
  readonly name: string;
  readonly station: Station;
  /** All of them, by their ids. */
  readonly of: readonly string[];
  /** From how many on they are put away. */
  readonly from?: number;
  readonly children: React.ReactNode;
}) {
  const { assessment } = useSurvey();
  const about = assessment.findings.flatMap((finding) =>
    finding.station === station && finding.grade !== 'note' ? (finding.subjectId ?? []) : [],
  );
  const open = about.filter((each) => each === id).length;
  const arrival = useArrivalField()?.split('.') ?? [];
  const [first] = useState(of.find((each) => about.includes(each)) === id || arrival.includes(id));
  // Of a row of outlets, what is put away is not drawn before it is wanted.
  const [isDrawn, setDrawn] = useState(first || of.length < MANY);
  const drawIt = (): void => {
    setDrawn(true);
  };
  if (of.length < from && from > 2) return children;
  return (
    <section aria-label={name} style={{ display: 'grid', gap: '0.9rem' }}>
      {of.length < from ? (
        children
      ) : (
        <More label={name} note={open === 0 ? 'nothing open' : `${open} open`} open={first} onToggle={drawIt}>
          {(isDrawn || arrival.includes(id)) && children}
        </More>
      )}
    </section>
  );
}
