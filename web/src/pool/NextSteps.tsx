import { carriedSpread, yearReached, type CarriedSpread } from '@keen-gauge/core/pool/growth';
import { nextSteps, type NextStep } from '@keen-gauge/core/pool/next-steps';
import type { PlannedPool } from '@keen-gauge/core/pool/plan';
import { useEffect, useRef, useState } from 'react';
import { Notice } from '../kit/Notice';
import { Row } from '../kit/Panel';
import { useSurvey } from '../survey/SurveyContext';
import { weeksWords } from '../site/site-words';
import { carsWords, yearWords } from './pool-words';
import { PoolRun } from './pool-run';
import { RunButton } from './RunButton';

const SEEDS = 5;

interface Tried {
  readonly step: NextStep;
  readonly carries: CarriedSpread | null;
}

/** What would carry more cars than the row does now, cheapest first, each played under the same policy. */
export function NextSteps({ planned, now }: { readonly planned: PlannedPool; readonly now: CarriedSpread }) {
  const { survey, rules } = useSurvey();
  const [tried, setTried] = useState<readonly Tried[]>([]);
  const [isRunning, setRunning] = useState(false);
  const [hasFailed, setFailed] = useState(false);
  const run = useRef<PoolRun | null>(null);
  useEffect(
    () => () => {
      run.current?.stop();
    },
    [],
  );
  const start = async (): Promise<void> => {
    setFailed(false);
    setRunning(true);
    const steps = nextSteps(survey, rules);
    setTried(steps.map((step) => ({ step, carries: null })));
    try {
      for (const step of steps) {
        const mine = new PoolRun(step.planned);
        run.current = mine;
        const found: number[] = [];
        await mine.play([planned.terms.policy], SEEDS, ({ carried }) => found.push(carried));
        mine.stop();
        // Stopped meanwhile: what was played before stays.
        if (found.length < SEEDS) break;
        const carries = carriedSpread(found);
        setTried((known) => known.map((each) => (each.step === step ? { step, carries } : each)));
      }
    } catch {
      setFailed(true);
    }
    setRunning(false);
  };
  const { years } = planned;
  const best = tried.find(({ carries }) => carries !== null && carries.median > now.median);
  return (
    <>
      <h3>Room for more cars</h3>
      <Row>
        <RunButton
          isRunning={isRunning}
          onStart={() => void start()}
          onStop={() => {
            run.current?.stop();
            setRunning(false);
          }}
        >
          {tried.length === 0 ? 'Compare next steps' : 'Compare next steps again'}
        </RunButton>
        <span className="quiet">Higher set-point, next fuse size, three phases, separate supply.</span>
      </Row>
      {hasFailed && <Notice kind="act" title="The next steps could not be played. Try again." />}
      {best?.carries && (
        <p>
          Cheapest next step: <strong>{best.step.label}</strong>, which carries{' '}
          {carsWords(best.carries, planned.outlets.length)}
          {years.length > 0 && `, ${yearWords(yearReached(years, best.carries.median), years.at(-1)?.year ?? 0)}`}.
        </p>
      )}
      {!isRunning && tried.length > 0 && !best && tried.every(({ carries }) => carries !== null) && (
        <p>None of these gives room for more cars.</p>
      )}
      {tried.length > 0 && (
        <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
          {tried.map(({ step: { kind, label, costBand, weeks }, carries }) => (
            <li key={kind}>
              <strong>{label}</strong>:{' '}
              {carries === null
                ? isRunning
                  ? 'being played'
                  : 'not played'
                : `carries ${carsWords(carries, planned.outlets.length)}`}
              <span className="quiet">
                . Cost: {rules.costBandWords[costBand]}; wait: {weeksWords(weeks)}.
              </span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
