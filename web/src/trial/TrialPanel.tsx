import type { Moment } from '@keen-gauge/core/trial/evening';
import { trialPlan, type TrialPlan } from '@keen-gauge/core/trial/plan';
import { statistics, type Spread } from '@keen-gauge/core/trial/statistics';
import type { YearFigures } from '@keen-gauge/core/trial/year';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { Waiting } from '../app/Waiting';
import { Button, MainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { NumberInput } from '../kit/NumberInput';
import { Panel, Row } from '../kit/Panel';
import { Select } from '../kit/Select';
import { useSurvey } from '../survey/SurveyContext';
import { TrialRun } from './trial-run';

const EveningChart = lazy(() => import('./EveningChart'));

const Scroll = styled.div`
  overflow-x: auto;
`;

const Table = styled.table`
  border-collapse: collapse;
  min-width: 100%;
  font-variant-numeric: tabular-nums;
  & th,
  & td {
    padding: 0.3rem 0.5rem;
    border-bottom: 1px solid var(--line);
    text-align: right;
    vertical-align: bottom;
  }
  & td {
    white-space: nowrap;
    font-size: 0.93rem;
  }
  & th:first-child {
    text-align: left;
  }
`;

const Track = styled.div`
  height: 12px;
  border: 1.5px solid var(--strong-line);
  border-radius: 6px;
  overflow: hidden;
  & > div {
    height: 100%;
    background: var(--now);
  }
`;

const ALL_YEARS = 100;
const FAULTS = [
  { value: 'none', label: 'None' },
  { value: 'clamp-off', label: 'Clamp off' },
  { value: 'clamp-reversed', label: 'Clamp reversed' },
] as const;

/** The trial: what really happens over many household-years, and one evening of it looked at closely. */
export function TrialPanel({ proposal }: { readonly proposal: Proposal }) {
  const { survey, assessment, pack } = useSurvey();
  const [seed, setSeed] = useState(1);
  const [plan, setPlan] = useState<TrialPlan | null>(null);
  const [years, setYears] = useState<ReadonlyMap<number, readonly YearFigures[]>>(new Map());
  const [running, setRunning] = useState(false);
  const run = useRef<TrialRun | null>(null);
  const ready = trialPlan(survey, assessment, proposal, pack, seed);

  useEffect(
    () => () => {
      run.current?.stop();
    },
    [],
  );

  const start = (): void => {
    if (!ready) return;
    run.current?.stop();
    const started = new TrialRun(ready);
    run.current = started;
    setPlan(ready);
    setYears(new Map());
    setRunning(true);
    void started
      .play(ALL_YEARS, (index, figures) => {
        setYears((known) => new Map(known).set(index, figures));
      })
      .then(() => {
        if (run.current === started) setRunning(false);
      });
  };
  const stop = (): void => {
    run.current?.stop();
    setRunning(false);
  };

  return (
    <Panel aria-label={`Trial: ${proposal.label ?? 'New charger'}`}>
      <h2>Trial</h2>
      <p className="quiet">
        The appliances listed, used as households use them, with the vehicle coming home, played minute by minute over{' '}
        {ALL_YEARS} household-years. Habits are our own plain estimates: it shows what is likely, and proves nothing
        that the guards do not.
      </p>
      {!ready ? (
        <p>List the appliances of the home and give the charger’s rating; then it can be played.</p>
      ) : (
        <Row style={{ alignItems: 'end' }}>
          <span style={{ width: '8rem' }}>
            <NumberInput
              label="Seed"
              unit=""
              least={1}
              most={1000000}
              whole
              value={seed}
              onChange={(next) => {
                setSeed(next ?? 1);
              }}
            />
          </span>
          {running ? (
            <Button onPress={stop}>Stop</Button>
          ) : (
            <MainButton onPress={start}>{years.size > 0 ? 'Play it again' : 'Play the trial'}</MainButton>
          )}
        </Row>
      )}
      {plan && (
        <ProgressBar aria-label="Household-years played" value={years.size} minValue={0} maxValue={ALL_YEARS}>
          {({ percentage }) => (
            <>
              <span className="quiet">
                {years.size} of {ALL_YEARS} household-years
                {running ? '' : years.size < ALL_YEARS ? ', stopped: what was played is kept' : ''}; seed {plan.seed},{' '}
                {plan.needs.kwhPerDay.toFixed(1)} kWh a day, home about {hour(plan.needs.arrivesH)}
              </span>
              <Track>
                <div style={{ width: `${percentage ?? 0}%` }} />
              </Track>
            </>
          )}
        </ProgressBar>
      )}
      {plan && years.size > 0 && <Figures plan={plan} years={years} />}
      {plan && years.size > 0 && !running && <Evening key={`${plan.seed} ${years.size}`} plan={plan} years={years} />}
    </Panel>
  );
}

function hour(hours: number): string {
  return `${Math.floor(hours)}:${String(Math.round((hours % 1) * 60)).padStart(2, '0')}`;
}

/** Each way over all years played: the middle household-year, and what nineteen in twenty stay under. */
function Figures({
  plan,
  years,
}: {
  readonly plan: TrialPlan;
  readonly years: ReadonlyMap<number, readonly YearFigures[]>;
}) {
  const rows = plan.ways.map((way, at) => ({
    way,
    of: statistics([...years.values()].flatMap((each) => each[at] ?? [])),
  }));
  const cell = ({ median, p95 }: Spread, digits: number, unit: string): string =>
    `${median.toFixed(digits)} · ${p95.toFixed(digits)}${unit}`;
  return (
    <Scroll tabIndex={0} role="group" aria-label="Figures of the trial">
      <Table>
        <caption className="quiet" style={{ textAlign: 'left' }}>
          Of each year: the middle household · nineteen in twenty stay under.
        </caption>
        <thead>
          <tr>
            <th scope="col">Way</th>
            <th scope="col">Highest, A</th>
            <th scope="col">Minutes over {plan.terms.ratingA} A</th>
            <th scope="col">Longest run, min</th>
            <th scope="col">Fuse warmth, %</th>
            <th scope="col">Mornings short</th>
            <th scope="col">Short, kWh</th>
            <th scope="col">Pauses</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ way, of }) => (
            <tr key={way.id}>
              <th scope="row">{way.name}</th>
              <td className="figures">{cell(of.highestA, 1, '')}</td>
              <td className="figures">{cell(of.minutesOver, 0, '')}</td>
              <td className="figures">{cell(of.longestOverMin, 0, '')}</td>
              <td className="figures">{cell(scaled(of.warmest, 100), 0, '')}</td>
              <td className="figures">{cell(of.morningsShort, 0, '')}</td>
              <td className="figures">{cell(of.shortKwh, 0, '')}</td>
              <td className="figures">{cell(of.pauses, 0, '')}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Scroll>
  );
}

