import type { FaultCount, LogFaults } from '@keen-gauge/core/demand/measured/series';
import { Notice } from '../kit/Notice';

const COUNTED: readonly (readonly [keyof LogFaults, string])[] = [
  ['noTime', 'without a time that can be read'],
  ['noNumber', 'without a number'],
  ['repeated', 'of a moment that was there already'],
  ['backward', 'earlier than the row before'],
  ['negative', 'below nought: a reversed clamp, or export'],
  ['impossible', 'above anything such a supply carries'],
];

/** What was wrong with a log, counted, with the first rows it was met in. Nothing of it was repaired. */
export function FaultList({ faults }: { readonly faults: LogFaults }) {
  const lines = COUNTED.flatMap(([key, words]) => {
    const { count, rows } = faults[key] as FaultCount;
    return count === 0
      ? []
      : [`${count} ${words} (row${rows.length > 1 ? 's' : ''} ${rows.join(', ')}${count > rows.length ? ' …' : ''})`];
  });
  if (faults.gaps > 0) lines.push(`${faults.gaps} gaps, ${(faults.gapSeconds / 3600).toFixed(1)} h together`);
  if (faults.stuck > 0) lines.push(`${faults.stuck} stretches of over six hours in which the reading never moved`);
  if (lines.length === 0) return <p className="quiet">No fault was found in the file.</p>;
  return (
    <Notice kind="act" title="Left out of the figures, and not repaired:">
      <ul style={{ margin: 0, paddingLeft: '1.1rem' }}>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </Notice>
  );
}
