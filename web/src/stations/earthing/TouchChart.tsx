import type { OpenPenAssessment } from '@keen-gauge/core/earthing/open-pen';
import { touchCurve } from '@keen-gauge/core/earthing/touch-voltage';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { useSurvey } from '../../survey/SurveyContext';

const axis = { stroke: 'var(--quiet)', fontSize: 12, tickLine: false } as const;

/** Touch voltage against the electrode's resistance, for the load of this site, with the limit and what was measured. */
export default function TouchChart({ way }: { readonly way: OpenPenAssessment }) {
  const { rules } = useSurvey();
  const { loadA, electrodeOhm, touchV, largestElectrode } = way;
  if (loadA === null || largestElectrode.value === null) return null;
  const limitV = rules.earthing.pen.value.touchV;
  const upTo = Math.max(20, Math.ceil(Math.min(electrodeOhm ?? 0, 200) * 1.2), largestElectrode.value * 3);
  const most = largestElectrode.value;
  const words = `Touch voltage by electrode resistance at ${loadA.toFixed(1)} A: ${limitV} V is reached at ${most.toFixed(2)} ohms.`;
  return (
    <figure style={{ margin: 0 }}>
      <figcaption className="quiet" style={{ marginBottom: '0.3rem' }}>
        Touch voltage by electrode resistance at {loadA.toFixed(1)} A. Above <strong>{most.toFixed(2)} Ω</strong> it
        passes {limitV} V; a single rod has tens of ohms.
      </figcaption>
      <div role="img" aria-label={words}>
        <ResponsiveContainer width="100%" height={220} initialDimension={{ width: 600, height: 220 }}>
          <LineChart data={touchCurve(loadA, upTo, rules)} margin={{ top: 8, right: 18, bottom: 18, left: 0 }}>
            <CartesianGrid stroke="var(--line)" strokeDasharray="2 4" />
            <XAxis
              {...axis}
              type="number"
              dataKey="ohm"
              domain={[0, upTo]}
              label={{ value: 'Ω of the electrode', position: 'insideBottom', offset: -10, fill: 'var(--quiet)' }}
            />
            <YAxis {...axis} type="number" domain={[0, 260]} ticks={[0, 70, 130, 190, 253]} unit=" V" width={58} />
            <ReferenceLine y={limitV} stroke="var(--hold)" strokeDasharray="6 4" />
            <ReferenceLine x={most} stroke="var(--fit)" strokeDasharray="6 4" />
            <Line dataKey="volts" stroke="var(--now)" strokeWidth={3} dot={false} isAnimationActive={false} />
            {electrodeOhm !== null && touchV !== null && electrodeOhm <= upTo && (
              <ReferenceDot
                x={electrodeOhm}
                y={touchV}
                r={6}
                fill="var(--added)"
                stroke="var(--surface)"
                label={{ value: `${electrodeOhm} Ω: ${touchV.toFixed(0)} V`, position: 'top', fill: 'var(--ink)' }}
              />
            )}
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
