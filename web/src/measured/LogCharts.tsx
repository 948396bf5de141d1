import type { LogAnalysis, PhaseAnalysis } from '@keen-gauge/core/demand/measured/analyse';
import { returnLevel } from '@keen-gauge/core/demand/measured/gumbel';
import type { Phase } from '@keen-gauge/core/survey/words/words';
import { useEffect, useState, type RefObject } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import styled from 'styled-components';
import { Button } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Row, Stack } from '../kit/Panel';
import { HeatMap } from './HeatMap';
import type { LogSession } from './log-session';
import { YearMap } from './YearMap';

const Figures = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(9.5rem, 100%), 1fr));
  gap: 0.5rem 1rem;
  margin: 0;
  & dt {
    color: var(--quiet);
    font-size: 0.86rem;
  }
  & dd {
    margin: 0;
    font: 700 1.05rem/1.3 var(--figures);
  }
`;

const amperes = (value: number | null): string => (value === null ? 'not in this log' : `${value.toFixed(1)} A`);
const axis = { stroke: 'var(--quiet)', fontSize: 12, tickLine: false } as const;

/** What a log says, in figures and pictures, one phase at a time. */
export default function LogCharts({
  analysis,
  session,
}: {
  readonly analysis: LogAnalysis;
  readonly session: RefObject<LogSession | null>;
}) {
  const phases = Object.keys(analysis.phases) as Phase[];
  const [phase, setPhase] = useState<Phase>(phases[0] ?? 'L1');
  const found = analysis.phases[phase];
  if (!found) return null;
  return (
    <Stack>
      {phases.length > 1 && (
        <Choice
          label="Phase"
          tile="4.4rem"
          value={phase}
          options={phases.map((value) => ({ value, label: value }))}
          onChange={setPhase}
        />
      )}
      <Figures>
        {(
          [
            ['Peak reading', amperes(found.peakA)],
            ['Highest mean, 1 min', amperes(found.mean1A)],
            ['Highest mean, 10 min', amperes(found.mean10A)],
            ['Highest mean, 30 min', amperes(found.mean30A)],
            ['99.9 % of the time below', amperes(found.quantile999A)],
            ['Base load', amperes(found.baseA)],
            ['Whole days', String(analysis.days)],
            ['Covered', `${(analysis.coverage * 100).toFixed(1)} %`],
          ] as const
        ).map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </Figures>
      <Trace analysis={analysis} phase={phase} session={session} />
      <section aria-label="The week by the hour">
        <h3>The week by the hour, mean amperes</h3>
        <HeatMap weekA={found.weekA} />
      </section>
      <section aria-label="The year">
        <h3>Hour by day, mean amperes</h3>
        <YearMap hours={found.hours} />
      </section>
      <DayProfile found={found} />
      <Duration found={found} />
      <WorseDay found={found} />
    </Stack>
  );
}

interface Point {
  readonly at: number;
  readonly range: readonly [number, number] | null;
}

const STEPS = 700;

/** The readings over time, lowest to highest of each step so that no peak is lost; nearer, farther, along. */
function Trace({
  analysis,
  phase,
  session,
}: {
  readonly analysis: LogAnalysis;
  readonly phase: Phase;
  readonly session: RefObject<LogSession | null>;
}) {
  const [[from, to], setSpan] = useState<readonly [number, number]>([analysis.from, analysis.to]);
  const [points, setPoints] = useState<readonly Point[]>([]);
  useEffect(() => {
    let gone = false;
    void session.current?.trace(phase, from, to, STEPS).then((trace) => {
      if (gone || !trace) return;
      setPoints(
        Array.from(trace.at, (at, step) => {
          const [low, high] = [trace.low[step] ?? NaN, trace.high[step] ?? NaN];
          return { at, range: Number.isNaN(high) ? null : ([low, high] as const) };
        }),
      );
    });
    return () => {
      gone = true;
    };
  }, [session, phase, from, to]);
  const zoom = (factor: number): void => {
    const [middle, half] = [(from + to) / 2, Math.max(900, ((to - from) * factor) / 2)];
    setSpan([Math.max(analysis.from, middle - half), Math.min(analysis.to, middle + half)]);
  };
  const along = (share: number): void => {
    const width = to - from;
    const start = Math.min(analysis.to - width, Math.max(analysis.from, from + width * share));
    setSpan([start, start + width]);
  };
  const peakAt = analysis.phases[phase]?.peakAt ?? from;
  const faulty = analysis.faults.at.filter((at) => at >= from && at <= to).map((at) => ({ at, fault: 0 }));
  const long = to - from > 3 * 86_400;
  const format = new Intl.DateTimeFormat(
    'en-GB',
    long
      ? { day: 'numeric', month: 'short', year: '2-digit' }
      : { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' },
  );
  return (
    <section aria-label="Readings over time">
      <h3>Readings over time</h3>
      <div style={{ height: 220 }}>
        <ResponsiveContainer>
          <ComposedChart data={points} margin={{ left: 0, right: 8, top: 6 }}>
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={[from, to]}
              tickFormatter={(at: number) => format.format(at * 1000)}
              {...axis}
            />
            <YAxis unit=" A" width={56} {...axis} />
            <Area
              dataKey="range"
              stroke="var(--now)"
              fill="var(--now)"
              fillOpacity={0.75}
              strokeWidth={1}
              isAnimationActive={false}
              connectNulls={false}
            />
            <Scatter data={faulty} dataKey="fault" fill="var(--hold)" shape="cross" isAnimationActive={false} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      {analysis.faults.at.length > 0 && (
        <p className="quiet" style={{ fontSize: '0.88rem' }}>
          Crosses at the foot: readings left out. Breaks in the trace: nothing was logged.
        </p>
      )}
      <Row style={{ '--gap': '0.35rem' }}>
        <Button
          onPress={() => {
            zoom(0.4);
          }}
        >
          Nearer
        </Button>
        <Button
          onPress={() => {
            zoom(2.5);
          }}
        >
          Farther
        </Button>
        <Button
          onPress={() => {
            along(-0.5);
          }}
        >
          Earlier
        </Button>
        <Button
          onPress={() => {
            along(0.5);
          }}
        >
          Later
        </Button>
        <Button
          onPress={() => {
            setSpan([Math.max(analysis.from, peakAt - 7200), Math.min(analysis.to, peakAt + 7200)]);
          }}
        >
          The peak
        </Button>
        <Button
          onPress={() => {
            setSpan([analysis.from, analysis.to]);
          }}
        >
          All of it
        </Button>
      </Row>
    </section>
  );
}

/** The usual day: the middle half-hour by half-hour, what nine in ten days stay under, and the highest. */
function DayProfile({ found }: { readonly found: PhaseAnalysis }) {
  const data = found.dayA.map((half, at) => ({
    at: at / 2,
    band: half && [half[0], half[2]],
    middle: half?.[1] ?? null,
    highest: half?.[3] ?? null,
  }));
  return (
    <section aria-label="The day">
      <h3>The day: the middle, eight in ten, and the highest</h3>
      <div style={{ height: 200 }}>
        <ResponsiveContainer>
          <ComposedChart data={data} margin={{ left: 0, right: 8, top: 6 }}>
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis dataKey="at" type="number" domain={[0, 24]} ticks={[0, 6, 12, 18, 24]} unit=" h" {...axis} />
            <YAxis unit=" A" width={56} {...axis} />
            <Tooltip contentStyle={{ background: 'var(--surface)', border: '1px solid var(--strong-line)' }} />
            <Area
              dataKey="band"
              name="8 in 10"
              stroke="none"
              fill="var(--now)"
              fillOpacity={0.3}
              isAnimationActive={false}
            />
            <Line
              dataKey="middle"
              name="middle"
              stroke="var(--now)"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="highest"
              name="highest"
              stroke="var(--added)"
              strokeDasharray="5 3"
              dot={false}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </section>
  );
}

/** How much of the time the current is at least so much. */
function Duration({ found }: { readonly found: PhaseAnalysis }) {
  const data = found.durationA.map((value, percent) => ({ percent, value }));
  return (
    <section aria-label="How much of the time">
      <h3>Amperes passed, by share of the time</h3>
      <div style={{ height: 180 }}>
        <ResponsiveContainer>
          <ComposedChart data={data} margin={{ left: 0, right: 8, top: 6 }}>
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis dataKey="percent" type="number" unit=" %" domain={[0, 100]} {...axis} />
            <YAxis unit=" A" width={56} {...axis} />
            <Area
              dataKey="value"
              name="at least"
              stroke="var(--now)"
              fill="var(--now)"
              fillOpacity={0.25}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </section>
  );
}

/** The fit to the days' highest half hours, with the days themselves: a doubter sees whether they lie on the line. */
function WorseDay({ found }: { readonly found: PhaseAnalysis }) {
  const worse = found.worseDay;
  if (!worse) return <p className="quiet">Under seven whole days: a worse day can’t be worked out yet.</p>;
  const count = worse.dailyHighsA.length;
  // Where each of so many days is expected to lie if the fit is right (Gringorten).
  const data = worse.dailyHighsA.map((seen, at) => {
    const share = (at + 0.56) / (count + 0.12);
    return {
      expected: -Math.log(-Math.log(share)),
      seen,
      fitted: worse.fit.location - worse.fit.scale * Math.log(-Math.log(share)),
    };
  });
  const year = -Math.log(-Math.log(1 - 1 / 365));
  return (
    <section aria-label="A worse day">
      <h3>A worse day: {worse.onceAYearA.toFixed(1)} A on one day in a year</h3>
      <p className="quiet">
        Each dot is a day&rsquo;s highest half-hour mean; the line is the fitted Gumbel distribution. In nine cases of
        ten the level lies between {worse.lowA.toFixed(1)} and {worse.highA.toFixed(1)} A. Where the dots leave the line
        at the upper end, doubt it.
      </p>
      <div style={{ height: 220 }}>
        <ResponsiveContainer>
          <ComposedChart
            data={[...data, { expected: year, fitted: returnLevel(worse.fit, 365) }]}
            margin={{ left: 0, right: 8, top: 6 }}
          >
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis
              dataKey="expected"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={(value: number) => value.toFixed(0)}
              {...axis}
            />
            <YAxis unit=" A" width={56} domain={['auto', 'auto']} {...axis} />
            <Line
              dataKey="fitted"
              name="fitted"
              stroke="var(--added)"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
            <Scatter dataKey="seen" name="seen" fill="var(--now)" isAnimationActive={false} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </section>
  );
}
