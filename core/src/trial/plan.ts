import { connectedLoad, supplyPhases } from '../demand/connected';
import type { RulePack } from '../rules/rule-pack';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import type { Phase } from '../survey/words';
import { settingBounds } from '../management/set-points';
import type { Assessment } from '../assessment';
import type { Running } from './controller';
import type { TrialLoad } from './household';
import type { VehicleNeeds, YearTerms } from './year';

/** One way of running the charger in a trial. */
export interface TrialWay {
  readonly id: string;
  readonly name: string;
  readonly running: Running;
}

/** Everything a trial is played from; with its seed it gives the same figures anywhere. */
export interface TrialPlan {
  readonly seed: number;
  readonly phase: Phase;
  readonly loads: readonly TrialLoad[];
  readonly needs: VehicleNeeds;
  readonly terms: YearTerms;
  readonly ways: readonly TrialWay[];
}

/** Taken where the driver has not said: a usual commuter’s day. */
const USUAL = { milesPerDay: 30, arrivesH: 17.75, hoursThere: 13 } as const;

/**
 * The plan of a trial for one charger: the appliances of the line it is on, the driver’s needs, and six ways: full rate, four
 * fixed limits and managed. Null while the equipment’s rating is not known or nothing that is used is listed.
 */
export function trialPlan(
  survey: Survey,
  assessment: Assessment,
  proposal: Proposal,
  pack: RulePack,
  seed: number,
): TrialPlan | null {
  const { ratedA } = proposal;
  const phases = supplyPhases(survey.supply.phases);
  const own = proposal.phase;
  const phase: Phase = own !== undefined && own !== 'all' && phases.includes(own) ? own : 'L1';
  const loads = survey.loads.flatMap((load): TrialLoad[] => {
    const { currentA, count, class: kind, phases: on } = connectedLoad(load, phases, pack);
    return currentA === null || kind === 'socket-circuit' || !on.includes(phase)
      ? []
      : [{ class: kind, currentA, count }];
  });
  const ratingA = assessment.supply.rating.value;
  if (ratedA === undefined || loads.length === 0 || ratingA === null) return null;
  const { driver } = survey;
  const { limiter } = proposal;
  const clamped = limiter.kind === 'clamp' && limiter.setPointA !== undefined && limiter.failSafeA !== undefined;
  const bounds = clamped ? null : settingBounds(assessment, 1, pack);
  const setPointA =
    (clamped ? limiter.setPointA : undefined) ??
    bounds?.withMarginA ??
    Math.max(0, ratingA - pack.setPointMargin.value.amperes);
  const failSafeA = (clamped ? limiter.failSafeA : undefined) ?? pack.leastChargingA.value;
  const steps = pack.circuit.settingsA.value.filter((step) => step < ratedA).slice(0, 6);
  const fixed = [steps[0], steps[2], steps[4], steps[5]].filter((step) => step !== undefined);
  return {
    seed,
    phase,
    loads,
    needs: {
      kwhPerDay: (driver?.milesPerDay ?? USUAL.milesPerDay) * (driver?.kwhPerMile ?? pack.kwhPerMile.value),
      arrivesH: USUAL.arrivesH,
      leavesH: Math.max(0, USUAL.arrivesH + (driver?.hoursThere ?? USUAL.hoursThere) - 24),
      onboardA: driver?.onboardA ?? ratedA,
      phases: proposal.phases ?? 1,
    },
    terms: {
      leastA: pack.leastChargingA.value,
      restartMin: 3,
      ratingA,
      nominalV: pack.nominalVoltageV.value,
      clampLostShare: 0,
    },
    ways: [
      { id: 'full', name: `Full, ${ratedA} A`, running: { kind: 'free', limitA: ratedA } },
      ...fixed.map((step): TrialWay => ({
        id: `fixed-${step}`,
        name: `Held to ${step} A`,
        running: { kind: 'free', limitA: step },
      })),
      {
        id: 'managed',
        name: `Managed at ${setPointA} A`,
        running: { kind: 'managed', limitA: ratedA, setPointA, failSafeA },
      },
    ],
  };
}
