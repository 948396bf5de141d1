import type { Moment } from '@keen-gauge/core/trial/evening';
import { useState } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';

const axis = { stroke: 'var(--quiet)', fontSize: 12, tickLine: false } as const;

function clock(second: number): string {
  const minutes = Math.floor(second / 60) + 12 * 60;
  return `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}

/** A day from noon to noon: house, charger on top of it, set-point and rating; the slider reads it off at any moment. */
export default function EveningChart({
  moments,
  ratingA,
  setPointA,
  fault,
}: {
  readonly moments: readonly Moment[];
  readonly ratingA: number;
  readonly setPointA: number | null;
  /** When something goes wrong, in seconds from noon. */
  readonly fault: { readonly fromS: number; readonly toS: number } | null;
}) {
  const [at, setAt] = useState(0);
  const here = moments[Math.min(at, moments.length - 1)];
  if (!here) return null;
  const data = moments
    .filter((_each, index) => index % 6 === 0)
    .map((each) => ({ ...each, total: each.houseA + each.chargerA }));
  const most = Math.max(ratingA, ...data.map(({ total }) => total));
  return (
    <div>
      <div
        role="img"
        aria-label={`A day from noon to noon: at most ${most.toFixed(1)} A against a rating of ${ratingA} A.`}
      >
        <ResponsiveContainer width="100%" height={260} initialDimension={{ width: 700, height: 260 }}>
          <ComposedChart data={data} margin={{ top: 8, right: 12, bottom: 4, left: 0 }}>
            <CartesianGrid stroke="var(--line)" strokeDasharray="2 4" />
            <XAxis
              {...axis}
              dataKey="second"
              type="number"
              domain={[0, 86400]}
              ticks={[0, 21600, 43200, 64800, 86400]}
              tickFormatter={clock}
            />
            <YAxis {...axis} unit=" A" width={56} domain={[0, Math.ceil(most / 10) * 10]} />
            <Area
              dataKey="houseA"
              stackId="a"
              fill="var(--now)"
              stroke="var(--now)"
              fillOpacity={0.75}
              isAnimationActive={false}
            />
            <Area
              dataKey="chargerA"
              stackId="a"
              fill="var(--added)"
              stroke="var(--added)"
              fillOpacity={0.55}
              isAnimationActive={false}
            />
            <Line
              dataKey={({ warmth }: Moment) => warmth * ratingA}
              stroke="var(--hold)"
              strokeDasharray="3 3"
              dot={false}
              isAnimationActive={false}
            />
            {fault && (
              <ReferenceArea
                x1={fault.fromS}
                x2={Math.min(fault.toS, 86400)}
                fill="var(--hold)"
                fillOpacity={0.1}
                stroke="var(--hold)"
                strokeDasharray="3 3"
              />
            )}
            <ReferenceLine y={ratingA} stroke="var(--ink)" strokeWidth={2} />
            {setPointA !== null && <ReferenceLine y={setPointA} stroke="var(--ink)" strokeDasharray="6 4" />}
            <ReferenceLine x={here.second} stroke="var(--focus)" />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <label style={{ display: 'grid', gap: '0.3rem' }}>
        <span>
          <strong className="figures">{clock(here.second)}</strong>: house {here.houseA.toFixed(1)} A, charger{' '}
          {here.chargerA.toFixed(0)} A, together{' '}
          <strong className="figures">{(here.houseA + here.chargerA).toFixed(1)} A</strong> of {ratingA} A; fuse warmth{' '}
          {(here.warmth * 100).toFixed(0)} % of operating
        </span>
        <input
          type="range"
          style={{ width: '100%', minHeight: '44px' }}
          min={0}
          max={moments.length - 1}
          value={at}
          aria-label="Moment of the day"
          aria-valuetext={clock(here.second)}
          onChange={(event) => {
            setAt(Number(event.target.value));
          }}
        />
      </label>
      <p className="quiet">
        Full colour is the house, the lighter on top of it the charger; the solid line is the fuse’s rating, the broken
        one the set-point; a fault lasts as long as the shaded stretch. The dotted line is the fuse’s warmth, on the
        scale where the rating is all of it; indicative only.
      </p>
    </div>
  );
}
