import type { TrialRecord, TrialSpread, TrialWayResult } from '@keen-gauge/core/survey/trial';
import { useState } from 'react';
import { lazyPart } from '../kit/lazy-part';
import { Select } from '../kit/Select';
import { Table } from '../kit/Table';
import { FIGURES, type TrialFigure } from './figures';

const QuantileChart = lazyPart(() => import('./QuantileChart'));

const withUnit = (name: string, unit: string): string => (unit === '' ? name : `${name}, ${unit}`);

/** Each way over all years played: the middle household-year and what nineteen in twenty stay under; one figure drawn. */
export function TrialFigures({ record }: { readonly record: TrialRecord }) {
  const [drawn, setDrawn] = useState<TrialFigure['id']>('highestA');
  const ways = record.ways ?? [];
  const figure = FIGURES.find(({ id }) => id === drawn) ?? FIGURES[0];
  const cell = (spread: TrialSpread | undefined, digits: number): string =>
    `${(spread?.median ?? 0).toFixed(digits)} · ${(spread?.p95 ?? 0).toFixed(digits)}`;
  return (
    <>
      <p className="quiet">
        Of each year: the middle household · nineteen in twenty stay under. The fuse is {record.ratingA} A, the fullest
        line counts; its warmth is a share of what operates it, indicative only.
        {record.source === 'habits' && record.houseKwh
          ? ` These households take ${cell(record.houseKwh, 0)} kWh a year without the chargers.`
          : ''}
      </p>
      {(record.loads ?? []).some((load) => load.assumed) && (
        <p className="quiet">
          Assumed: {assumedWords(record)}. List the appliances, or confirm the loads, and play it again.
        </p>
      )}
      <Table
        label="Figures of the trial"
        figures
        short
        columns={['Way', ...FIGURES.map(({ name, unit }) => withUnit(name, unit))]}
        rows={ways.map((way) => ({
          id: way.id,
          about: way.name,
          cells: FIGURES.map(({ id, digits }) => (
            <span key={id} className="figures">
              {cell(way[id], digits)}
            </span>
          )),
        }))}
      />
      <div style={{ maxWidth: '16rem' }}>
        <Select
          label="Drawn"
          value={drawn}
          options={FIGURES.map(({ id, name, unit }) => ({ value: id, label: withUnit(name, unit) }))}
          onChange={setDrawn}
        />
      </div>
      <OtherParts ways={ways} cell={cell} />
      <QuantileChart ways={ways} figure={figure} ratingA={record.ratingA ?? 0} />
    </>
  );
}

/** Parts of the supply beside its fuse: the highest current and the minutes over, way by way. */
function OtherParts({
  ways,
  cell,
}: {
  readonly ways: readonly TrialWayResult[];
  readonly cell: (spread: TrialSpread | undefined, digits: number) => string;
}) {
  const parts = ways[0]?.parts ?? [];
  if (parts.length === 0) return null;
  return (
    <>
      <p className="quiet">Other parts on the way: highest current, A, and minutes over</p>
      <Table
        label="Other parts on the way"
        figures
        short
        columns={['Way', ...parts.map(({ id, label, ratingA }) => `${label ?? id}, ${ratingA} A`)]}
        rows={ways.map((way) => ({
          id: way.id,
          about: way.name,
          cells: (way.parts ?? []).map(({ id, highestA, minutesOver }) => (
            <span key={id} className="figures">
              {cell(highestA, 1)} A; {cell(minutesOver, 0)} min
            </span>
          )),
        }))}
      />
    </>
  );
}

/** What of the loads nobody has listed or confirmed. */
function assumedWords({ loads = [] }: TrialRecord): string {
  const sockets = loads.some(({ assumed, class: kind }) => assumed && kind === 'socket-circuit');
  const others = loads.filter(({ assumed, class: kind }) => assumed && kind !== 'socket-circuit').length;
  return [
    ...(sockets ? ['what is plugged in, since only the socket circuits are known'] : []),
    ...(others > 0 ? [`${others} load${others === 1 ? '' : 's'} that nobody has confirmed`] : []),
  ].join('; ');
}
