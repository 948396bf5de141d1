import type { Owed } from '@keen-gauge/core/after/owed';
import type { Assessment } from '@keen-gauge/core/assessment';
import type { FindingGrade, Station } from '@keen-gauge/core/finding';

/** How many things are open at a station, in a word or two, and whether one of them is dangerous. */
export interface StationWork {
  readonly open: number;
  readonly words: string;
  readonly danger: boolean;
  /** Nothing is ever open there: it is neither settled nor not. */
  readonly isPlain?: true;
}

/** How many things are due at each station of the fit. */
export type DueAt = Partial<Readonly<Record<Station, number>>>;

/** What a job still owes, counted at the stations of the fit alone. */
export function dueAt(owed: readonly Owed[]): DueAt {
  const at = (station: Station): number => owed.filter((each) => each.station === station).length;
  return { commissioning: at('commissioning'), tests: at('tests'), after: at('after') };
}

/** What follows from the survey rather than asks something of it. */
const OF_THE_PRICE: readonly Station[] = ['works', 'materials', 'quotation', 'crew'];

/** What is open at each station: its findings; at the route its reasons, at the pack what is missing, after the job what is owed. */
export function workAt(station: Station, assessment: Assessment, missing: number, owed?: DueAt): StationWork {
  if (station === 'route') {
    const { triggers, way } = assessment.route;
    const words = triggers.length === 0 ? 'settled' : `${triggers.length} reason${triggers.length === 1 ? '' : 's'}`;
    return { open: triggers.length, words, danger: way === 'hold' };
  }
  // What is done at the fit is counted by the list of what is due, and never as open before it.
  const due = owed?.[station];
  if (due !== undefined) return { open: due, words: due === 0 ? 'nothing due' : `${due} after fitting`, danger: false };
  if (station === 'pack')
    return { open: missing, words: missing === 0 ? 'complete' : `${missing} missing`, danger: false };
  // Nothing is asked there that a decision waits for.
  if (OF_THE_PRICE.includes(station)) return { open: 0, words: '', danger: false, isPlain: true };
  if (station === 'circuit' && assessment.circuits.length === 0)
    return { open: 1, words: 'no equipment yet', danger: false };
  const here = assessment.findings.filter((finding) => finding.station === station);
  const count = (wanted: FindingGrade): number => here.filter(({ grade }) => grade === wanted).length;
  const [dangers, asks, acts] = [count('danger'), count('ask'), count('act')];
  const parts = [dangers > 0 ? 'danger' : '', asks > 0 ? `${asks} to ask` : '', acts > 0 ? `${acts} to do` : ''];
  return { open: dangers + asks + acts, words: parts.filter(Boolean).join(', ') || 'settled', danger: dangers > 0 };
}
