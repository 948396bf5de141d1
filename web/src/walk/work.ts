import type { Assessment } from '@keen-gauge/core/assessment';
import type { FindingGrade, Station } from '@keen-gauge/core/finding';

/** How many things are open at a station, in a word or two, and whether one of them is dangerous. */
export interface StationWork {
  readonly open: number;
  readonly words: string;
  readonly danger: boolean;
}

/** What is open at each station: its findings; at the route its reasons, at the pack what is missing, after the job what is owed. */
export function workAt(station: Station, assessment: Assessment, missing: number, owed?: number): StationWork {
  if (station === 'route') {
    const { triggers, way } = assessment.route;
    const words = triggers.length === 0 ? 'settled' : `${triggers.length} reason${triggers.length === 1 ? '' : 's'}`;
    return { open: triggers.length, words, danger: way === 'hold' };
  }
  if (station === 'after' && owed !== undefined)
    return { open: owed, words: owed === 0 ? 'nothing owed' : `${owed} owed`, danger: false };
  if (station === 'pack')
    return { open: missing, words: missing === 0 ? 'complete' : `${missing} missing`, danger: false };
  if (station === 'circuit' && assessment.circuits.length === 0)
    return { open: 1, words: 'no equipment yet', danger: false };
  const here = assessment.findings.filter((finding) => finding.station === station);
  const count = (wanted: FindingGrade): number => here.filter(({ grade }) => grade === wanted).length;
  const [dangers, asks, acts] = [count('danger'), count('ask'), count('act')];
  const parts = [dangers > 0 ? 'danger' : '', asks > 0 ? `${asks} to ask` : '', acts > 0 ? `${acts} to do` : ''];
  return { open: dangers + asks + acts, words: parts.filter(Boolean).join(', ') || 'settled', danger: dangers > 0 };
}
