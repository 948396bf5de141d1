import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { TRIAL_FAULT_NAMES, TRIAL_FAULTS, type TrialFault } from '@keen-gauge/core/survey/words/trial-words';
import type { LogDays } from '@keen-gauge/core/trial/log-year';
import { FAULT_SHARE, trialPlan, type TrialPlan } from '@keen-gauge/core/trial/plan';
import { stillTrue, trialRecord } from '@keen-gauge/core/trial/record';
import type { YearFigures } from '@keen-gauge/core/trial/year';
import { useEffect, useRef, useState } from 'react';
import { ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { Button, MainButton } from '../kit/Button';
import { NumberInput } from '../kit/NumberInput';
import { Notice } from '../kit/Notice';
import { Panel, Row } from '../kit/Panel';
import { Select } from '../kit/Select';
import { useSurvey } from '../survey/SurveyContext';
import { TrialEvening } from './TrialEvening';
import { TrialFigures } from './TrialFigures';
import { loadLogDays } from './trial-log';
import { TrialRun } from './trial-run';

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
const SHOWN_EVERY_MS = 700;
const HABITS = 'habits';

/** What was played, and from what. */
interface Played {
  readonly plan: TrialPlan;
  readonly days: LogDays;
  readonly years: ReadonlyMap<number, readonly YearFigures[]>;
}

/** The trial: what a year is likely to look like under each way of running the charger, and one evening of it closely. */
export function TrialPanel({ proposal }: { readonly proposal: Proposal }) {
  const { survey, assessment, rules, job, me, store } = useSurvey();
  const [seed, setSeed] = useState(1);
  const [source, setSource] = useState(HABITS);
  const [fault, setFault] = useState<TrialFault | 'none'>('none');
  const [played, setPlayed] = useState<Played | null>(null);
  const [running, setRunning] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const run = useRef<TrialRun | null>(null);
  /** Which start is the newest; any older one ends of itself. */
  const turn = useRef(0);
  /** Shows what was played up to now. */
  const stopped = useRef<() => void>(() => undefined);
  const logs = survey.measurements.filter(({ fileId }) => fileId !== undefined);
  const log = logs.find(({ id }) => id === source);
  const planned = trialPlan(survey, assessment, proposal, rules, {
    seed,
    measurementId: log?.id,
    fault: fault === 'none' ? undefined : fault,
  });
  const ready = 'needs' in planned ? null : planned;

  useEffect(
    () => () => {
      run.current?.stop();
    },
    [],
  );

  const start = async (): Promise<void> => {
    if (!ready) return;
    run.current?.stop();
    setWrong(null);
    setPlayed(null);
    setRunning(true);
    try {
      const mine = (turn.current += 1);
      const days = log ? await loadLogDays(job.id, log, assessment.supply.phases, rules) : {};
      // Stopped, or started again, while the log was read.
      if (turn.current !== mine) return;
      const started = new TrialRun(ready, days);
      run.current = started;
      setPlayed({ plan: ready, days, years: new Map() });
      // Told a few times a second: drawing every household-year would take the processor from those that play them.
      const years = new Map<number, readonly YearFigures[]>();
      let shownAt = 0;
      const show = (): void => {
        shownAt = performance.now();
        setPlayed((known) => known && { ...known, years: new Map(years) });
      };
      stopped.current = show;
      await started.play(ALL_YEARS, (index, figures) => {
        years.set(index, figures);
        if (years.size === 1 || performance.now() - shownAt > SHOWN_EVERY_MS) show();
      });
      show();
      started.stop();
      if (run.current === started) setRunning(false);
    } catch (error) {
      setWrong(error instanceof Error ? error.message : 'The trial could not be played.');
      setRunning(false);
    }
  };
  const stop = (): void => {
    turn.current += 1;
    run.current?.stop();
    stopped.current();
    setRunning(false);
  };
  const keep = ({ plan, years }: Played): void => {
    const inOrder = [...years.entries()].sort(([a], [b]) => a - b).map(([, figures]) => figures);
    const record = trialRecord(proposal.id, plan, inOrder, { by: me.name, at: new Date().toISOString() });
    store.edit({ ...survey, trials: [...(survey.trials ?? []).filter(({ id }) => id !== proposal.id), record] });
  };
  const years = played?.years.size ?? 0;

  return (
    <Panel aria-label={`Trial: ${proposal.label ?? 'New charger'}`}>
      <h2>Trial</h2>
      <p className="quiet">
        The house with the vehicle coming home, played minute by minute over {ALL_YEARS} household-years. Habits are our
        own plain estimates
        {(survey.place.premises ?? 'household') === 'household' ? '' : ', those of homes whatever the premises'}: it
        shows what is likely, and proves nothing that the guards do not.
      </p>
      {!ready ? (
        <p>To be played it still needs: {'needs' in planned ? planned.needs : ''}</p>
      ) : (
        <Row style={{ alignItems: 'end' }}>
          {logs.length > 0 && (
            <span style={{ minWidth: 'min(13rem, 100%)' }}>
              <Select
                label="The house"
                value={log?.id ?? HABITS}
                options={[
                  { value: HABITS, label: 'Appliances and habits' },
                  ...logs.map(({ id, fileName }) => ({ value: id, label: `Log: ${fileName ?? id}` })),
                ]}
                onChange={setSource}
              />
            </span>
          )}
          <span style={{ minWidth: 'min(13rem, 100%)' }}>
            <Select
              label={`One day in ${Math.round(1 / FAULT_SHARE)} with`}
              value={fault}
              options={[
                { value: 'none', label: 'No fault' },
                ...TRIAL_FAULTS.map((each) => ({ value: each, label: TRIAL_FAULT_NAMES[each] })),
              ]}
              onChange={setFault}
            />
          </span>
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
            <MainButton onPress={() => void start()}>{years > 0 ? 'Play it again' : 'Play the trial'}</MainButton>
          )}
        </Row>
      )}
      {log && (
        <LogCaution intervalS={log.intervalS ?? 0} days={log.days ?? 0} blind={proposal.limiter.kind === 'clamp'} />
      )}
      {wrong !== null && <Notice kind="act" title={wrong} />}
      {played && (
        <ProgressBar aria-label="Household-years played" value={years} minValue={0} maxValue={ALL_YEARS}>
          {({ percentage }) => (
            <>
              <span className="quiet">
                {years} of {ALL_YEARS} household-years
                {running ? '' : years < ALL_YEARS ? ', stopped: what was played is kept' : ''}; seed {played.plan.seed}
                {vehicleWords(played.plan)}
              </span>
              <Track>
                <div style={{ width: `${percentage ?? 0}%` }} />
              </Track>
            </>
          )}
        </ProgressBar>
      )}
      {played && years > 0 ? (
        <>
          <TrialFigures
            record={trialRecord(proposal.id, played.plan, [...played.years.values()], { by: me.name, at: '' })}
          />
          {!running && (
            <>
              <Row>
                <Button
                  onPress={() => {
                    keep(played);
                  }}
                >
                  Keep it with the survey
                </Button>
              </Row>
              <TrialEvening key={`${played.plan.seed} ${years}`} {...played} />
            </>
          )}
        </>
      ) : (
        <Kept proposal={proposal} />
      )}
    </Panel>
  );
}

