import type { Phase } from '@keen-gauge/core/survey/words/words';
import styled from 'styled-components';

export interface ScaleRow {
  readonly phase: Phase;
  readonly nowA: number | null;
  readonly afterA: number | null;
  readonly unmanagedA: number | null;
  /** Where each basis puts the demand now, by its first letter. */
  readonly marks: readonly { readonly letter: string; readonly amperes: number }[];
}

const Svg = styled.svg`
  display: block;
  width: 100%;
  overflow: visible;
  font-family: var(--figures);
`;

/** The length of the scale in amperes: past the fuse, past the demand, in whole tens. */
export function scaleEnd(ratingA: number, rows: readonly ScaleRow[]): number {
  const most = Math.max(
    ratingA * 1.25,
    ...rows.flatMap(({ afterA, unmanagedA }) => [afterA ?? 0, unmanagedA ?? 0]).map((a) => a * 1.08),
  );
  return Math.ceil(most / 20) * 20;
}

const BAR = 20;
const GAP = 6;
const TOP = 22;

/**
 * The instrument: one bar a phase from nought, what the house takes solid, what is added hatched, the fuse a post across
 * them all. What would pass the post is cross-hatched beyond it.
 */
export function Scale({
  ratingA,
  established,
  rows,
}: {
  readonly ratingA: number;
  readonly established: boolean;
  readonly rows: readonly ScaleRow[];
}) {
  const end = scaleEnd(ratingA, rows);
  const at = (amperes: number): string => `${(100 * Math.min(amperes, end)) / end}%`;
  const span = (from: number, to: number): string => `${(100 * Math.max(0, Math.min(to, end) - from)) / end}%`;
  const labelEvery = end > 160 ? 40 : 20;
  const ticks = Array.from({ length: end / 10 + 1 }, (_, index) => index * 10);
  const height = TOP + rows.length * (BAR + GAP) + 18;
  const foot = height - 18;
  return (
    <Svg height={height} aria-hidden focusable="false">
      <defs>
        <pattern id="hatch-added" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="var(--surface)" />
          <rect width="3.400" height="7" fill="var(--added)" />
        </pattern>
        <pattern id="hatch-over" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="8" height="8" fill="var(--surface)" />
          <path d="M0 0h8M0 0v8" stroke="var(--hold)" strokeWidth="4" />
        </pattern>
      </defs>
      {rows.map(({ phase, nowA, afterA, unmanagedA, marks }, index) => {
        const y = TOP + index * (BAR + GAP);
        const now = nowA ?? 0;
        const after = Math.max(afterA ?? now, now);
        return (
          <g key={phase}>
            <rect x="0" y={y} width="100%" height={BAR} rx={3} fill="var(--raised)" stroke="var(--line)" />
            {unmanagedA !== null && unmanagedA > after && (
              <rect
                x={at(after)}
                y={y + 4}
                width={span(after, unmanagedA)}
                height={BAR - 8}
                fill="none"
                stroke="var(--added)"
                strokeDasharray="4 3"
              />
            )}
            <rect x="0" y={y} width={at(Math.min(now, ratingA))} height={BAR} rx={3} fill="var(--now)" />
            {now < ratingA && after > now && (
              <rect
                x={at(now)}
                y={y}
                width={span(now, Math.min(after, ratingA))}
                height={BAR}
                fill="url(#hatch-added)"
                stroke="var(--added)"
              />
            )}
            {after > ratingA && (
              <rect
                x={at(ratingA)}
                y={y}
                width={span(ratingA, after)}
                height={BAR}
                fill="url(#hatch-over)"
                stroke="var(--hold)"
                strokeWidth={1.5}
              />
            )}
            {afterA !== null && after < ratingA && (
              <>
                <line
                  x1={at(after)}
                  x2={at(ratingA)}
                  y1={y + BAR / 2}
                  y2={y + BAR / 2}
                  stroke="var(--left)"
                  strokeWidth={2}
                />
                <line x1={at(after)} x2={at(after)} y1={y + 3} y2={y + BAR - 3} stroke="var(--left)" strokeWidth={2} />
              </>
            )}
            {marks.map(({ letter, amperes }) => (
              <svg key={letter} x={at(amperes)} y={y} overflow="visible">
                <rect x={-6.5} y={BAR - 9} width={13} height={12} rx={2} fill="var(--surface)" stroke="var(--ink)" />
                <text y={BAR + 0.8} fontSize={10.5} fontWeight={700} textAnchor="middle" fill="var(--ink)">
                  {letter}
                </text>
              </svg>
            ))}
            {rows.length > 1 && (
              <text
                x={6}
                y={y + 15}
                fontSize={12}
                fontWeight={700}
                fill={now > end / 12 ? 'var(--surface)' : 'var(--ink)'}
              >
                {phase}
              </text>
            )}
          </g>
        );
      })}
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={at(tick)} x2={at(tick)} y1={foot - 4} y2={foot} stroke="var(--strong-line)" />
          {tick % labelEvery === 0 && (
            <text
              x={at(tick)}
              y={foot + 13}
              fontSize={11.5}
              fill="var(--quiet)"
              textAnchor={tick === 0 ? 'start' : tick === end ? 'end' : 'middle'}
            >
              {tick}
            </text>
          )}
        </g>
      ))}
      <line
        x1={at(ratingA)}
        x2={at(ratingA)}
        y1={TOP - 6}
        y2={foot - 2}
        stroke="var(--ink)"
        strokeWidth={6}
        strokeLinecap="round"
        {...(established ? {} : { strokeDasharray: '1 9' })}
      />
      <text x={at(ratingA)} y={12} fontSize={13} fontWeight={700} fill="var(--ink)" textAnchor="middle">
        {established ? `${ratingA} A fuse` : `${ratingA} A fallback`}
      </text>
    </Svg>
  );
}

/** The same in the height of a line, for a phone: the fullest phase alone, without its scale. */
export function MiniScale({
  ratingA,
  established,
  rows,
}: {
  readonly ratingA: number;
  readonly established: boolean;
  readonly rows: readonly ScaleRow[];
}) {
  const end = scaleEnd(ratingA, rows);
  const fullest = rows.reduce((most, row) => ((row.afterA ?? 0) > (most.afterA ?? 0) ? row : most), rows[0] ?? NOTHING);
  const now = fullest.nowA ?? 0;
  const after = Math.max(fullest.afterA ?? now, now);
  const share = (amperes: number): string => `${(100 * Math.min(Math.max(amperes, 0), end)) / end}%`;
  return (
    <Svg height={14} aria-hidden focusable="false">
      <rect x="0" y={2} width="100%" height={10} rx={2} fill="var(--raised)" stroke="var(--line)" />
      <rect
        x="0"
        y={2}
        width={share(after)}
        height={10}
        rx={2}
        fill={after > ratingA ? 'var(--hold)' : 'var(--added)'}
        opacity={0.75}
      />
      <rect x="0" y={2} width={share(now)} height={10} rx={2} fill="var(--now)" />
      <line
        x1={share(ratingA)}
        x2={share(ratingA)}
        y1={0}
        y2={14}
        stroke="var(--ink)"
        strokeWidth={4}
        {...(established ? {} : { strokeDasharray: '3 2' })}
      />
    </Svg>
  );
}

const NOTHING: ScaleRow = { phase: 'L1', nowA: null, afterA: null, unmanagedA: null, marks: [] };
