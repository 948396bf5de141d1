import type { Measurement } from '../../survey/measurement';
import type { LogDoubt, Phase } from '../../survey/words/words';
import type { LogAnalysis } from './analyse';

/** Two decimals: a log is no better than that. */
function rounded(value: number): number {
  return Math.round(value * 100) / 100;
}

/** What a survey keeps of a log: its figures and how far they reach. The file itself is kept beside the survey. */
export function measurementOf(analysis: LogAnalysis, id: string, doubts: readonly LogDoubt[] = []): Measurement {
  const { faults, intervalS } = analysis;
  const moment = (seconds: number): string => new Date(seconds * 1000).toISOString();
  const phases = Object.entries(analysis.phases) as [Phase, NonNullable<LogAnalysis['phases']['L1']>][];
  return {
    id,
    kind: intervalS >= 900 ? 'half-hourly' : 'logger',
    phases: phases.map(([phase, found]) => ({
      id: phase,
      peakA: rounded(found.peakA),
      ...(found.mean1A === null ? {} : { mean1A: rounded(found.mean1A) }),
      ...(found.mean10A === null ? {} : { mean10A: rounded(found.mean10A) }),
      ...(found.mean30A === null ? {} : { mean30A: rounded(found.mean30A) }),
      ...(found.worseDay
        ? {
            onceAYearA: rounded(found.worseDay.onceAYearA),
            onceAYearLowA: Math.max(0, rounded(found.worseDay.lowA)),
            onceAYearHighA: rounded(found.worseDay.highA),
          }
        : {}),
      quantile999A: rounded(found.quantile999A),
      baseA: rounded(found.baseA),
    })),
    ...(analysis.samples > 0 ? { from: moment(analysis.from), to: moment(analysis.to) } : {}),
    intervalS: Math.min(86_400, intervalS),
    days: analysis.days,
    winterDays: analysis.winterDays,
    ...(doubts.length > 0 ? { doubts: [...doubts] } : {}),
    coveragePercent: rounded(analysis.coverage * 100),
    unusable:
      faults.noTime.count +
      faults.noNumber.count +
      faults.repeated.count +
      faults.backward.count +
      faults.negative.count +
      faults.impossible.count,
  };
}