/** What was kept of an earlier trial, and whether the survey still says what it was played from. */
function Kept({ proposal }: { readonly proposal: Proposal }) {
  const { survey, assessment, rules } = useSurvey();
  const record = survey.trials?.find(({ id }) => id === proposal.id);
  if (!record) return null;
  const { seed = 1, measurementId, fault, years = 0, playedBy = '', playedAt } = record;
  const plan = trialPlan(survey, assessment, proposal, rules, { seed, measurementId, fault });
  return (
    <>
      <h3>Kept with the survey</h3>
      <p className="quiet">
        {years} household-years, seed {seed}
        {fault === undefined ? '' : `, ${TRIAL_FAULT_NAMES[fault].toLowerCase()} on some days`}; played by {playedBy}
        {playedAt === undefined ? '' : `, ${new Date(playedAt).toLocaleString('en-GB')}`}
      </p>
      {!stillTrue(record, plan) && (
        <Notice kind="ask" title="What it was played from has changed since. Play it again." />
      )}
      <TrialFigures record={record} />
    </>
  );
}

function LogCaution({
  intervalS,
  days,
  blind,
}: {
  readonly intervalS: number;
  readonly days: number;
  readonly blind: boolean;
}) {
  return (
    <p className="quiet">
      Days are drawn from the {days} whole days logged, of the season and kind where there are any.
      {intervalS > 60
        ? ` Its readings are ${Math.round(intervalS / 60)} min apart: what happens between them is not seen, and minutes over come out too few.`
        : ''}
      {blind ? ' Which part of a log the clamp would not see is not known: it is taken to see all.' : ''}
    </p>
  );
}

/** What the vehicle wants and when it is there. */
function vehicleWords({ chargers }: TrialPlan): string {
  const [first, ...others] = chargers;
  if (!first || first.asks) return '';
  const { kwhPerDay, arrivesH, cheap } = first.needs;
  const hours = cheap ? `, charging from ${hour(cheap.fromH)} to ${hour(cheap.toH)}` : '';
  const each = others.some(({ asks }) => asks === undefined) ? ' for each vehicle' : '';
  return `, ${kwhPerDay.toFixed(1)} kWh a day${each}, home about ${hour(arrivesH)}${hours}`;
}

export function hour(hours: number): string {
  return `${Math.floor(hours)}:${String(Math.round((hours % 1) * 60)).padStart(2, '0')}`;
}
