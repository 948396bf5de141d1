import type { Assessment, PerPhase } from './assessment';
import { connectedLoad, connectedProposal, supplyPhases, type Connected } from './demand/connected';
import { assessCircuit, type CircuitAssessment } from './circuit/charger-circuit';
import { circuitFindings } from './circuit/circuit-findings';
import { assessFeeders } from './circuit/feeder';
import { feederFindings } from './circuit/feeder-findings';
import { uncountedAtFeeders } from './circuit/feeder-loads';
import { compareBases, emptiestPhase, everythingOn, unbalancePercent } from './demand/comparison';
import { declaredDemand, withWhole } from './demand/declared';
import { loadFindings } from './demand/findings';
import { basisGap, basisShortfall, demandPerPhase, inBasis } from './demand/maximum-demand';
import { measuredDemand, measuredFindings } from './demand/measured/verdict';
import { apparentPower, headroomOf, perPhase, worstPhase } from './demand/per-phase';
import { assessEarthing, earthingFindings } from './earthing/assess-earthing';
import { STATIONS, type Finding } from './finding';
import { conditionFindings, conditionVerdict } from './intake/condition';
import { fuseFindings, fuseRating } from './intake/fuse-rating';
import { checkFindings } from './intake/checks/findings';
import { loopFindings, loopVerdict } from './intake/loop-status';
import { readingFindings } from './intake/readings';
import { sharedService, sharedServiceFindings } from './intake/shared-service';
import { clampLimit, limiterVerdict } from './management/clamp-limit';
import { chargerFindings } from './management/findings';
import { chargerLimitA } from './management/limiter';
import { placementFindings } from './management/placement';
import { sourceFindings } from './management/sources';
import {
  assessNodes,
  overloadFindings,
  unratedFindings,
  weakestNode,
  withNeighbours,
  type Reckoner,
} from './node-assessments';
import { placeFindings } from './route/place-findings';
import { routeOf } from './route/route';
import type { RulePack } from './rules/rule-pack';
import type { Proposal } from './survey/proposal';
import type { Survey } from './survey/survey';
import type { ListBasis, LoadPhase, Phase, Premises } from './survey/words';
import { nodeOf } from './tree/sets-below';
import { hangsFrom, phaseAt, supplyTree, type SupplyTree } from './tree/supply-tree';

/**
 * Everything that can be said of a valid survey under a rule pack. Pure and total: whatever is missing becomes a
 * finding or a figure that says it is not known; nothing is thrown.
 */
