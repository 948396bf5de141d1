import type { Rules } from '../../rules/rules';
import type { Measurement } from '../../survey/measurement';
import type { Reading } from '../../survey/reading';
import type { Survey } from '../../survey/survey';
import type { LogDoubt, Phase } from '../../survey/words/words';
import { nodeOf } from '../../tree/sets-below';
import { hangsFrom, type SupplyTree } from '../../tree/supply-tree';
import { reckon, written, type Worked } from '../../worked';

const LOGS: readonly Measurement['kind'][] = ['logger', 'half-hourly'];

/** Whether a measurement is a log over time rather than a glance. */
export function isLog({ kind }: Measurement): boolean {
  return LOGS.includes(kind);
}

/**
 * Why a log may not be what it seems and gives no figure yet: as it was imported, and as its own figures show. Empty once somebody has
 * said how it was settled.
 */
export function logDoubts(log: Measurement, rules: Rules): readonly LogDoubt[] {
  if (!isLog(log) || log.doubtsSettled?.trim()) return [];
  const found = new Set<LogDoubt>(log.doubts);
  for (const { peakA, baseA, mean30A } of log.phases) {
    const mostA = peakA ?? mean30A;
    if (mostA === undefined) continue;
    if (mostA === 0) found.add('nought');
    else if (mostA < rules.deadLogA.value) found.add('noise');
    else if (baseA !== undefined && mostA - baseA <= mostA * 0.01) found.add('frozen');
  }
  return [...found];
}

/** Readings with a clamp of what the supply carries; those that test new equipment's own circuit are none. */
export function clampReadings({ readings }: Survey): readonly (Reading & { readonly value: number })[] {
  return readings.flatMap((reading) =>
    reading.kind === 'clamp-current' &&
    reading.value !== undefined &&
    reading.bound !== 'below' &&
    reading.proposalId === undefined
      ? [{ ...reading, value: Math.abs(reading.value) }]
      : [],
  );
}

/**
 * The most seen on a phase of the supply, whatever it was seen with and wherever it was entered: what was seen anywhere below the fuse
 * passed through the fuse. A reading on no named line may be of any. Undefined where nothing was measured.
 */
export function mostSeen(survey: Survey, tree: SupplyTree, phase: Phase, rules: Rules): Worked | undefined {
  const seen = survey.measurements.flatMap((each) => {
    const here = each.phases.find(({ id }) => id === phase);
    const value = isLog(each) ? here?.mean30A : here?.peakA;
    return value === undefined || logDoubts(each, rules).length > 0 ? [] : [{ value, words: WORDS[each.kind] }];
  });
  const read = clampReadings(survey)
    .filter((each) => each.phase === undefined || each.phase === phase)
    .filter(({ nodeId }) => {
      const at = nodeId === undefined ? null : nodeOf(tree, nodeId);
      return !at || !tree.device || hangsFrom(at, tree.device) || hangsFrom(tree.device, at);
    })
    .map(({ value }) => ({ value, words: 'clamp reading' }));
  let best: { readonly value: number; readonly words: string } | undefined;
  for (const each of [...seen, ...read]) if (!best || each.value > best.value) best = each;
  const { value, words } = best ?? {};
  if (value === undefined || words === undefined) return undefined;
  return reckon('Measured', value, 'A', () => ({ expression: words, substituted: `${written(value)} A` }));
}

const WORDS: Readonly<Record<Measurement['kind'], string>> = {
  spot: 'spot reading',
  'full-load-test': 'full-load test',
  logger: 'highest half-hour mean logged',
  'half-hourly': 'highest half hour metered',
};

/** The highest mean over so many minutes that any log shows on a phase. */
export interface MomentMean {
  readonly minutes: 1 | 10;
  readonly amperes: number;
}

/** What logs show of shorter times than the half hour a demand is declared by: what a guard is about. */
export function momentMeans(survey: Survey, phase: Phase, rules: Rules): readonly MomentMean[] {
  const means = survey.measurements
    .filter((each) => isLog(each) && logDoubts(each, rules).length === 0)
    .flatMap(({ phases }) => phases.filter(({ id }) => id === phase));
  const most = (values: readonly (number | undefined)[]): number => Math.max(0, ...values.map((value) => value ?? 0));
  const found: MomentMean[] = [
    { minutes: 1, amperes: most(means.map(({ mean1A }) => mean1A)) },
    { minutes: 10, amperes: most(means.map(({ mean10A }) => mean10A)) },
  ];
  return found.filter(({ amperes }) => amperes > 0);
}
