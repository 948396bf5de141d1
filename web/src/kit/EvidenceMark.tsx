import { EVIDENCE, type Evidence } from '@keen-gauge/core/survey/words/words';

/** Evidence grades as people say them. */
export const EVIDENCE_NAMES: Readonly<Record<Evidence, string>> = {
  assumed: 'Assumed',
  moulding: 'Moulding',
  label: 'Label',
  record: 'Record',
  attended: 'Attended',
};

/** The one mark of evidence: five rising strokes, as many filled as the grade, underlined once the rating is known. */
export function EvidenceMark({ evidence, size = 18 }: { readonly evidence: Evidence | null; readonly size?: number }) {
  const grade = evidence === null ? 0 : EVIDENCE.indexOf(evidence) + 1;
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 20 20"
      aria-hidden
      focusable="false"
      style={{ verticalAlign: '-0.15em' }}
    >
      {EVIDENCE.map((each, index) => {
        const height = 4 + index * 2.4;
        return (
          <rect
            key={each}
            x={0.8 + index * 3.9}
            y={15.5 - height}
            width={2.6}
            height={height}
            fill={index < grade ? 'currentColor' : 'none'}
            stroke="currentColor"
            strokeWidth={0.9}
          />
        );
      })}
      {grade >= 3 && <rect x={0.4} y={17.4} width={19} height={1.9} fill="currentColor" />}
    </svg>
  );
}

/** The mark with its word. */
export function EvidenceWord({ evidence }: { readonly evidence: Evidence | null }) {
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      <EvidenceMark evidence={evidence} /> {evidence === null ? 'No evidence' : EVIDENCE_NAMES[evidence]}
    </span>
  );
}
