import type { Assessment } from './assessment';
import type { PerPhase } from './demand/per-phase-figures';
import { testFindings } from './after/test-findings';
import { connectedLoad, connectedProposal, supplyPhases, type Connected } from './demand/connected';
import { assessCircuit, type CircuitAssessment } from './circuit/charger-circuit';
import type { CircuitFacts } from './circuit/circuit-facts';
import { circuitFindings } from './circuit/circuit-findings';
import { assessFeeders } from './feeder/feeder';
import { feederFindings } from './feeder/feeder-findings';
import { uncountedAtFeeders } from './feeder/feeder-loads';
import { compareBases, emptiestPhase, everythingOn, unbalancePercent } from './demand/comparison';
import { declaredDemand, withWhole } from './demand/declared';
import { declarationFindings } from './demand/findings';
import { basisGap, basisShortfall, demandPerPhase, inBasis, leftOutOf } from './demand/maximum-demand';
import { measuredDemand, measuredFindings } from './demand/measured/verdict';
import { readingAgainstDemand } from './demand/readings-against';
import { apparentPower, headroomOf, perPhase, worstPhase } from './demand/per-phase';
import { assessEarthing, earthingFindings } from './earthing/assess-earthing';
import { STATIONS, type Finding, type Statement } from './finding';
import { verdictsOf } from './grounds/verdicts';
import { conditionFindings, conditionVerdict } from './intake/condition';
import { fuseFindings, fuseName, fuseRating, fusesOnTheWay, type FuseRating } from './intake/fuse-rating';
import { checkFindings, checkOutcomes, openChecks } from './intake/checks/findings';
import { loopFindings, loopVerdict } from './intake/loop-status';
import { readingFindings } from './intake/readings';
import { sharedService, sharedServiceFindings } from './intake/shared-service';
import { clampLimit } from './management/clamp-limit';
import { chargerFindings } from './management/findings';
import { chargerLimitA } from './management/limiter';
import { limiterVerdict } from './management/limiter-verdict';
import { placementFindings } from './management/placement';
import { sourceFindings } from './management/sources';
import {
  leastHeadroom,
  overloadFindings,
  reckonNodes,
  weakestNode,
  withHeadroom,
  withNeighbours,
  type Beside,
  type ReckonedNode,
  type Reckoner,
} from './node-assessments';
import { askFindings, openQuestions } from './questions/register';
import type { SupplyDemand } from './route/trigger';
import { routeOf } from './route/route';
import type { Rules } from './rules/rules';
import type { Proposal } from './survey/proposal';
import type { SupplyNode } from './survey/supply';
import type { Survey } from './survey/survey';
import type { ListBasis, LoadPhase, Phase, Premises } from './survey/words/words';
import { nodeOf } from './tree/sets-below';
import { hangsFrom, outermostFuse, phaseAt, supplyTree, type SupplyTree } from './tree/supply-tree';

/**
 * Everything that can be said of a valid survey under a set of rules, in this order: figures, what is found, what is asked, the verdicts that
 * rest on all three, and the route that is decided from the verdicts. Pure and total: whatever is missing becomes a question or a figure that
 * says it is not known; nothing is thrown.
 */
