import type { TrialRecord, TrialSpread, TrialWayResult } from '@keen-gauge/core/survey/trial';
import { lazy, Suspense, useState } from 'react';
import styled from 'styled-components';
import { Waiting } from '../app/Waiting';
import { Select } from '../kit/Select';

const QuantileChart = lazy(() => import('./QuantileChart'));

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
  & th {
    hyphens: none;
    overflow-wrap: normal;
  }
  & th:first-child {
    text-align: left;
    white-space: nowrap;
  }
`;

/** The figures of a trial, each that of a year. */
export const FIGURES = [
  { id: 'highestA', name: 'Highest', unit: 'A', digits: 1 },
  { id: 'minutesOver', name: 'Minutes over', unit: 'min', digits: 0 },
  { id: 'longestOverMin', name: 'Longest run over', unit: 'min', digits: 0 },
  { id: 'warmestPercent', name: 'Fuse warmth', unit: '%', digits: 0 },
  { id: 'morningsShort', name: 'Mornings short', unit: '', digits: 0 },
  { id: 'shortKwh', name: 'Short', unit: 'kWh', digits: 0 },
  { id: 'pauses', name: 'Pauses', unit: '', digits: 0 },
] as const satisfies readonly { readonly id: keyof TrialWayResult; name: string; unit: string; digits: number }[];
export type TrialFigure = (typeof FIGURES)[number];

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
        Of each year: the middle household · nineteen in twenty stay under. The fuse is {record.ratingA} A; its warmth
        is a share of what operates it, indicative only.
      </p>
      <Scroll tabIndex={0} role="group" aria-label="Figures of the trial">
        <Table>
          <thead>
            <tr>
              <th scope="col">Way</th>
              {FIGURES.map(({ id, name, unit }) => (
                <th key={id} scope="col">
                  {name}
                  {unit === '' ? '' : `, ${unit}`}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {ways.map((way) => (
              <tr key={way.id}>
                <th scope="row">{way.name}</th>
                {FIGURES.map(({ id, digits }) => (
                  <td key={id} className="figures">
                    {cell(way[id], digits)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </Table>
      </Scroll>
      <div style={{ maxWidth: '16rem' }}>
        <Select
          label="Drawn"
          value={drawn}
          options={FIGURES.map(({ id, name, unit }) => ({ value: id, label: unit === '' ? name : `${name}, ${unit}` }))}
          onChange={setDrawn}
        />
      </div>
      <Suspense fallback={<Waiting />}>
        <QuantileChart ways={ways} figure={figure} ratingA={record.ratingA ?? 0} />
      </Suspense>
    </>
  );
}
