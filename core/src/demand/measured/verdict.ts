import type { PerPhase } from '../../assessment';
import type { Finding } from '../../finding';
import type { RulePack } from '../../rules/rule-pack';
import type { Load } from '../../survey/load';
import type { Measurement, MeasuredPhase } from '../../survey/measurement';
import type { Survey } from '../../survey/survey';
import type { LoadClass, Phase } from '../../survey/words';
import { figure, reckon, unknownFigure, written, type Figure, type Worked } from '../../worked';

/** What measuring has to say of the demand. */
export interface MeasuredDemand {
  /** Maximum demand by measurement, or why it cannot be declared. */
  readonly byMeasurement: PerPhase;
  /** The most that was seen to flow: no declared demand may be less. By phase, only where something was measured. */
  readonly seen: Readonly<Partial<Record<Phase, Worked>>>;
  /** The least that flows nearly always, from a log. */
  readonly base: PerPhase;
  /** The log a declaration would rest on. */
  readonly log: Measurement | null;
  /** Why that log does not suffice to declare from; undefined where it does. */
  readonly gap: string | undefined;
}

const LOGS: readonly Measurement['kind'][] = ['logger', 'half-hourly'];

/**
 * Demand by measurement: on each phase the greater of the highest half-hour mean that was logged and the half-hour mean
 * of one day in a year. From the log with most whole days; one that is too short or too full of holes declares nothing.
 */
export function measuredDemand(survey: Survey, phases: readonly Phase[], pack: RulePack): MeasuredDemand {
  const logs = survey.measurements.filter(({ kind }) => LOGS.includes(kind));
  const log = logs.reduce<Measurement | null>(
    (best, next) => ((next.days ?? 0) > (best?.days ?? -1) ? next : best),
    null,
  );
  const gap = log ? insufficiency(log, phases, pack) : 'Nothing has been logged.';
  const byMeasurement: Partial<Record<Phase, Figure>> = {};
  const base: Partial<Record<Phase, Figure>> = {};
  const seen: Partial<Record<Phase, Worked>> = {};
  for (const phase of phases) {
    const on = phases.length > 1 ? `, ${phase}` : '';
    const measured = log?.phases.find(({ id }) => id === phase);
    const worst = log && measured && worstHalfHour(measured, log);
    byMeasurement[phase] =
      gap === undefined && worst
        ? figure(worst, 'exact', undefined, `MD by measurement${on}`)
        : unknownFigure(`MD by measurement${on}`, 'A', gap ?? 'This phase was not logged.');
    base[phase] =
      measured?.baseA === undefined
        ? unknownFigure(`Base load${on}`, 'A', 'Nothing has been logged.')
        : figure(
            reckon(`Base load${on}`, measured.baseA, 'A', () => ({
              expression: 'passed 95 % of the time',
              substituted: `${written(measured.baseA ?? 0)} A`,
            })),
          );
    const most = mostSeen(survey.measurements, phase);
    if (most) seen[phase] = most;
  }
  return { byMeasurement, seen, base, log, gap };
}

function insufficiency(log: Measurement, phases: readonly Phase[], pack: RulePack): string | undefined {
  const days = log.days ?? 0;
  if (days < pack.leastLogDays.value) return `The log has ${days} whole days; ${pack.leastLogDays.value} are needed.`;
  const covered = log.coveragePercent ?? 0;
  if (covered < pack.leastLogCoveragePercent.value)
    return `The log covers ${written(covered)} % of its span; ${pack.leastLogCoveragePercent.value} % is needed.`;
  const missing = phases.filter(
    (phase) => !log.phases.some(({ id, mean30A }) => id === phase && mean30A !== undefined),
  );
  return missing.length > 0 ? `${missing.join(' and ')} ${missing.length > 1 ? 'were' : 'was'} not logged.` : undefined;
}

function worstHalfHour({ mean30A, onceAYearA }: MeasuredPhase, log: Measurement): Worked | undefined {
  if (mean30A === undefined) return undefined;
  const value = Math.max(mean30A, onceAYearA ?? 0);
  return reckon('MD by measurement', value, 'A', () => ({
    expression: 'greater of the highest half-hour mean logged and that of one day in a year',
    substituted: `greater of ${written(mean30A)} and ${onceAYearA === undefined ? 'not known' : written(onceAYearA)} = ${written(value)} A, from ${log.days ?? 0} days`,
    source: 'BS 7671 311.1; Gumbel distribution by L-moments',
  }));
}

/** The most seen on a phase, whatever it was seen with: a reading taken by eye is as true as a logged one. */
function mostSeen(measurements: readonly Measurement[], phase: Phase): Worked | undefined {
  let best: Worked | undefined;
  for (const { kind, phases } of measurements) {
    const here = phases.find(({ id }) => id === phase);
    const value = LOGS.includes(kind) ? here?.mean30A : here?.peakA;
    if (value === undefined || (best && best.value >= value)) continue;
    const words = {
      spot: 'spot reading',
      'full-load-test': 'full-load test',
      logger: 'highest half-hour mean logged',
      'half-hourly': 'highest half hour metered',
    };
    best = reckon('Measured', value, 'A', () => ({ expression: words[kind], substituted: `${written(value)} A` }));
  }
  return best;
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
export function measuredFindings(survey: Survey, measured: MeasuredDemand, pack: RulePack): Finding[] {
  const findings: Finding[] = [];
  const about = { station: 'loads', askOf: 'surveyor' } as const;
  const declared = survey.declaration.basis === 'measurement';
  if (declared && measured.gap !== undefined)
    findings.push({
      ...about,
      id: 'measurement-not-sufficient',
      grade: 'act',
      title: `Declared by measurement, but: ${measured.gap} The figure by circuits is used.`,
      remedy: 'Log for longer, or declare by another basis.',
      source: pack.leastLogDays.source,
    });
  const { log } = measured;
  if (log && measured.gap === undefined) {
    const days = log.days ?? 0;
    if (days < pack.sureLogDays.value)
      findings.push({
        ...about,
        id: 'log-short',
        grade: 'note',
        title: `The log has ${days} whole days; from ${pack.sureLogDays.value} on a worse day is better known.`,
        remedy: 'Leave the logger in for longer where it can be.',
        source: pack.sureLogDays.source,
      });
    if ((log.winterDays ?? 0) === 0 && electricallyHeated(survey.loads))
      findings.push({
        ...about,
        id: 'log-misses-heating-season',
        grade: 'act',
        title: 'The home is heated by electricity, and no day of the log lies from October to March.',
        remedy: 'Log in the heating season, or declare by circuits.',
      });
    if (log.kind === 'half-hourly')
      findings.push({
        ...about,
        id: 'half-hourly-hides-peaks',
        grade: 'note',
        title: 'Half-hourly consumption bounds the mean over half an hour, and nothing shorter.',
        remedy: 'Where short peaks matter, log by the minute.',
      });
  }
  for (const { id, kind, phases, note } of survey.measurements)
    if (kind === 'full-load-test' && phases.length > 0 && !note?.trim())
      findings.push({
        ...about,
        id: 'full-load-test-without-loads',
        grade: 'ask',
        title: 'A full-load test does not say which loads were on.',
        remedy: 'Write down which they were.',
        subjectId: id,
        ownUse: true,
      });
  return findings;
}