function scaled({ median, p90, p95, most }: Spread, by: number): Spread {
  return { median: median * by, p90: p90 * by, p95: p95 * by, most: most * by };
}

/** The hardest day of all that were played under one way, second by second, with a fault if wanted. */
function Evening({
  plan,
  years,
}: {
  readonly plan: TrialPlan;
  readonly years: ReadonlyMap<number, readonly YearFigures[]>;
}) {
  const [way, setWay] = useState(plan.ways.at(-1)?.id ?? 'managed');
  const [fault, setFault] = useState<(typeof FAULTS)[number]['value']>('none');
  const [moments, setMoments] = useState<readonly Moment[]>([]);
  const at = plan.ways.findIndex(({ id }) => id === way);
  const running = plan.ways[at]?.running;
  useEffect(() => {
    let gone = false;
    let [index, day, most] = [0, 0, -1];
    for (const [year, figures] of years) {
      const found = figures[at];
      if (found && found.highestA > most) [index, day, most] = [year, found.highestDay, found.highestA];
    }
    const run = new TrialRun(plan);
    void run.evening(index, day, at, fault === 'none' ? undefined : fault).then((played) => {
      if (!gone) setMoments(played);
      run.stop();
    });
    return () => {
      gone = true;
      run.stop();
    };
  }, [plan, years, at, fault]);
  return (
    <section aria-label="One evening" style={{ display: 'grid', gap: '0.7rem' }}>
      <h3>The hardest day of them, second by second</h3>
      <Row style={{ alignItems: 'end' }}>
        <span style={{ minWidth: '14rem' }}>
          <Select
            label="Run as"
            value={way}
            options={plan.ways.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setWay}
          />
        </span>
      </Row>
      {running?.kind === 'managed' && (
        <Choice label="With a fault" tile="8.5rem" value={fault} options={FAULTS} onChange={setFault} />
      )}
      <Suspense fallback={<Waiting />}>
        {moments.length > 0 && (
          <EveningChart
            moments={moments}
            ratingA={plan.terms.ratingA}
            setPointA={running?.kind === 'managed' ? running.setPointA : null}
          />
        )}
      </Suspense>
    </section>
  );
}
