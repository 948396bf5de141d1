import type { PerPhase } from '../per-phase-figures';
import type { Statement } from '../../finding';
import type { Rules } from '../../rules/rules';
import type { Load } from '../../survey/load';
import type { Measurement, MeasuredPhase } from '../../survey/measurement';
import type { Survey } from '../../survey/survey';
import type { LoadClass, Phase } from '../../survey/words/words';
import type { SupplyTree } from '../../tree/supply-tree';
import { figure, reckon, unknownFigure, written, type Figure, type Worked } from '../../worked';
import { isLog, logDoubts, momentMeans, mostSeen, type MomentMean } from './seen';

/** What measuring has to say of the demand. */
export interface MeasuredDemand {
  /** Maximum demand by measurement, or why it cannot be declared. */
  readonly byMeasurement: PerPhase;
  /** The most that was seen to flow: no declared demand may be less. By phase, only where something was measured. */
  readonly seen: Readonly<Partial<Record<Phase, Worked>>>;
  /** The highest means over 1 and 10 minutes, for the guards. */
  readonly moments: Readonly<Partial<Record<Phase, readonly MomentMean[]>>>;
  /** The least that flows nearly always, from a log. */
  readonly base: PerPhase;
  /** The log with most days of those a declaration may rest on, or of all where it may rest on none. */
  readonly log: Measurement | null;
  /** Why no log suffices to declare from; undefined where one does. */
  readonly gap: string | undefined;
}

/**
 * Demand by measurement: on each phase the greater of the highest half-hour mean that was logged and the half-hour mean
 * of one day in a year, over every log that is long and whole enough. One that is too short, too full of holes or doubtful declares nothing.
 */
export function measuredDemand(
  survey: Survey,
  tree: SupplyTree,
  phases: readonly Phase[],
  rules: Rules,
): MeasuredDemand {
  const logs = survey.measurements.filter(isLog).sort((a, b) => (b.days ?? 0) - (a.days ?? 0));
  const sufficient = logs.filter((each) => insufficiency(each, phases, rules) === undefined);
  const log = sufficient[0] ?? logs[0] ?? null;
  const gap = sufficient.length > 0 ? undefined : log ? insufficiency(log, phases, rules) : 'Nothing has been logged.';
  const byMeasurement: Partial<Record<Phase, Figure>> = {};
  const base: Partial<Record<Phase, Figure>> = {};
  const seen: Partial<Record<Phase, Worked>> = {};
  const moments: Partial<Record<Phase, readonly MomentMean[]>> = {};
  for (const phase of phases) {
    const on = phases.length > 1 ? `, ${phase}` : '';
    const worst = greatest(sufficient.flatMap((each) => worstHalfHour(each, phase) ?? []));
    byMeasurement[phase] = worst
      ? figure(worst, 'exact', undefined, `MD by measurement${on}`)
      : unknownFigure(`MD by measurement${on}`, 'A', gap ?? 'This phase was not logged.');
    const baseA =
      log && logDoubts(log, rules).length === 0 ? log.phases.find(({ id }) => id === phase)?.baseA : undefined;
    base[phase] =
      baseA === undefined
        ? unknownFigure(`Base load${on}`, 'A', 'Nothing has been logged.')
        : figure(
            reckon(`Base load${on}`, baseA, 'A', () => ({
              expression: 'passed 95 % of the time',
              substituted: `${written(baseA)} A`,
            })),
          );
    const most = mostSeen(survey, tree, phase, rules);
    if (most) seen[phase] = most;
    moments[phase] = momentMeans(survey, phase, rules);
  }
  return { byMeasurement, seen, moments, base, log, gap };
}

function greatest(found: readonly Worked[]): Worked | undefined {
  return found.reduce<Worked | undefined>((best, next) => (best && best.value >= next.value ? best : next), undefined);
}

