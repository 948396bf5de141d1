import { connectedLoad, connectedProposal, supplyPhases, type Connected } from './demand/connected';
import { declaredDemand, withWhole } from './demand/declared';
import { basisGap, basisShortfall, demandPerPhase, inBasis, leftOutOf } from './demand/maximum-demand';
import { measuredDemand } from './demand/measured/verdict';
import { perPhase } from './demand/per-phase';
import { fusesOnTheWay } from './intake/fuse-rating';
import { chargerLimitA } from './management/limiter';
import type { Reckoner } from './node-assessments';
import type { Rules } from './rules/rules';
import type { Survey } from './survey/survey';
import type { ListBasis, LoadPhase, Phase, Premises } from './survey/words/words';
import { nodeOf } from './tree/sets-below';
import { hangsFrom, phaseAt, type SupplyTree } from './tree/supply-tree';

export type ReckonedDemand = ReturnType<typeof reckonDemand>;

/** Loads, new equipment and demand of a survey, before any limiter. */
export function reckonDemand({
  survey,
  rules,
  tree,
}: {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly tree: SupplyTree;
}) {
  const phases = supplyPhases(survey.supply.phases);
  const premises = survey.place.premises ?? 'household';
  const byLists = reckonerOf(phases, premises, rules);
  const fuses = fusesOnTheWay(survey, tree, rules);
  const loads = survey.loads.map((load) => connectedLoad(onItsLine(load, tree), phases, rules));
  const equipment = survey.proposals.map((proposal) =>
    connectedProposal(onItsLine(proposal, tree), chargerLimitA(proposal), phases),
  );
  // What hangs elsewhere in the building, behind fuses of its own, is no part of this supply.
  const connected = belowDevice(loads, tree);
  const proposed = belowDevice(equipment, tree);
  const measured = measuredDemand(survey, tree, phases, rules);
  const listed = keptByBasis(connected);
  const declared = declaredDemand(survey, connected, measured, byLists, listed, rules);
  const counted = listed(declared.lists);
  const reckoner = withWhole(byLists, counted, declared.whole);
  const isMeasured = phases.every((phase) => declared.whole[phase] !== undefined);
  const gap = isMeasured ? undefined : basisGap(connected, declared.lists);
  const lifted = Object.values(declared.whole).some(({ least }) => least);
  const shortfall = lifted
    ? 'More was seen to flow than is declared.'
    : isMeasured
      ? undefined
      : basisShortfall(connected, declared.lists);
  const unsized = proposed.some(({ currentA }) => currentA === null)
    ? 'The rating of the new equipment is not known.'
    : undefined;
  const all = [...counted, ...proposed];
  return {
    phases,
    premises,
    byLists,
    reckoner,
    fuses,
    loads,
    connected,
    counted,
    // Every load in the basis used, wherever it hangs: what each node of the whole tree is reckoned from.
    countedAnywhere: connected === loads ? counted : inBasis(loads, declared.lists),
    leftOut: leftOutOf(loads, declared.lists),
    proposed: equipment,
    measured,
    moments: measured.moments,
    declared,
    gap,
    shortfall: shortfall ?? unsized,
    before: perPhase(reckoner(counted), 'MD now', gap, shortfall),
    afterUnmanaged: perPhase(reckoner(all), 'MD after', gap, shortfall ?? unsized),
    oneLineBefore: onNamedLines(counted, reckoner, declared.whole),
    oneLineAfter: onNamedLines(all, reckoner, declared.whole),
  };
}

/** Demand without what is on one line of three that nobody has named; undefined where there is no such thing, or all was measured. */
function onNamedLines(
  loads: readonly Connected[],
  reckoner: Reckoner,
  whole: ReturnType<typeof declaredDemand>['whole'],
): ReturnType<Reckoner> | undefined {
  const named = loads.filter(({ anyLine }) => !anyLine);
  return named.length === loads.length || Object.keys(whole).length > 0 ? undefined : reckoner(named);
}

/** A load or new equipment on the line its board hangs from, where nobody has said which line it is on itself. */
function onItsLine<T extends { nodeId?: string; phase?: LoadPhase }>(thing: T, tree: SupplyTree): T {
  if (thing.phase !== undefined) return thing;
  const phase = phaseAt(nodeOf(tree, thing.nodeId));
  return phase === undefined ? thing : { ...thing, phase };
}

/** What hangs below the limiting device; the very list where that is everything. */
function belowDevice(things: readonly Connected[], tree: SupplyTree): readonly Connected[] {
  const { device, root } = tree;
  if (!device || !root) return things;
  const beside = tree.nodes.some((here) => !hangsFrom(here, device) && !hangsFrom(device, here));
  return beside ? things.filter(({ nodeId }) => hangsFrom(nodeOf(tree, nodeId), device)) : things;
}

/** Demand per list of loads, kept by the list itself, since nodes in a chain share one. */
function reckonerOf(phases: readonly Phase[], premises: Premises, rules: Rules): Reckoner {
  const kept = new WeakMap<readonly Connected[], ReturnType<Reckoner>>();
  return (loads) => {
    const found = kept.get(loads) ?? demandPerPhase(loads, phases, premises, rules);
    kept.set(loads, found);
    return found;
  };
}

/** The loads of each basis, one list each, since a demand is kept by its list. */
function keptByBasis(connected: readonly Connected[]): (basis: ListBasis) => readonly Connected[] {
  const kept = new Map<ListBasis, readonly Connected[]>();
  return (basis) => {
    const found = kept.get(basis) ?? inBasis(connected, basis);
    kept.set(basis, found);
    return found;
  };
}
