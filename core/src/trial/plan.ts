import type { Decided } from '../assessment';
import { connectedProposal, supplyPhases, type Connected } from '../demand/connected';
import { chargerLimitA, clampSettings, takesClamp } from '../management/limiter';
import { settingBounds } from '../management/set-points';
import { settingsOf } from '../management/settings';
import type { Rules } from '../rules/rules';
import { isCharger, isLoad } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import type { TrialFault } from '../survey/words/trial-words';
import type { Phase } from '../survey/words/words';
import { supplyTree, type SupplyTree, type TreeNode } from '../tree/supply-tree';
import type { Appliance } from './appliance';
import type { Running } from './controller';
import {
  applianceOf,
  Caps,
  foundEquipment,
  foundLoads,
  isOwn,
  ownEquipment,
  ownLoads,
  partsOnTheWay,
  Sums,
  type TrialPart,
  type TrialSum,
} from './house-plan';
import type { ChargerRun, TrialCharger, VehicleNeeds, YearTerms } from './chargers-year';

/** One way of running the chargers in a trial, one after another in the plan’s order. */
export interface TrialWay {
  readonly id: string;
  readonly name: string;
  readonly runs: readonly ChargerRun[];
}

/** Where the house's current comes from: its appliances and their habits, or the days of a log that goes along with the plan. */
export type TrialHouse = { readonly from: 'habits' } | { readonly from: 'log'; readonly measurementId: string };

/** Everything a trial is played from; with its seed it gives the same figures anywhere. */
export interface TrialPlan {
  readonly seed: number;
  readonly house: TrialHouse;
  readonly sums: readonly TrialSum[];
  readonly parts: readonly TrialPart[];
  /** What is played beside the chargers, or on top of the log. */
  readonly appliances: readonly Appliance[];
  /** The charger the trial was asked for first. */
  readonly chargers: readonly TrialCharger[];
  readonly terms: YearTerms;
  readonly ways: readonly TrialWay[];
}

