import { carriedSpread, yearReached } from '@keen-gauge/core/pool/growth';
import { plannedPool, type PlannedPool } from '@keen-gauge/core/pool/plan';
import type { PlayedSeed } from '@keen-gauge/core/pool/play';
import { POLICIES, POLICY_WORDS } from '@keen-gauge/core/pool/policies';
import { useEffect, useRef, useState } from 'react';
import { ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { More } from '../kit/More';
import { FieldGrid } from '../kit/fields';
import { Notice } from '../kit/Notice';
import { Panel, Row } from '../kit/Panel';
import { Track } from '../kit/Track';
import { BoundNumber } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';
import { DriversFields } from './DriversFields';
import { FuseLine } from './FuseLine';
import { NextSteps } from './NextSteps';
import { NightPanel } from './NightPanel';
import { carsWords, yearWords } from './pool-words';
import { PoolRun } from './pool-run';
import { RunButton } from './RunButton';
import { YearsFields } from './YearsFields';

const SEEDS = 10;

const Carried = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.8rem;
`;

/** What is sure, and a mark at the middle. */
const Carries = styled(Track)`
  --height: 16px;
  & > span + span {
    width: 3px;
    background: var(--ink);
  }
`;

interface Played {
  readonly planned: PlannedPool;
  readonly seeds: readonly PlayedSeed[];
}

/** How many cars the pool carries under each policy, until which year, and the night it fails. */
export function CarsPanel() {
  const { survey, assessment, rules } = useSurvey();
  const [played, setPlayed] = useState<Played | null>(null);
  const [isRunning, setRunning] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const run = useRef<PoolRun | null>(null);
  const planned = plannedPool(survey, assessment, rules);
  useEffect(
    () => () => {
      run.current?.stop();
    },
    [],
  );
  const start = async (): Promise<void> => {
    if ('needs' in planned) return;
    run.current?.stop();
    const mine = new PoolRun(planned);
    run.current = mine;
    setWrong(null);
    setRunning(true);
    setPlayed({ planned, seeds: [] });
    try {
      await mine.play(POLICIES, SEEDS, (seed) => {
        setPlayed((known) => known && { ...known, seeds: [...known.seeds, seed] });
      });
    } catch (error) {
      setWrong(error instanceof Error ? error.message : 'It could not be played.');
    }
    mine.stop();
    if (run.current === mine) setRunning(false);
  };
  const all = SEEDS * POLICIES.length;
  const done = played?.seeds.length ?? 0;
  return (
    <Panel aria-label="How many cars">
      <h2>How many cars</h2>
      <p className="quiet">
        Years of drivers coming and going, played minute by minute beside everything else on the supply. It is carried
        while on no more than one morning in twenty somebody finds their car not ready. Drivers’ habits are plain
        estimates of ours until you type others; it shows what is likely, and proves nothing that the guards do not.
      </p>
      <Growth />
      <YearsFields />
      <More
        label="Everything else"
        note={'needs' in planned || planned.elsewhere.from === 'loads' ? 'from the loads of the survey' : 'as typed'}
      >
        <p className="quiet">Typed here, it stands for the loads of the survey.</p>
        <FieldGrid>
          <BoundNumber path={['pool', 'otherEveningA']} label="Each phase, 17:00 to 22:00" />
          <BoundNumber path={['pool', 'otherElseA']} label="Each phase, at other hours" />
        </FieldGrid>
      </More>
      <DriversFields />
      {'needs' in planned ? (
        <p>To be played it still needs: {planned.needs}</p>
      ) : (
        <Row>
          <RunButton
            isMain
            isRunning={isRunning}
            onStart={() => void start()}
            onStop={() => {
              run.current?.stop();
              setRunning(false);
            }}
          >
            {done > 0 ? 'Play it again' : 'Play ten years of each'}
          </RunButton>
        </Row>
      )}
      {wrong !== null && <Notice kind="act" title={wrong} />}
      {played && (
        <ProgressBar aria-label="Played" value={done} minValue={0} maxValue={all}>
          <span className="quiet">
            {done} of {all} played{isRunning ? '' : done < all ? ', stopped: what was played is kept' : ''}
          </span>
        </ProgressBar>
      )}
      {played && !isRunning && !('needs' in planned) && JSON.stringify(planned) !== JSON.stringify(played.planned) && (
        <Notice kind="ask" title="What it was played from has changed since. Play it again." />
      )}
      {played && done > 0 && <Results played={played} />}
      {played && done > 0 && !isRunning && <After played={played} />}
    </Panel>
  );
}

/** What follows from what was played: the fuse, the night it fails, and what would carry more. */
function After({ played: { planned, seeds } }: { readonly played: Played }) {
  const { policy } = planned.terms;
  const carried = seeds.filter((each) => each.policy === policy).map((each) => each.carried);
  if (carried.length === 0) return <NightPanel planned={planned} seeds={seeds} />;
  const now = carriedSpread(carried);
  return (
    <>
      <FuseLine planned={planned} cars={now.median} />
      <NightPanel planned={planned} seeds={seeds} />
      {now.median < planned.outlets.length && <NextSteps planned={planned} now={now} />}
    </>
  );
}

function Growth() {
  return (
    <FieldGrid>
      <BoundNumber path={['pool', 'firstYear']} label="First year" />
      <BoundNumber path={['pool', 'startCars']} label="Cars in the first year" />
      <BoundNumber path={['pool', 'middleYear']} label="Year in which half of the others have come" />
      <BoundNumber path={['pool', 'ceilingCars']} label="Cars in the end" />
    </FieldGrid>
  );
}

function Results({ played: { planned, seeds } }: { readonly played: Played }) {
  const { years } = planned;
  const most = planned.outlets.length;
  const found = POLICIES.flatMap((policy) => {
    const carried = seeds.filter((each) => each.policy === policy).map((each) => each.carried);
    return carried.length === 0 ? [] : [{ policy, spread: carriedSpread(carried) }];
  }).sort((a, b) => b.spread.median - a.spread.median);
  const own = found.find(({ policy }) => policy === planned.terms.policy);
  return (
    <>
      {own && (
        <p style={{ fontSize: '1.15rem', margin: 0 }}>
          <strong>This supply carries {carsWords(own.spread, most)}</strong> under{' '}
          {POLICY_WORDS[own.policy].name.toLowerCase()}
          {years.length > 0 && `: ${yearWords(yearReached(years, own.spread.median), years.at(-1)?.year ?? 0)}`}.
        </p>
      )}
      <Carried aria-label="Cars carried under each policy">
        {found.map(({ policy, spread }) => (
          <li key={policy}>
            <strong>{POLICY_WORDS[policy].name}</strong>: carries {carsWords(spread, most)}
            {years.length > 0 && `, ${yearWords(yearReached(years, spread.median), years.at(-1)?.year ?? 0)}`}
            <Carries aria-hidden>
              <span style={{ left: 0, width: `${(spread.least / most) * 100}%` }} />
              <span style={{ left: `calc(${(spread.median / most) * 100}% - 3px)` }} />
            </Carries>
            <span className="quiet">Needs to know: {POLICY_WORDS[policy].needs}</span>
          </li>
        ))}
        {years.length > 0 && (
          <li>
            <span className="quiet">
              Cars year by year: {years.map(({ year, cars }) => `${year}: ${cars}`).join(', ')}.
            </span>
          </li>
        )}
      </Carried>
    </>
  );
}
