import { assess } from '../assess';
import type { Assessment } from '../assessment';
import { STARTING_SETS } from '../demand/starting-sets';
import { gbDefault } from '../rules/gb-default';
import { DAYS_A_YEAR, householdYear, MINUTES_A_YEAR } from '../trial/household';
import type { Load } from '../survey/load';
import { trialPlan, type TrialPlan } from '../trial/plan';
import { settledSurvey, type Change } from './settled-survey';

/** For tests: the plan of a trial of the settled survey with changes made, and what is said of that survey; throws what it still needs. */
export function trialOf(
  seed: number,
  ...changes: Change[]
): { readonly plan: TrialPlan; readonly assessment: Assessment } {
  const survey = settledSurvey(...changes);
  const [proposal] = survey.proposals;
  const assessment = assess(survey, gbDefault);
  const plan = proposal && trialPlan(survey, assessment, proposal, gbDefault, { seed });
  if (!plan || 'needs' in plan) throw new Error(plan?.needs ?? 'no equipment');
  return { plan, assessment };
}

export function planFor(seed: number, ...changes: Change[]): TrialPlan {
  return trialOf(seed, ...changes).plan;
}

/** The same with the loads of a usual set. */
export function planOfSet(id: string, seed: number, keep: (load: Load) => boolean = () => true): TrialPlan {
  const set = STARTING_SETS.find((each) => each.id === id);
  if (!set) throw new Error(`no set ${id}`);
  return planFor(seed, (survey) => {
    survey.loads = set.loads.filter(keep).map((load) => ({ ...load }));
  });
}

/** What homes with the same loads come to. */
export interface HomesFigures {
  readonly kwh: { readonly mean: number; readonly p10: number; readonly p90: number };
  /** Standard deviation of annual energy over its mean. */
  readonly spread: number;
  /** The hour of the mean day that takes most, of all hours and of those from 5 to 24. */
  readonly peakHour: number;
  readonly wakingPeakHour: number;
  /** The highest half hour of the year of the middle home, in kW. */
  readonly halfHourKw: number;
  /** The highest half hour of so many homes added up, per home, in kW. */
  readonly diversifiedKw: Readonly<Record<1 | 10 | 100, number>>;
}

const HALF_HOURS = DAYS_A_YEAR * 48;

/** Plays a hundred homes with the loads of a usual set for a year. */
export function homesFigures(setId: string, homes = 100, keep?: (load: Load) => boolean): HomesFigures {
  const plan = planOfSet(setId, 1, keep);
  const { appliances, sums, terms } = plan;
  const energies: number[] = [];
  const highest: number[] = [];
  const hours = new Float64Array(24);
  const together = new Float64Array(HALF_HOURS);
  const tens: number[] = [];
  let ten = new Float64Array(HALF_HOURS);
  for (let home = 0; home < homes; home += 1) {
    const year = householdYear({ appliances, sums: sums.length, nominalV: terms.nominalV }, home + 1);
    energies.push(year.kwh);
    const amperes = year.sums[0] ?? new Float32Array(MINUTES_A_YEAR);
    let most = 0;
    for (let at = 0; at < HALF_HOURS; at += 1) {
      let sum = 0;
      for (let minute = at * 30; minute < at * 30 + 30; minute += 1) sum += amperes[minute] ?? 0;
      const kw = (sum / 30) * 0.23;
      together[at] = (together[at] ?? 0) + kw;
      ten[at] = (ten[at] ?? 0) + kw;
      most = Math.max(most, kw);
      const hour = Math.floor((at * 30 * 60) / 3600) % 24;
      hours[hour] = (hours[hour] ?? 0) + kw;
    }
    highest.push(most);
    if (home % 10 === 9) {
      tens.push(Math.max(...ten) / 10);
      ten = new Float64Array(HALF_HOURS);
    }
  }
  const sorted = [...energies].sort((a, b) => a - b);
  const at = (values: readonly number[], share: number): number =>
    [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? 0;
  const mean = energies.reduce((a, b) => a + b, 0) / homes;
  const variance = energies.reduce((a, b) => a + (b - mean) ** 2, 0) / homes;
  const peak = (from: number): number => {
    let best = from;
    for (let hour = from; hour < 24; hour += 1) if ((hours[hour] ?? 0) > (hours[best] ?? 0)) best = hour;
    return best;
  };
  return {
    kwh: { mean, p10: at(sorted, 0.1), p90: at(sorted, 0.9) },
    spread: Math.sqrt(variance) / mean,
    peakHour: peak(0),
    wakingPeakHour: peak(5),
    halfHourKw: at(highest, 0.5),
    diversifiedKw: { 1: at(highest, 0.5), 10: at(tens, 0.5), 100: Math.max(...together) / homes },
  };
}