export function assess(survey: Survey, rules: Rules): Assessment {
  const reckoned = reckonDemand(survey, rules);
  const { tree, phases, premises, connected, counted, declared, measured, before, afterUnmanaged, fuses } = reckoned;
  const [fuse = fuseRating(undefined, rules)] = fuses.filter(({ nodeId }) => nodeId === (tree.device?.node.id ?? null));
  const condition = conditionVerdict(survey.intake);
  const loop = loopVerdict(survey.intake.loop);
  const limit = clampLimit(survey, tree, rules);
  const service = tree.nodes.find(({ node }) => node.kind === 'service')?.node;
  const beside = besideOn(survey, service, rules);
  const reckonedNodes = reckonNodes({ ...reckoned, survey, limit, beside, rules, counted: reckoned.countedAnywhere });
  const at = (id: string | undefined): ReckonedNode | undefined => reckonedNodes.find((node) => node.id === id);
  const origin = at(tree.device?.node.id ?? tree.root?.node.id);
  const carried = at(service?.id);
  // The service carries what hangs beside this supply's own fuse as well, and the neighbours.
  const sharedWith = (managed: boolean): ReturnType<typeof sharedService> =>
    sharedService(
      survey.intake.loop,
      service?.ratingA,
      carried?.before ?? before,
      (managed ? carried?.managed : undefined) ?? carried?.after ?? afterUnmanaged,
      rules,
    );
  const ifHeld = sharedWith(true);
  const { limiter, verdict: limiterGrounds } = limiterVerdict({
    survey,
    tree,
    rules,
    fuses,
    limit,
    nodes: reckonedNodes,
    sharedLeftA: ifHeld?.known ? leastHeadroom(ifHeld.left) : undefined,
  });
  const held = limiter.holds === true && limiter.kind === 'clamp';
  const afterManaged = (held ? origin?.managed : undefined) ?? afterUnmanaged;
  const shared = held ? ifHeld : sharedWith(false);
  const ownNodes = withHeadroom(reckonedNodes, held);
  const nodes = shared?.known && service ? withNeighbours(ownNodes, service.id, shared) : ownNodes;
  const earth = { survey, tree, fuse, rules, after: afterUnmanaged };
  const earthing = assessEarthing(earth);
  const circuitFacts: CircuitFacts = {
    survey,
    rules,
    tree,
    phases,
    limiterHolds: held,
    nodes: new Map(ownNodes.map((node) => [node.id, node])),
    uncountedA: uncountedAtFeeders(tree, reckoned.loads, declared.lists, reckoned.byLists),
  };
  const circuits = survey.proposals.map((proposal) => ({ proposal, assessed: assessCircuit(proposal, circuitFacts) }));
  const feeders = assessFeeders(circuitFacts, ownDrops(circuits));
  const checks = checkOutcomes({ survey, rules, tree, fuse });
  const statements: Statement[] = [
    ...conditionFindings(survey.intake, rules),
    ...fuseFindings(survey, fuses),
    ...loopFindings(survey.intake.loop, rules),
    ...sharedServiceFindings(shared),
    ...checkFindings(checks),
    ...readingFindings(survey),
    ...earthingFindings(earth, earthing),
    ...measuredFindings(survey, measured, rules),
    ...declarationFindings(survey, connected),
    ...declared.findings,
    ...readingAgainstDemand(survey, tree, nodes),
    ...sourceFindings(survey, tree),
    ...chargerFindings(survey, rules, tree),
    ...placementFindings(survey, tree, connected),
    ...overloadFindings(nodes, limiter.holds),
    ...circuits.flatMap((each) => circuitFindings(each.proposal, each.assessed, circuitFacts)),
    ...feederFindings(feeders),
    ...testFindings(
      survey,
      circuits.map(({ assessed }) => assessed),
      rules,
    ),
  ];
  const questions = openQuestions({
    survey,
    rules,
    tree,
    fuse,
    fuses,
    condition,
    loop,
    shared,
    checks: openChecks({ survey, tree }, checks),
    connected,
    measured,
    basis: declared.basis,
    earthing,
    circuits: circuits.map(({ assessed }) => assessed),
    circuitFacts,
    feeders,
  });
  const verdicts = verdictsOf({
    survey,
    rules,
    tree,
    fuses,
    condition,
    loop,
    basis: declared.basis,
    after: afterUnmanaged,
    nodes,
    earthing,
    circuits: circuits.map(({ assessed }) => assessed),
    limiter: limiterGrounds,
    statements,
    questions,
  });

  return {
    format: 'keen-gauge-assessment',
    version: 3,
    rules: { id: rules.id, version: rules.version, title: rules.title },
    supply: {
      phases,
      rating: fuse.figure,
      ratingEstablished: fuse.established,
      evidence: fuse.evidence,
      loop,
      sharedService: shared,
      condition,
      deviceId: tree.device?.node.id ?? null,
    },
    demand: {
      basis: declared.basis,
      byCircuits: inOneBasis('circuits', 'MD by circuits', connected, reckoned.byLists),
      byAppliances: inOneBasis('appliances', 'MD by appliances', connected, reckoned.byLists),
      byMeasurement: measured.byMeasurement,
      baseLoad: measured.base,
      // Read at one station only: reckoned when somebody reads them, not on every keystroke everywhere.
      get everythingOn() {
        return eachPhase(phases, (phase) =>
          everythingOn(
            connected,
            phase,
            premises,
            rules,
            greatest(before[phase]?.value, measured.byMeasurement[phase]?.value),
          ),
        );
      },
      get comparison() {
        return eachPhase(phases, (phase) => compareBases(connected, phase, premises, rules));
      },
      get emptiestPhase() {
        return emptiestPhase(counted, phases, premises, rules) ?? null;
      },
      unbalancePercent: unbalancePercent(phases.map((phase) => before[phase]?.value ?? 0)),
      before,
      afterUnmanaged,
      afterManaged,
      headroom: headroomOf(fuse.figure, afterManaged),
      beforeKva: apparentPower('MD now', before, rules, reckoned.oneLineBefore),
      afterKva: apparentPower('MD after', afterManaged, rules, reckoned.oneLineAfter),
      limiter,
    },
    nodes,
    weakest: weakestNode(nodes),
    earthing,
    circuits: circuits.map((each) => each.assessed),
    feeders,
    verdicts,
    questions,
    findings: inWalkOrder([...statements, ...askFindings(questions)]),
    route: routeOf({
      survey,
      rules,
      condition,
      loop,
      supplies: suppliesOf(survey, tree, fuses, reckonedNodes, held, {
        fuse,
        name: null,
        unmanaged: worstPhase(afterUnmanaged),
        managed: worstPhase(afterManaged),
      }),
      limiterHolds: held,
      verdicts,
    }),
  };
}

