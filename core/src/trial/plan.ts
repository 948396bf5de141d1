import type { Assessment } from '../assessment';
import { connectedLoad, supplyPhases } from '../demand/connected';
import { settingBounds } from '../management/set-points';
import { settingsOf } from '../management/settings';
import type { RulePack } from '../rules/rule-pack';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import type { TrialFault } from '../survey/trial-words';
import type { Phase } from '../survey/words';
import { nodeOf } from '../tree/sets-below';
import { hangsFrom, supplyTree } from '../tree/supply-tree';
import type { Running } from './controller';
import type { TrialLoad } from './household';
import type { VehicleNeeds, YearTerms } from './year';

/** One way of running the charger in a trial. */
export interface TrialWay {
  readonly id: string;
  readonly name: string;
  readonly running: Running;
}

/** Where the house's current comes from: its appliances and their habits, or the days of a log that goes along with the plan. */
export type TrialHouse =
  | { readonly from: 'habits'; readonly loads: readonly TrialLoad[] }
  | { readonly from: 'log'; readonly measurementId: string };

/** Everything a trial is played from; with its seed it gives the same figures anywhere. */
export interface TrialPlan {
  readonly seed: number;
  readonly phase: Phase;
  readonly house: TrialHouse;
  readonly needs: VehicleNeeds;
  readonly terms: YearTerms;
  readonly ways: readonly TrialWay[];
}

/** What is chosen for a trial besides the survey. */
export interface TrialChoice {
  readonly seed: number;
  /** The log to take the house from; its appliances where left out. */
  readonly measurementId?: string | undefined;
  readonly fault?: TrialFault | undefined;
}

/** Taken where the driver has not said: a usual commuter’s day. */
const USUAL = { milesPerDay: 30, arrivesH: 17.75, hoursThere: 13 } as const;

/** On how many days something goes wrong, where something is to. */
export const FAULT_SHARE = 0.1;

/**
 * The plan of a trial for one charger: the house on its line, the driver’s needs, and six ways: full rate, four fixed limits
 * and managed. Null while the equipment’s or the supply’s rating is not known, or nothing that is used is listed.
 */
export function trialPlan(
  survey: Survey,
  assessment: Assessment,
  proposal: Proposal,
  pack: RulePack,
  { seed, measurementId, fault }: TrialChoice,
): TrialPlan | null {
  const { ratedA } = proposal;
  const phase = lineOf(survey, proposal);
  const loads = loadsOn(survey, proposal, phase, pack);
  const ratingA = assessment.supply.rating.value;
  if (ratedA === undefined || ratingA === null) return null;
  if (measurementId === undefined && loads.length === 0) return null;
  return {
    seed,
    phase,
    house: measurementId === undefined ? { from: 'habits', loads } : { from: 'log', measurementId },
    needs: needsOf(survey, proposal, ratedA, pack),
    terms: {
      leastA: pack.leastChargingA.value,
      restartMin: 3,
      ratingA,
      nominalV: pack.nominalVoltageV.value,
      seesOwn: clampSeesCharger(survey, proposal),
      fault,
      faultShare: fault === undefined ? 0 : FAULT_SHARE,
    },
    ways: waysOf(assessment, proposal, ratedA, ratingA, pack),
  };
}

/** The line a charger is watched on: its own where it is chosen, else the first. */
export function lineOf({ supply }: Survey, { phase }: Proposal): Phase {
  return phase !== undefined && phase !== 'all' && supplyPhases(supply.phases).includes(phase) ? phase : 'L1';
}

function loadsOn(survey: Survey, proposal: Proposal, phase: Phase, pack: RulePack): TrialLoad[] {
  const tree = supplyTree(survey);
  const { limiter } = proposal;
  const clamp = limiter.kind === 'clamp' ? tree.byId.get(limiter.clampNodeId ?? '') : undefined;
  return survey.loads.flatMap((load): TrialLoad[] => {
    const { currentA, count, class: kind, phases } = connectedLoad(load, supplyPhases(survey.supply.phases), pack);
    if (currentA === null || kind === 'socket-circuit' || !phases.includes(phase)) return [];
    const at = nodeOf(tree, load.nodeId);
    const unseen = clamp && at ? !hangsFrom(at, clamp) : false;
    return [{ class: kind, currentA, count, ...(unseen ? { unseen } : {}) }];
  });
}

/** A clamp whose place is not said is taken to sit right: it is the place itself that is then asked about. */
function clampSeesCharger(survey: Survey, { limiter, nodeId }: Proposal): boolean {
  const tree = supplyTree(survey);
  const clamp = limiter.kind === 'clamp' ? tree.byId.get(limiter.clampNodeId ?? '') : undefined;
  const charger = nodeOf(tree, nodeId);
  return clamp && charger ? hangsFrom(charger, clamp) : true;
}

function needsOf({ driver }: Survey, { phases }: Proposal, ratedA: number, pack: RulePack): VehicleNeeds {
  const { cheapFromH, cheapToH, milesPerDay: miles = USUAL.milesPerDay } = driver ?? {};
  return {
    kwhPerDay: Number((miles * (driver?.kwhPerMile ?? pack.kwhPerMile.value)).toFixed(3)),
    arrivesH: USUAL.arrivesH,
    leavesH: Math.max(0, USUAL.arrivesH + (driver?.hoursThere ?? USUAL.hoursThere) - 24),
    onboardA: driver?.onboardA ?? ratedA,
    phases: phases ?? 1,
    ...(cheapFromH === undefined || cheapToH === undefined ? {} : { cheap: { fromH: cheapFromH, toH: cheapToH } }),
  };
}

function waysOf(
  assessment: Assessment,
  proposal: Proposal,
  ratedA: number,
  ratingA: number,
  pack: RulePack,
): TrialWay[] {
  const { limiter } = proposal;
  const clamped = limiter.kind === 'clamp' && limiter.setPointA !== undefined && limiter.failSafeA !== undefined;
  const bounds = clamped ? null : settingBounds(assessment, 1, pack);
  const setPointA =
    (clamped ? limiter.setPointA : undefined) ??
    bounds?.withMarginA ??
    Math.max(0, ratingA - pack.setPointMargin.value.amperes);
  const failSafeA = (clamped ? limiter.failSafeA : undefined) ?? pack.leastChargingA.value;
  const steps = settingsOf(proposal, pack).slice(0, 6);
  const fixed = [steps[0], steps[2], steps[4], steps[5]].filter((step) => step !== undefined);
  return [
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
  ];
}