export function assess(survey: Survey, pack: RulePack): Assessment {
  const phases = supplyPhases(survey.supply.phases);
  const premises = survey.place.premises ?? 'household';
  const byLists = reckonerOf(phases, premises, pack);
  const tree = supplyTree(survey);
  const device = tree.device?.node;
  const fuse = fuseRating(device, pack);

  const loads = survey.loads.map((load) => connectedLoad(onItsLine(load, tree), phases, pack));
  const equipment = survey.proposals.map((proposal) =>
    connectedProposal(onItsLine(proposal, tree), chargerLimitA(proposal), phases),
  );
  // What hangs elsewhere in the building, behind fuses of its own, is no part of this supply.
  const connected = belowDevice(loads, tree);
  const proposed = belowDevice(equipment, tree);
  const measured = measuredDemand(survey, phases, pack);
  const listed = keptByBasis(connected);
  const declared = declaredDemand(survey, connected, measured, byLists, listed, pack);
  const { basis, lists } = declared;
  const counted = listed(lists);
  const reckoner = withWhole(byLists, counted, declared.whole);
  const isMeasured = phases.every((phase) => declared.whole[phase] !== undefined);
  const gap = isMeasured ? undefined : basisGap(connected, lists);
  const shortfall = isMeasured ? undefined : basisShortfall(connected, lists);
  const unsized = proposed.some(({ currentA }) => currentA === null)
    ? 'The rating of the new equipment is not known.'
    : undefined;
  const before = perPhase(reckoner(counted), 'MD now', gap, shortfall);
  const afterUnmanaged = perPhase(reckoner([...counted, ...proposed]), 'MD after', gap, shortfall ?? unsized);

  const limit = clampLimit(survey, tree);
  const assessed = assessNodes({
    survey,
    tree,
    fuse,
    counted: connected === loads ? counted : inBasis(loads, lists),
    proposed: equipment,
    limit,
    reckoner,
    gap,
  });
  const limiter = limiterVerdict(survey, limit, assessed);
  const originId = device?.id ?? tree.root?.node.id;
  const managedAtOrigin = assessed.find(({ id }) => id === originId)?.managed;
  const complete = worstPhase(afterUnmanaged).bound === 'exact';
  const afterManaged = (limiter.holds && complete ? managedAtOrigin : undefined) ?? afterUnmanaged;
  const condition = conditionVerdict(survey.intake);
  const loop = loopVerdict(survey.intake.loop);
  const service = tree.nodes.find(({ node }) => node.kind === 'service')?.node;
  // What the service carries, which may be more than what hangs below this supply's own fuse.
  const carried = assessed.find(({ id }) => id === service?.id);
  const shared = sharedService(
    survey.intake.loop,
    service?.ratingA,
    carried?.before ?? before,
    (limiter.holds && complete ? carried?.managed : undefined) ?? carried?.after ?? afterManaged,
    pack,
  );
  const nodes = shared?.known && service ? withNeighbours(assessed, service.id, shared) : assessed;
  const earth = { survey, tree, fuse, pack, after: afterUnmanaged };
  const earthing = assessEarthing(earth);
  const facts = {
    survey,
    pack,
    tree,
    phases,
    nodes: new Map(assessed.map((node) => [node.id, node])),
    uncountedA: uncountedAtFeeders(tree, loads, lists, byLists),
  };
  const circuits = survey.proposals.map((proposal) => ({ proposal, assessed: assessCircuit(proposal, facts) }));
  const feeders = assessFeeders(facts, ownDrops(circuits));

  return {
    format: 'keen-gauge-assessment',
    version: 1,
    rulePack: { id: pack.id, version: pack.version, title: pack.title },
    supply: {
      phases,
      rating: fuse.figure,
      ratingEstablished: fuse.established,
      evidence: fuse.evidence,
      loop,
      sharedService: shared,
      condition,
      deviceId: device?.id ?? null,
    },
    demand: {
      basis,
      byCircuits: inOneBasis('circuits', 'MD by circuits', connected, byLists),
      byAppliances: inOneBasis('appliances', 'MD by appliances', connected, byLists),
      byMeasurement: measured.byMeasurement,
      baseLoad: measured.base,
      // Read at one station only: reckoned when somebody reads them, not on every keystroke everywhere.
      get everythingOn() {
        return eachPhase(phases, (phase) => everythingOn(connected, phase));
      },
      get comparison() {
        return eachPhase(phases, (phase) => compareBases(connected, phase, premises, pack));
      },
      get emptiestPhase() {
        return emptiestPhase(counted, phases, premises, pack) ?? null;
      },
      unbalancePercent: unbalancePercent(phases.map((phase) => before[phase]?.value ?? 0)),
      before,
      afterUnmanaged,
      afterManaged,
      headroom: headroomOf(fuse.figure, afterManaged),
      beforeKva: apparentPower('MD now', before, pack),
      afterKva: apparentPower('MD after', afterManaged, pack),
      limiter,
    },
    nodes,
    weakest: weakestNode(nodes),
    earthing,
    circuits: circuits.map((each) => each.assessed),
    feeders,
    findings: inWalkOrder([
      ...placeFindings(survey),
      ...conditionFindings(survey.intake, pack),
      ...fuseFindings(device, fuse),
      ...loopFindings(survey.intake.loop, pack),
      ...sharedServiceFindings(shared),
      ...checkFindings({ survey, pack, tree, fuse }),
      ...readingFindings(survey),
      ...earthingFindings(earth, earthing),
      ...loadFindings(survey, connected),
      ...measuredFindings(survey, measured, pack),
      ...declared.findings,
      ...sourceFindings(survey, tree),
      ...chargerFindings(survey, pack, tree),
      ...placementFindings(survey, tree, connected),
      ...unratedFindings(survey, tree, fuse),
      ...overloadFindings(nodes),
      ...circuits.flatMap((each) => circuitFindings(each.proposal, each.assessed, facts)),
      ...feederFindings(feeders),
    ]),
    route: routeOf({
      survey,
      pack,
      fuse,
      condition,
      loop,
      unmanaged: worstPhase(afterUnmanaged),
      managed: worstPhase(afterManaged),
      limiterHolds: limiter.holds && limiter.kind === 'clamp',
    }),
  };
}

/** What each charger’s own circuit drops at its full rating, where its size, or the smallest that passes, is known. */
function ownDrops(
  circuits: readonly { readonly proposal: Proposal; readonly assessed: CircuitAssessment }[],
): ReadonlyMap<string, number> {
  return new Map(
    circuits.flatMap(({ proposal, assessed: { designA, recorded, beside } }) => {
      const percent = (recorded ?? beside[0])?.ownDrop.value ?? null;
      if (percent === null || designA === null || proposal.ratedA === undefined) return [];
      return [[proposal.id, (percent * proposal.ratedA) / designA] as const];
    }),
  );
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
function reckonerOf(phases: readonly Phase[], premises: Premises, pack: RulePack): Reckoner {
  const kept = new Map<readonly Connected[], ReturnType<Reckoner>>();
  return (loads) => {
    const found = kept.get(loads) ?? demandPerPhase(loads, phases, premises, pack);
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

function eachPhase<T>(phases: readonly Phase[], make: (phase: Phase) => T): Partial<Record<Phase, T>> {
  return Object.fromEntries(phases.map((phase) => [phase, make(phase)]));
}

function inOneBasis(basis: ListBasis, label: string, connected: readonly Connected[], reckoner: Reckoner): PerPhase {
  const demands = reckoner(inBasis(connected, basis));
  return perPhase(demands, label, basisGap(connected, basis), basisShortfall(connected, basis));
}

/** Danger first, then in the order of the walk. */
function inWalkOrder(findings: readonly Finding[]): Finding[] {
  const order = (finding: Finding): number => (finding.grade === 'danger' ? -1 : STATIONS.indexOf(finding.station));
  return [...findings].sort((a, b) => order(a) - order(b));
}
