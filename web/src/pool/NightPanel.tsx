import type { PlannedPool } from '@keen-gauge/core/pool/plan';
import { NIGHT, type PlayedSeed, type WorstNight } from '@keen-gauge/core/pool/play';
import { POLICY_WORDS, type Policy } from '@keen-gauge/core/pool/policies';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { Button } from '../kit/Button';
import { Row } from '../kit/Panel';
import { Select } from '../kit/Select';
import { PoolRun } from './pool-run';

const Canvas = styled.canvas`
  display: block;
  width: 100%;
  border: 1px solid var(--line);
  image-rendering: pixelated;
`;

const Scrub = styled.input`
  width: 100%;
  min-height: 44px;
  accent-color: var(--accent);
`;

/** One column of the picture, in minutes. */
const COLUMN_MIN = 10;

/** The night before the worst morning with one car more than is carried, outlet by outlet. */
export function NightPanel({
  planned,
  seeds,
}: {
  readonly planned: PlannedPool;
  readonly seeds: readonly PlayedSeed[];
}) {
  const [policy, setPolicy] = useState<Policy>(planned.terms.policy);
  const [night, setNight] = useState<WorstNight | null | undefined>(undefined);
  const one = seeds.find((each) => each.policy === policy);
  const show = async (): Promise<void> => {
    if (!one) return;
    const run = new PoolRun(planned, 1);
    try {
      setNight(await run.night(policy, one.seed, Math.min(planned.outlets.length, one.carried + 1)));
    } finally {
      run.stop();
    }
  };
  const policies = [...new Set(seeds.map((each) => each.policy))];
  return (
    <>
      <h3>The worst night</h3>
      <Row style={{ alignItems: 'end' }}>
        <span style={{ minWidth: 'min(14rem, 100%)' }}>
          <Select
            label="Policy"
            value={policy}
            options={policies.map((value) => ({ value, label: POLICY_WORDS[value].name }))}
            onChange={(next) => {
              setPolicy(next);
              setNight(undefined);
            }}
          />
        </span>
        <Button onPress={() => void show()}>Show it</Button>
      </Row>
      {night === null && <p>No morning fails, with a car in every bay.</p>}
      {night && <Night night={night} />}
    </>
  );
}

function Night({ night: { figures, outletsA } }: { readonly night: WorstNight }) {
  const [from, to] = NIGHT;
  const [minute, setMinute] = useState<number>(from + 8 * 60);
  const canvas = useRef<HTMLCanvasElement>(null);
  const columns = (to - from) / COLUMN_MIN;
  useEffect(() => {
    const sheet = canvas.current?.getContext('2d');
    if (!sheet || !canvas.current) return;
    const style = getComputedStyle(canvas.current);
    sheet.clearRect(0, 0, columns, outletsA.length);
    sheet.fillStyle = style.getPropertyValue('--now');
    outletsA.forEach((amperes, row) => {
      for (let column = 0; column < columns; column += 1) {
        const here = amperes[from + column * COLUMN_MIN] ?? 0;
        if (here === 0) continue;
        sheet.globalAlpha = 0.3 + 0.7 * Math.min(1, here / 32);
        sheet.fillRect(column, row, 1, 1);
      }
    });
  }, [outletsA, columns, from]);
  const charging = outletsA.flatMap((amperes, at) => {
    const here = amperes[minute] ?? 0;
    return here > 0 ? [`bay ${at + 1}: ${here} A`] : [];
  });
  return (
    <>
      <p className="quiet">
        {figures.cars} cars, from noon to noon; every row of the picture is a bay, the darker the more it draws. Over
        the year {Math.round(figures.shortShare * 365)} mornings fail; whoever had least received{' '}
        {Math.round(figures.fairness[0] * 100)} % of what was needed.
      </p>
      <Canvas
        ref={canvas}
        width={columns}
        height={outletsA.length}
        style={{ height: Math.max(60, Math.min(320, outletsA.length * 9)) }}
        role="img"
        aria-label={`What ${outletsA.length} bays draw from noon to noon; move the slider to hear one minute`}
      />
      <label>
        <span className="quiet">At {clock(minute)}</span>
        <Scrub
          type="range"
          min={from}
          max={to - 1}
          step={COLUMN_MIN}
          value={minute}
          aria-label="Time of the night"
          aria-valuetext={clock(minute)}
          onChange={({ target }) => {
            setMinute(Number(target.value));
          }}
        />
      </label>
      <p role="status">
        {charging.length === 0 ? 'Nobody charges.' : `${charging.length} charge: ${charging.join(', ')}.`}
      </p>
    </>
  );
}

const clock = (minute: number): string =>
  `${String(Math.floor(minute / 60) % 24).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
