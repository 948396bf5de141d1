import {
  LOG_UNITS,
  TIME_FORMATS,
  type LogMapping,
  type LogUnit,
  type TimeFormat,
} from '@keen-gauge/core/demand/measured/mapping';
import type { Phase } from '@keen-gauge/core/survey/words/words';
import styled from 'styled-components';
import { FieldGrid } from '../kit/fields';
import { NumberInput } from '../kit/NumberInput';
import { Select } from '../kit/Select';

const Scroll = styled.div`
  overflow: auto;
  max-height: 19rem;
  border: 1px solid var(--line);
  border-radius: var(--corner);
`;

const Table = styled.table`
  border-collapse: collapse;
  font-family: var(--figures);
  font-size: 0.82rem;
  & td,
  & th {
    padding: 0.2rem 0.5rem;
    border-bottom: 1px solid var(--line);
    white-space: nowrap;
    text-align: left;
  }
  & th {
    position: sticky;
    top: 0;
    background: var(--raised);
  }
  & tr[data-skipped] td {
    color: var(--quiet);
    font-style: italic;
  }
  & td[data-role] {
    background: color-mix(in srgb, var(--now) 14%, transparent);
    font-weight: 700;
  }
`;

const FORMAT_WORDS: Readonly<Record<TimeFormat, string>> = {
  'year-first': 'Year first: 2026-01-31 13:45',
  'day-first': 'Day first: 31/01/2026 13:45',
  'month-first': 'Month first: 01/31/2026 13:45',
  'day-month-name': 'Named month: 31 Jan 2026 13:45',
  'epoch-s': 'Seconds since 1970',
  'epoch-ms': 'Milliseconds since 1970',
  spreadsheet: 'Spreadsheet days',
};

const PHASES: readonly Phase[] = ['L1', 'L2', 'L3'];

/** What was guessed of a log, on its own first rows, every part of it open to correction. */
export function MappingForm({
  rows,
  mapping,
  onChange,
}: {
  readonly rows: readonly (readonly string[])[];
  readonly mapping: LogMapping;
  readonly onChange: (mapping: LogMapping) => void;
}) {
  const width = Math.min(60, Math.max(...rows.map((row) => row.length)));
  const header = rows[mapping.skipRows - 1] ?? [];
  const columns = Array.from({ length: width }, (_, column) => ({
    value: String(column),
    label: `${column + 1}: ${header[column]?.trim() || 'no name'}`,
  }));
  const none = { value: '-', label: 'None' };
  const valueOf = (phase: Phase): string => String(mapping.values.find((each) => each.phase === phase)?.column ?? '-');
  const setPhase = (phase: Phase, column: string): void => {
    const others = mapping.values.filter((each) => each.phase !== phase);
    const values = column === '-' ? others : [...others, { phase, column: Number(column) }];
    values.sort((a, b) => PHASES.indexOf(a.phase) - PHASES.indexOf(b.phase));
    if (values.length > 0) onChange({ ...mapping, values });
  };
  const roleOf = (column: number): string | undefined => {
    if (mapping.timeColumns.includes(column)) return 'time';
    if (mapping.layout === 'wide') {
      const first = mapping.values[0]?.column ?? 0;
      const at = (column - first) / (mapping.every ?? 1);
      return at >= 0 && at < (mapping.perDay ?? 48) && Number.isInteger(at) ? mapping.unit : undefined;
    }
    const value = mapping.values.find((each) => each.column === column);
    return value && `${value.phase}, ${mapping.unit}`;
  };
  return (
    <>
      <Scroll tabIndex={0} role="region" aria-label="First rows of the file">
        <Table>
          <thead>
            <tr>
              {columns.map(({ value }, column) => (
                <th key={value} scope="col">
                  {column + 1} {roleOf(column) ?? ''}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, 14).map((row, at) => (
              <tr key={at} data-skipped={at < mapping.skipRows ? '' : undefined}>
                {columns.map(({ value }, column) => (
                  <td key={value} data-role={at >= mapping.skipRows ? roleOf(column) : undefined}>
                    {row[column] ?? ''}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </Table>
      </Scroll>
      <FieldGrid>
        <NumberInput
          label="Rows before the first reading"
          unit=""
          least={0}
          most={60}
          whole
          value={mapping.skipRows}
          onChange={(skipRows) => {
            onChange({ ...mapping, skipRows: skipRows ?? 0 });
          }}
        />
        <Select
          label="Column of the time"
          value={String(mapping.timeColumns[0] ?? 0)}
          options={columns}
          onChange={(column) => {
            onChange({ ...mapping, timeColumns: [Number(column), ...mapping.timeColumns.slice(1)] });
          }}
        />
        <Select
          label="Time of day apart"
          value={String(mapping.timeColumns[1] ?? '-')}
          options={[none, ...columns]}
          onChange={(column) => {
            const [date = 0] = mapping.timeColumns;
            onChange({ ...mapping, timeColumns: column === '-' ? [date] : [date, Number(column)] });
          }}
        />
        <Select
          label="How times are written"
          value={mapping.timeFormat}
          options={TIME_FORMATS.map((value) => ({ value, label: FORMAT_WORDS[value] }))}
          onChange={(timeFormat) => {
            onChange({ ...mapping, timeFormat });
          }}
        />
        <Select
          label="By whose clock"
          value={mapping.zone}
          options={[
            { value: 'uk-local', label: 'United Kingdom, with summer time' },
            { value: 'utc', label: 'Universal time (UTC)' },
          ]}
          onChange={(zone) => {
            onChange({ ...mapping, zone });
          }}
        />
        <Select
          label="Unit"
          value={mapping.unit}
          options={LOG_UNITS.map((value: LogUnit) => ({ value, label: value }))}
          onChange={(unit) => {
            onChange({ ...mapping, unit });
          }}
        />
        <Select
          label="Energy is"
          value={mapping.accumulating ? 'register' : 'interval'}
          options={[
            { value: 'interval', label: 'What passed in each interval' },
            { value: 'register', label: 'A register that only rises' },
          ]}
          onChange={(kind) => {
            onChange({ ...mapping, accumulating: kind === 'register' });
          }}
        />
        <Select
          label="Decimal sign"
          value={mapping.decimal}
          options={[
            { value: '.', label: 'Point: 1,234.5' },
            { value: ',', label: 'Comma: 1.234,5' },
          ]}
          onChange={(decimal) => {
            onChange({ ...mapping, decimal });
          }}
        />
        {mapping.layout === 'long' ? (
          PHASES.map((phase) => (
            <Select
              key={phase}
              label={`Column of ${phase}`}
              value={valueOf(phase)}
              options={phase === 'L1' ? columns : [none, ...columns]}
              onChange={(column) => {
                setPhase(phase, column);
              }}
            />
          ))
        ) : (
          <p className="quiet">A row is a day of {mapping.perDay} values.</p>
        )}
      </FieldGrid>
    </>
  );
}
