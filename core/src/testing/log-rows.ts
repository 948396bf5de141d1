import type { LogMapping } from '../demand/measured/mapping';
import { LogReader } from '../demand/measured/read-log';
import type { LogSeries } from '../demand/measured/series';

/** For tests: a log of amperes on one line against universal time, its columns as told. */
const PLAIN: LogMapping = {
  layout: 'long',
  skipRows: 0,
  timeColumns: [0],
  timeFormat: 'year-first',
  zone: 'utc',
  values: [{ column: 1, phase: 'L1' }],
  unit: 'A',
  accumulating: false,
  decimal: '.',
};

const VOLTS = 230;

/** For tests: rows of a log read by that mapping, but for what is told otherwise. */
export function readRows(rows: readonly (readonly string[])[], mapping: Partial<LogMapping> = {}): LogSeries {
  const reader = new LogReader({ ...PLAIN, ...mapping }, VOLTS);
  reader.add(rows);
  return reader.finish();
}
