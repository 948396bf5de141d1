import type { CableRow } from '../rules/circuit-rules';
import { LIMIT_NAMES, judgeSize, type Limit, type Run, type SizeVerdict } from './size';

/** Every size of a cable on one run, and the smallest that will do. */
export interface SizeSearch {
  readonly sizes: readonly SizeVerdict[];
  /** Null while none passes with everything known. */
  readonly smallestMm2: number | null;
  /** The smallest that nothing known rules out, which may yet fail by what is not known. */
  readonly smallestOpenMm2: number | null;
  /** What rules out the size below the smallest. */
  readonly limitedBy: readonly Limit[];
}

/**
 * Each size of the cable in turn. A protective conductor recorded for the size that is recorded says nothing of those
 * of other sizes of the same cable; a separate one stays what it is.
 */
export function searchSizes(run: Run, recordedMm2: number | undefined): SizeSearch {
  const sizes = run.form.rows.map((row) =>
    judgeSize(run.cpc.cpc === 'separate' ? run : forSize(run, row, recordedMm2), row),
  );
  const smallest = sizes.find(({ state }) => state === 'passes');
  const open = sizes.find(({ state }) => state !== 'fails');
  const below = open === undefined ? sizes.at(-1) : sizes[sizes.indexOf(open) - 1];
  return {
    sizes,
    smallestMm2: smallest?.sizeMm2 ?? null,
    smallestOpenMm2: open?.sizeMm2 ?? null,
    limitedBy: below?.failsBy ?? [],
  };
}

function forSize(run: Run, row: CableRow, recordedMm2: number | undefined): Run {
  if (row.sizeMm2 === recordedMm2) return run;
  const { cpcMm2: _size, cpcMOhmPerM: _resistance, ...kind } = run.cpc;
  return { ...run, cpc: kind };
}

/** What limits, as people say it. */
export function limitWords(limits: readonly Limit[]): string {
  return limits.map((limit) => LIMIT_NAMES[limit]).join(' and ');
}
