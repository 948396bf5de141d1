import type { TrialWayResult } from '@keen-gauge/core/survey/trial';
import { Bar, CartesianGrid, ComposedChart, ReferenceLine, ResponsiveContainer, Scatter, XAxis, YAxis } from 'recharts';
import type { TrialFigure } from './figures';

const axis = { stroke: 'var(--quiet)', fontSize: 13, tickLine: false } as const;

interface Drawn {
  readonly name: string;
  readonly range: readonly [number, number];
  readonly median: number;
  readonly most: number;
}

/** A post across the band, or a ring for the most that was seen. */
function Mark({
  cx = 0,
  cy = 0,
  ring = false,
}: {
  readonly cx?: number;
  readonly cy?: number;
  readonly ring?: boolean;
}) {
  return ring ? (
    <circle cx={cx} cy={cy} r={4.5} fill="var(--surface)" stroke="var(--ink)" strokeWidth={2} />
  ) : (
    <rect x={cx - 2} y={cy - 12} width={4} height={24} fill="var(--ink)" />
  );
}

/** One figure under each way: a band that nine in ten household-years lie in, a post at the middle one, a ring at the most. */
export default function QuantileChart({
  ways,
  figure,
  ratingA,
}: {
  readonly ways: readonly TrialWayResult[];
  readonly figure: TrialFigure;
  readonly ratingA: number;
}) {
  const data = ways.map((way): Drawn => {
    const { p5 = 0, median = 0, p95 = 0, most = 0 } = way[figure.id] ?? {};
    return { name: way.name ?? way.id, range: [p5, p95], median, most };
  });
  const rated = figure.id === 'highestA';
  const most = Math.max(1, ...data.map((each) => each.most), rated ? ratingA : 0);
  const unit = figure.unit === '' ? '' : ` ${figure.unit}`;
  return (
    <figure style={{ margin: 0 }}>
      <div
        role="img"
        aria-label={data
          .map(
            (each) =>
              `${each.name}: middle ${each.median.toFixed(figure.digits)}${unit}, at most ${each.most.toFixed(figure.digits)}${unit}`,
          )
          .join('; ')}
      >
        <ResponsiveContainer width="100%" height={60 + data.length * 38} initialDimension={{ width: 700, height: 280 }}>
          <ComposedChart layout="vertical" data={data} margin={{ top: 6, right: 24, bottom: 4, left: 6 }}>
            <CartesianGrid stroke="var(--line)" strokeDasharray="2 4" horizontal={false} />
            <XAxis {...axis} type="number" domain={[0, Math.ceil(most * 1.05)]} unit={unit} />
            <YAxis {...axis} type="category" dataKey="name" width={150} />
            <Bar dataKey="range" barSize={16} fill="var(--now)" fillOpacity={0.55} isAnimationActive={false} />
            <Scatter dataKey="median" shape={<Mark />} isAnimationActive={false} />
            <Scatter dataKey="most" shape={<Mark ring />} isAnimationActive={false} />
            {rated && <ReferenceLine x={ratingA} stroke="var(--hold)" strokeWidth={2} strokeDasharray="6 4" />}
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="quiet">
        Band: nine household-years in ten; post: the middle one; ring: the most of all.
        {rated ? ' The broken line is the fuse’s rating.' : ''}
      </figcaption>
    </figure>
  );
}
