import { same, type Value } from '@keen-gauge/core/record/changes';
import type { Ink, Mark } from '@keen-gauge/core/lineup/drawing';
import { memo } from 'react';

const PAINT: Readonly<Record<Ink, string>> = {
  ink: 'var(--ink)',
  quiet: 'var(--quiet)',
  line: 'var(--strong-line)',
  paper: 'var(--surface)',
  now: 'var(--now)',
  // The gauge, in view wherever the line-up is, has these hatchings.
  added: 'url(#hatch-added)',
  over: 'url(#hatch-over)',
  left: 'var(--left)',
  hold: 'var(--hold)',
};

/** Marks of the line-up in the light that is on; drawn anew only where one of them changed. */
export const Marks = memo(DrawnMarks, (before, now) => same(before.marks as Value, now.marks as Value));

function DrawnMarks({ marks }: { readonly marks: readonly Mark[] }) {
  return marks.map((mark, index) => {
    if (mark.kind === 'text')
      return mark.text === '' ? null : (
        <text
          key={index}
          x={mark.x}
          y={mark.y}
          fontSize={mark.size}
          fontWeight={mark.bold ? 700 : 400}
          fill={PAINT[mark.ink]}
          textAnchor={mark.end ? 'end' : 'start'}
          fontFamily={mark.figures ? 'var(--figures)' : undefined}
        >
          {mark.text}
        </text>
      );
    const paint = {
      fill: mark.fill ? PAINT[mark.fill] : 'none',
      stroke: mark.stroke ? PAINT[mark.stroke] : 'none',
      strokeWidth: mark.weight ?? 1,
      strokeLinejoin: 'round',
      strokeLinecap: 'round',
    } as const;
    if (mark.kind === 'path') return <path key={index} d={mark.d} {...paint} />;
    return (
      <rect key={index} x={mark.x} y={mark.y} width={mark.width} height={mark.height} rx={mark.round} {...paint} />
    );
  });
}
