import type { Evidence } from '@keen-gauge/core/survey/words/words';

const LINE = {
  fill: 'none',
  stroke: 'var(--ink)',
  strokeWidth: 1.8,
  strokeLinejoin: 'round',
  strokeLinecap: 'round',
} as const;
const THIN = { ...LINE, stroke: 'var(--quiet)', strokeWidth: 1.3 } as const;

/** A carrier in its holder, with its seal. */
function Carrier({ children }: { readonly children?: React.ReactNode }) {
  return (
    <>
      <rect x={10} y={6} width={44} height={46} rx={4} {...LINE} />
      <rect x={18} y={12} width={28} height={26} rx={3} {...LINE} />
      <circle cx={48} cy={44} r={3} {...LINE} />
      <path d="M32 52v8M32 6V2" {...LINE} />
      {children}
    </>
  );
}

const word = { fontSize: 9, fontWeight: 700, fill: 'var(--ink)', textAnchor: 'middle' } as const;

const PICTURES: Readonly<Record<Evidence, React.ReactNode>> = {
  // A closed door, and somebody's word.
  assumed: (
    <>
      <rect x={12} y={6} width={32} height={48} rx={2} {...LINE} />
      <path d="M38 30v4" {...LINE} />
      <path d="M50 12h26v16H64l-6 6v-6h-8z" {...LINE} />
      <text x={63} y={24} {...word}>
        80?
      </text>
    </>
  ),
  // Raised figures of the carrier itself.
  moulding: (
    <Carrier>
      <text x={32} y={28} {...word} fill="none" stroke="var(--ink)" strokeWidth={0.9}>
        100
      </text>
      <text x={32} y={49} {...word} fontSize={7}>
        MAX
      </text>
      <path d="M58 24h16M70 20l5 4l-5 4" {...THIN} />
      <text x={84} y={28} {...word} fontSize={13}>
        ?
      </text>
    </Carrier>
  ),
  // A label on the carrier, seal whole.
  label: (
    <Carrier>
      <rect x={20} y={18} width={24} height={13} fill="var(--surface)" stroke="var(--ink)" strokeWidth={1.4} />
      <text x={32} y={28} {...word}>
        80 A
      </text>
      <path d="M60 40l5 6l10 -14" {...LINE} />
    </Carrier>
  ),
  // The operator's letter.
  record: (
    <>
      <path d="M16 4h30l10 10v44H16z" {...LINE} />
      <path d="M46 4v10h10" {...LINE} />
      <path d="M22 22h26M22 28h26M22 34h14" {...THIN} />
      <text x={36} y={50} {...word}>
        80 A
      </text>
      <path d="M62 44l5 6l10 -14" {...LINE} />
    </>
  ),
  // Somebody of the operator's, in front of the open carrier.
  attended: (
    <>
      <g transform="translate(34 0)">
        <Carrier>
          <rect x={26} y={16} width={12} height={18} rx={3} {...LINE} />
        </Carrier>
      </g>
      <circle cx={18} cy={16} r={7} {...LINE} />
      <path d="M10 13h16M4 56V38q0 -10 14 -10t14 10v18M26 40l14 -10" {...LINE} />
    </>
  ),
};

/** What each grade of evidence looks like, drawn by us: nothing of anybody's make. */
export function EvidencePicture({ evidence }: { readonly evidence: Evidence }) {
  return (
    <svg viewBox="0 0 100 62" width={100} height={62} aria-hidden focusable="false" style={{ display: 'block' }}>
      {PICTURES[evidence]}
    </svg>
  );
}