/** What a trial still needs before it can be played, in a sentence. */
export interface TrialNeeds {
  readonly needs: string;
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
 * The plan of a trial asked for at one charger: every load below this supply’s own fuse and everything else proposed there, on the lines they
 * are on, and six ways of running the chargers: full rate, four fixed limits and managed. What it needs, where something decides it that
 * nobody has said.
 */
export function trialPlan(
  survey: Survey,
  assessment: Decided,
  proposal: Proposal,
  rules: Rules,
  { seed, measurementId, fault }: TrialChoice,
): TrialPlan | TrialNeeds {
  const tree = supplyTree(survey);
  const ratingA = assessment.supply.rating.value;
  const loads = ownLoads(survey, tree, rules);
  const equipment = ownEquipment(survey, tree);
  const missing = whatIsMissing(survey, tree, loads, equipment, proposal, measurementId);
  if (missing !== null) return { needs: missing };
  if (ratingA === null) return { needs: 'The fuse rating of the supply.' };
  const played = playedAsChargers(survey, tree, proposal, rules);
  const sums = new Sums(survey, [...loads, ...equipment]);
  const parts = partsOnTheWay(
    sums,
    assessment,
    played.map(({ nodeId }) => nodeId),
  );
  // What a log says is said of the whole; of a part of it nothing is known.
  const wholes = measurementId === undefined ? parts : parts.slice(0, 1);
  const ways = waysOf({
    survey,
    assessment,
    proposal,
    played,
    sums,
    ratingA,
    rules,
    logged: measurementId !== undefined,
  });
  const caps = new Caps(survey, assessment, tree, [...loads, ...equipment], rules);
  const asChargers = new Set(played.map(({ id }) => id));
  const asLoads = foundEquipment(
    survey,
    equipment.filter(({ id }) => !asChargers.has(id)),
  );
  const found = measurementId === undefined ? [...foundLoads(survey, loads, rules), ...asLoads] : asLoads;
  return {
    seed,
    house: measurementId === undefined ? { from: 'habits' } : { from: 'log', measurementId },
    appliances: found.map((each) => applianceOf(each, sums, caps)),
    chargers: played.map((each) => chargerOf(each, survey, equipment, sums, caps, rules)),
    sums: sums.all,
    parts: wholes,
    terms: {
      leastA: rules.leastChargingA.value,
      restartMin: RESTART_MIN,
      nominalV: rules.nominalVoltageV.value,
      fault,
      faultShare: fault === undefined ? 0 : FAULT_SHARE,
    },
    ways,
  };
}

/** How long enough has to be there before a paused charger goes on, in minutes. */
const RESTART_MIN = 3;

function whatIsMissing(
  survey: Survey,
  tree: SupplyTree,
  loads: readonly Connected[],
  equipment: readonly Connected[],
  proposal: Proposal,
  measurementId: string | undefined,
): string | null {
  if (!isOwn(proposal.nodeId, tree)) return 'A survey of the supply it hangs from: this one ends at another fuse.';
  const unrated = survey.proposals.filter((each) => isLoad(each) && each.ratedA === undefined);
  if (unrated.length > 0) return 'The rating of all new equipment.';
  const unsized = [...loads, ...equipment].filter(({ currentA }) => currentA === null);
  if (measurementId !== undefined) return null;
  if (unsized.length > 0) return `The size of ${unsized.map(({ label }) => label).join(', ')}.`;
  if (loads.length === 0) return 'The loads of the home, or a log.';
  return null;
}

/** The chargers, and other equipment that a clamp makes give way; the one asked for first. */
function playedAsChargers(survey: Survey, tree: SupplyTree, proposal: Proposal, rules: Rules): Proposal[] {
  const others = survey.proposals.filter(
    (each) =>
      each.id !== proposal.id &&
      isOwn(each.nodeId, tree) &&
      (isCharger(each) || (isLoad(each) && each.limiter.kind === 'clamp' && takesClamp(each))),
  );
  return [proposal, ...others].filter(
    (each) => (chargerLimitA(each) ?? rules.leastChargingA.value) > 0 || each === proposal,
  );
}

/** The lines something is on; each of three where nobody has said which. */
function linesOf(proposal: Proposal, survey: Survey): Connected {
  return connectedProposal(proposal, proposal.ratedA ?? null, supplyPhases(survey.supply.phases));
}

function chargerOf(
  proposal: Proposal,
  survey: Survey,
  equipment: readonly Connected[],
  sums: Sums,
  caps: Caps,
  rules: Rules,
): TrialCharger {
  const on = equipment.find(({ id }) => id === proposal.id) ?? linesOf(proposal, survey);
  const found = isCharger(proposal) ? undefined : foundEquipment(survey, [on])[0];
  return {
    id: proposal.id,
    sums: sums.through(proposal.nodeId, on.phases),
    phases: on.phases,
    needs: needsOf(survey, proposal.ratedA ?? 0, on.anyLine ? 1 : on.phases.length, rules),
    ...(proposal.interlock === undefined || proposal.interlock === '' ? {} : { interlock: proposal.interlock }),
    ...(found ? { asks: { ...applianceOf(found, sums, caps), sums: [0], caps: [] } } : {}),
  };
}

function needsOf({ driver }: Survey, ratedA: number, lines: number, rules: Rules): VehicleNeeds {
  const { cheapFromH, cheapToH, milesPerDay: miles = USUAL.milesPerDay } = driver ?? {};
  return {
    kwhPerDay: Number((miles * (driver?.kwhPerMile ?? rules.kwhPerMile.value)).toFixed(3)),
    arrivesH: USUAL.arrivesH,
    leavesH: Math.max(0, USUAL.arrivesH + (driver?.hoursThere ?? USUAL.hoursThere) - 24),
    onboardA: driver?.onboardA ?? ratedA,
    lines,
    ...(cheapFromH === undefined || cheapToH === undefined ? {} : { cheap: { fromH: cheapFromH, toH: cheapToH } }),
  };
}

interface WayInputs {
  readonly survey: Survey;
  readonly assessment: Decided;
  readonly proposal: Proposal;
  readonly played: readonly Proposal[];
  readonly sums: Sums;
  readonly ratingA: number;
  readonly rules: Rules;
  /** Where the house is a log's, a clamp is taken to see all of it. */
  readonly logged: boolean;
}

function waysOf(inputs: WayInputs): TrialWay[] {
  const { proposal, played, rules } = inputs;
  const { ratedA = 0 } = proposal;
  const steps = settingsOf(proposal, rules).slice(0, 6);
  const fixed = [steps[0], steps[2], steps[4], steps[5]].filter((step) => step !== undefined);
  const held = (limitA: number): ChargerRun[] =>
    played.map((each) => {
      const ownA = each.ratedA ?? 0;
      return free(isCharger(each) ? Math.min(ownA, limitA) : ownA);
    });
  return [
    { id: 'full', name: `Full, ${ratedA} A`, runs: held(Infinity) },
    ...fixed.map((step): TrialWay => ({ id: `fixed-${step}`, name: `Held to ${step} A`, runs: held(step) })),
    managedWay(inputs),
  ];
}

function free(limitA: number): ChargerRun {
  return { running: { kind: 'free', limitA }, clamps: [], pool: -1 };
}

/** As recorded, where the limiter of the charger asked for is complete; otherwise every charger behind one clamp at what would be proposed. */
function managedWay({ assessment, proposal, played, sums, ratingA, rules, logged, survey }: WayInputs): TrialWay {
  const settings = clampSettings(proposal);
  const recorded = settings !== null && !('missing' in settings);
  const bounds = recorded ? null : settingBounds(assessment, played.length, rules);
  const partly = proposal.limiter.kind === 'clamp' ? proposal.limiter : {};
  const setPointA =
    partly.setPointA ?? bounds?.withMarginA ?? Math.max(0, ratingA - rules.setPointMargin.value.amperes);
  const failSafeA =
    partly.failSafeA ?? Math.min(rules.leastChargingA.value, bounds?.failSafeA ?? rules.leastChargingA.value);
  const { tree } = sums;
  const top = tree.device ?? tree.root;
  const at = (nodeId: string | undefined): TreeNode | null =>
    logged ? top : ((nodeId === undefined ? undefined : tree.byId.get(nodeId)) ?? top);
  const pools: string[] = [];
  const managed = (
    each: Proposal,
    of: Exclude<ReturnType<typeof clampSettings>, null | { missing: string }>,
  ): ChargerRun => {
    const key = of.clamps
      .map(({ nodeId, setPointA: set }) => `${nodeId} ${set}`)
      .sort()
      .join();
    if (!pools.includes(key)) pools.push(key);
    const { phases } = linesOf(each, survey);
    const running: Running = {
      kind: 'managed',
      limitA: chargerLimitA(each) ?? each.ratedA ?? 0,
      setPointA: of.clamps[0]?.setPointA ?? setPointA,
      failSafeA: of.failSafeA,
    };
    const clamps = of.clamps.flatMap(({ nodeId, setPointA: set }) => {
      const here = at(nodeId);
      return here ? [{ setPointA: set, sums: phases.map((phase) => sums.at(here, phase)) }] : [];
    });
    return { running, clamps, pool: pools.indexOf(key) };
  };
  const assumed = { failSafeA, clamps: [{ nodeId: partly.clampNodeId ?? top?.node.id ?? '', setPointA }] };
  const runs = played.map((each): ChargerRun => {
    if (!recorded)
      return isCharger(each) || each.limiter.kind === 'clamp' ? managed(each, assumed) : free(each.ratedA ?? 0);
    const own = clampSettings(each);
    if (own !== null && !('missing' in own) && takesClamp(each)) return managed(each, own);
    return free(chargerLimitA(each) ?? each.ratedA ?? 0);
  });
  return { id: 'managed', name: `Managed at ${setPointA} A`, runs };
}

/** The line the charger asked for is on: the first of its lines. */
export function lineOf({ chargers }: TrialPlan): Phase {
  return chargers[0]?.phases[0] ?? 'L1';
}