function insufficiency(log: Measurement, phases: readonly Phase[], rules: Rules): string | undefined {
  if (logDoubts(log, rules).length > 0) return 'The log may not be what it seems.';
  const days = log.days ?? 0;
  if (days < rules.leastLogDays.value) return `The log has ${days} whole days; ${rules.leastLogDays.value} are needed.`;
  const covered = log.coveragePercent ?? 0;
  if (covered < rules.leastLogCoveragePercent.value)
    return `The log covers ${written(covered)} % of its span; ${rules.leastLogCoveragePercent.value} % is needed.`;
  const missing = phases.filter(
    (phase) => !log.phases.some(({ id, mean30A }) => id === phase && mean30A !== undefined),
  );
  return missing.length > 0 ? `${missing.join(' and ')} ${missing.length > 1 ? 'were' : 'was'} not logged.` : undefined;
}

function worstHalfHour(log: Measurement, phase: Phase): Worked | undefined {
  const here: MeasuredPhase | undefined = log.phases.find(({ id }) => id === phase);
  const { mean30A, onceAYearA } = here ?? {};
  if (mean30A === undefined) return undefined;
  const value = Math.max(mean30A, onceAYearA ?? 0);
  return reckon('MD by measurement', value, 'A', () => ({
    expression: 'greater of the highest half-hour mean logged and that of one day in a year',
    substituted: `greater of ${written(mean30A)} and ${onceAYearA === undefined ? 'not known' : written(onceAYearA)} = ${written(value)} A, from ${log.days ?? 0} days`,
    source: 'BS 7671 311.1; Gumbel distribution by L-moments',
  }));
}

const HEATING: readonly LoadClass[] = ['storage-heating', 'heat-pump', 'floor-warming'];
const HEATED_FROM_W = 2000;

/** Whether the home is heated by electricity, so that a log of summer says little of it. */
export function electricallyHeated(loads: readonly Load[]): boolean {
  const fixedW = loads
    .filter(({ class: kind }) => kind === 'heating-and-power')
    .reduce((total, { powerW, quantity }) => total + (powerW ?? 0) * (quantity ?? 1), 0);
  return fixedW >= HEATED_FROM_W || loads.some(({ class: kind }) => HEATING.includes(kind));
}

/** What there is to say of the measurements themselves, and of declaring from them. */
export function measuredFindings(survey: Survey, measured: MeasuredDemand, rules: Rules): Statement[] {
  const findings: Statement[] = [];
  const about = { station: 'loads', askOf: 'surveyor', on: 'demand' } as const;
  if (survey.declaration.basis === 'measurement' && measured.gap !== undefined)
    findings.push({
      ...about,
      id: 'measurement-not-sufficient',
      grade: 'act',
      title: `Declared by measurement, but: ${measured.gap} The figure by circuits is used.`,
      remedy: 'Log for longer, or declare by another basis.',
      field: 'declaration.basis',
      source: rules.leastLogDays.source,
    });
  const { log } = measured;
  if (!log || measured.gap !== undefined) return findings;
  const days = log.days ?? 0;
  if (days < rules.sureLogDays.value)
    findings.push({
      ...about,
      id: 'log-short',
      grade: 'note',
      title: `The log has ${days} whole days; from ${rules.sureLogDays.value} on a worse day is better known.`,
      remedy: 'Leave the logger in for longer where it can be.',
      source: rules.sureLogDays.source,
    });
  if ((log.winterDays ?? 0) === 0 && electricallyHeated(survey.loads))
    findings.push({
      ...about,
      id: 'log-misses-heating-season',
      // It spoils a declaration that rests on the log, and nothing else.
      grade: survey.declaration.basis === 'measurement' ? 'act' : 'note',
      title: 'The home is heated by electricity, and no day of the log lies from October to March.',
      remedy: 'Log in the heating season, or declare by circuits.',
      field: 'measurements',
    });
  if (log.kind === 'half-hourly')
    findings.push({
      ...about,
      id: 'half-hourly-hides-peaks',
      grade: 'note',
      title: 'Half-hourly consumption bounds the mean over half an hour, and nothing shorter.',
      remedy: 'Where short peaks matter, log by the minute.',
    });
  return findings;
}