/** The neighbours on a service known to be shared; undefined where it is this supply's own, or not known to be shared. */
function besideOn({ intake }: Survey, service: SupplyNode | undefined, rules: Rules): Beside | undefined {
  if (!service) return undefined;
  const shared = sharedService(intake.loop, service.ratingA, {}, {}, rules);
  return shared?.known
    ? { nodeId: service.id, amperes: shared.neighbour.value ?? 0, ratingA: shared.rating.value }
    : undefined;
}

/** Loads, new equipment and demand of a survey, before any limiter. */
function reckonDemand(survey: Survey, rules: Rules) {
  const phases = supplyPhases(survey.supply.phases);
  const premises = survey.place.premises ?? 'household';
  const byLists = reckonerOf(phases, premises, rules);
  const tree = supplyTree(survey);
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
    tree,
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

/** The demand behind every limiting fuse that new equipment is fed through, this survey's own supply first. */
function suppliesOf(
  survey: Survey,
  tree: SupplyTree,
  fuses: readonly FuseRating[],
  nodes: readonly ReckonedNode[],
  held: boolean,
  own: SupplyDemand,
): SupplyDemand[] {
  const others = new Set(
    survey.proposals
      .flatMap(({ nodeId }) => outermostFuse(nodeOf(tree, nodeId)) ?? [])
      .filter((here) => here !== tree.device),
  );
  return [
    own,
    ...[...others].flatMap(({ node }): SupplyDemand[] => {
      const fuse = fuses.find(({ nodeId }) => nodeId === node.id);
      const here = nodes.find(({ id }) => id === node.id);
      if (!fuse || !here) return [];
      const managed = (held ? here.managed : undefined) ?? here.after;
      return [{ fuse, name: fuseName(node), unmanaged: worstPhase(here.after), managed: worstPhase(managed) }];
    }),
  ];
}

function greatest(...values: readonly (number | null | undefined)[]): number | undefined {
  const known = values.filter((value) => value != null);
  return known.length === 0 ? undefined : Math.max(...known);
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
function reckonerOf(phases: readonly Phase[], premises: Premises, rules: Rules): Reckoner {
  const kept = new Map<readonly Connected[], ReturnType<Reckoner>>();
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
