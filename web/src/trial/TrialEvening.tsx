import { TRIAL_FAULT_NAMES, TRIAL_FAULTS, type TrialFault } from '@keen-gauge/core/survey/words/trial-words';
import { faultWindow, SLOW_S, type Moment } from '@keen-gauge/core/trial/evening';
import { EVENING_TERMS } from '@keen-gauge/core/trial/play';
import type { LogDays } from '@keen-gauge/core/trial/log-year';
import type { TrialPlan } from '@keen-gauge/core/trial/plan';
import type { YearFigures } from '@keen-gauge/core/trial/year';
import { useEffect, useState } from 'react';
import { lazyPart } from '../kit/lazy-part';
import { Choice } from '../kit/Choice';
import { Row } from '../kit/Panel';
import { Select } from '../kit/Select';
import { TrialRun } from './trial-run';

const EveningChart = lazyPart(() => import('./EveningChart'));

const WHAT: Readonly<Record<TrialFault, string>> = {
  'clamp-off':
    'The clamp’s lead comes off half an hour after the vehicle came, for two hours: the fail-safe current at once.',
  'clamp-reversed': 'The clamp is on the wrong way round: the more the house takes, the more the charger is given.',
  lag: `For two hours the controller looks only every ${SLOW_S} s.`,
  'link-lost': `Half an hour after the vehicle came nobody tells the charger anything for two hours: after ${EVENING_TERMS.timeoutS} s it falls back.`,
  'vehicle-slow': `For two hours the vehicle follows ${SLOW_S} s late.`,
};

/** The hardest day of all that were played under one way, second by second, with a fault if wanted. */
export function TrialEvening({
  plan,
  days,
  years,
}: {
  readonly plan: TrialPlan;
  readonly days: LogDays;
  readonly years: ReadonlyMap<number, readonly YearFigures[]>;
}) {
  const [wayId, setWayId] = useState(plan.ways.at(-1)?.id ?? 'managed');
  const [fault, setFault] = useState<TrialFault | 'none'>('none');
  const [moments, setMoments] = useState<readonly Moment[]>([]);
  const way = plan.ways.findIndex(({ id }) => id === wayId);
  const running = plan.ways[way]?.runs[0]?.running;
  useEffect(() => {
    let gone = false;
    let [index, day, most] = [0, 0, -1];
    for (const [year, figures] of years) {
      const found = figures[way];
      if (found && found.highestA > most) [index, day, most] = [year, found.highestDay, found.highestA];
    }
    const run = new TrialRun(plan, days, 1);
    void run.evening({ index, day, way }, fault === 'none' ? undefined : fault).then((played) => {
      if (!gone) setMoments(played);
      run.stop();
    });
    return () => {
      gone = true;
      run.stop();
    };
  }, [plan, days, years, way, fault]);
  const window = fault === 'none' ? null : faultWindow(fault, plan.chargers[0]?.needs.arrivesH ?? 0);
  return (
    <section aria-label="One evening" style={{ display: 'grid', gap: '0.7rem' }}>
      <h3>The hardest day of them, second by second</h3>
      <Row style={{ alignItems: 'end' }}>
        <span style={{ minWidth: 'min(14rem, 100%)' }}>
          <Select
            label="Run as"
            value={wayId}
            options={plan.ways.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setWayId}
          />
        </span>
      </Row>
      {running?.kind === 'managed' && (
        <Choice
          label="With a fault"
          tile="8.5rem"
          value={fault}
          options={[
            { value: 'none', label: 'None' },
            ...TRIAL_FAULTS.map((each) => ({ value: each, label: TRIAL_FAULT_NAMES[each] })),
          ]}
          onChange={setFault}
        />
      )}
      {fault !== 'none' && running?.kind === 'managed' && <p className="quiet">{WHAT[fault]}</p>}
      {moments.length > 0 && (
        <EveningChart
          moments={moments}
          ratingA={plan.parts[0]?.ratingA ?? 0}
          setPointA={running?.kind === 'managed' ? running.setPointA : null}
          fault={running?.kind === 'managed' && window ? window : null}
        />
      )}
    </section>
  );
}
