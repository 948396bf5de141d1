import { wholeBelow } from '../rules/rounding';
import type { Decided } from '../assessment';
import { chargerLimitA, clampSettings } from '../management/limiter';
import type { Rules } from '../rules/rules';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { trialPlan } from '../trial/plan';
import { stillTrue } from '../trial/record';
import { isCharger } from '../survey/words/kinds';
import type { ChargingCurrent } from './charging-time';

/**
 * What a charger may draw under a survey: at its most its limit and the lowest of its set-points; with everything else running what the others
 * leave of each set-point, shared with the other chargers on it. A three-phase charger on a single-phase supply charges on one line.
 */
export function charging(
  survey: Survey,
  charger: Proposal,
  assessment: Decided | null,
  rules: Rules,
): { readonly current: ChargingCurrent; readonly morningsShort?: number } {
  const limitA = chargerLimitA(charger) ?? 0;
  const lines = charger.phases === 3 && survey.supply.phases === 3 ? 3 : 1;
  const settings = clampSettings(charger);
  if (!settings || 'missing' in settings || !assessment) return { current: { mostA: limitA, leastA: limitA, lines } };
  const sharing = survey.proposals.filter((each) => isCharger(each) && each.limiter.kind === 'clamp').length;
  const left = settings.clamps.map(({ nodeId, setPointA }) => {
    const node = assessment.nodes.find(({ id }) => id === nodeId);
    const others = Object.values(node?.before ?? {}).map(({ value }) => value ?? 0);
    return (setPointA - Math.max(0, ...others)) / Math.max(1, sharing);
  });
  const mostA = Math.min(limitA, ...settings.clamps.map(({ setPointA }) => setPointA));
  const leastA = Math.max(0, wholeBelow(Math.min(mostA, ...left)));
  return { current: { mostA, leastA, lines }, ...played(survey, charger, assessment, rules) };
}

/** The trial's figure for this way, where one was played from what this survey says. */
function played(
  survey: Survey,
  charger: Proposal,
  assessment: Decided,
  rules: Rules,
): { readonly morningsShort?: number } {
  const record = survey.trials?.find(({ id }) => id === charger.id);
  if (!record) return {};
  const { seed = 1, measurementId, fault } = record;
  if (!stillTrue(record, trialPlan(survey, assessment, charger, rules, { seed, measurementId, fault }))) return {};
  const morningsShort = record.ways?.find(({ id }) => id === 'managed')?.morningsShort?.median;
  return morningsShort === undefined ? {} : { morningsShort };
}
