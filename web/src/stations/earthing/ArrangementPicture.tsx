import type { KnownArrangement } from '@keen-gauge/core/earthing/signs';

/**
 * Where the earthing conductor ends, drawn as one stands before it: the cut-out in the middle, the main earthing
 * terminal at the right, the ground below. The dashed line is the conductor to follow.
 */
export function ArrangementPicture({ arrangement }: { readonly arrangement: KnownArrangement }) {
  return (
    <svg
      viewBox="0 0 180 112"
      width="100%"
      style={{ maxWidth: '13rem', display: 'block', margin: '0.3rem 0', color: 'var(--ink)' }}
      aria-hidden
      focusable="false"
      fill="none"
      stroke="currentColor"
      strokeWidth={2}
    >
      <path d="M4 88h172" stroke="var(--strong-line)" />
      <path
        d="M8 94l6-6M24 94l6-6M40 94l6-6M56 94l6-6M72 94l6-6M88 94l6-6M104 94l6-6M120 94l6-6M136 94l6-6M152 94l6-6M168 94l6-6"
        stroke="var(--line)"
        strokeWidth={1.4}
      />
      <rect x={62} y={20} width={46} height={38} rx={4} />
      <rect x={69} y={26} width={12} height={20} rx={2} />
      <path d="M92 26h10M92 33h10M92 40h10" strokeWidth={3} />
      <rect x={142} y={46} width={28} height={14} rx={2} />
      <text x={156} y={57} textAnchor="middle" fontSize={11} fontWeight={700} fill="currentColor" stroke="none">
        E
      </text>
      {arrangement === 'tt' ? <Overhead /> : <Buried />}
      {LINKS[arrangement]}
    </svg>
  );
}

/** A cable up out of the ground, its sheath as two lines. */
function Buried() {
  return <path d="M80 58v50M90 58v50M80 66h10M80 74h10" />;
}

/** Two wires from a pole. */
function Overhead() {
  return <path d="M14 88V10M6 14h16M22 14Q44 24 62 26M22 18Q44 32 62 33" />;
}

const FOLLOWED = { stroke: 'var(--added)', strokeWidth: 3, strokeDasharray: '6 4' } as const;

const LINKS: Readonly<Record<KnownArrangement, React.ReactNode>> = {
  'tn-c-s': (
    <>
      <path d="M102 40h24v13h16" {...FOLLOWED} />
      <circle cx={102} cy={40} r={4} fill="var(--added)" stroke="none" />
    </>
  ),
  'tn-s': (
    <>
      <path d="M90 70h36v-17h16" {...FOLLOWED} />
      <rect x={75} y={66} width={20} height={8} rx={2} fill="var(--surface)" stroke="var(--added)" strokeWidth={2.5} />
    </>
  ),
  tt: (
    <>
      <path d="M156 60v28" {...FOLLOWED} />
      <path d="M156 84v24M150 84h12" stroke="var(--added)" strokeWidth={3.5} />
    </>
  ),
};
