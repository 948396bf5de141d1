import type { Assessment } from './assessment';
import { testFindings } from './after/test-findings';
import { assessCircuit, type CircuitAssessment } from './circuit/charger-circuit';
import type { CircuitFacts } from './circuit/circuit-facts';
import { circuitFindings } from './circuit/circuit-findings';
import { declarationFindings } from './demand/findings';
import { measuredFindings } from './demand/measured/verdict';
import { worstPhase } from './demand/per-phase';
import { readingAgainstDemand } from './demand/readings-against';
import { assessEarthing, earthingFindings } from './earthing/assess-earthing';
import { assessFeeders } from './feeder/feeder';
import { feederFindings } from './feeder/feeder-findings';
import { uncountedAtFeeders } from './feeder/feeder-loads';
import { STATIONS, type Finding, type Statement } from './finding';
import { verdictsOf } from './grounds/verdicts';
import { checkFindings, checkOutcomes, openChecks } from './intake/checks/findings';
import { conditionFindings, conditionVerdict } from './intake/condition';
import { fuseFindings, fuseName, fuseRating, type FuseRating } from './intake/fuse-rating';
import { loopFindings, loopVerdict } from './intake/loop-status';
import { readingFindings } from './intake/readings';
import { sharedServiceFindings } from './intake/shared-service';
import { clampLimit } from './management/clamp-limit';
import { chargerFindings } from './management/findings';
import { placementFindings } from './management/placement';
import { sourceFindings } from './management/sources';
import { demandFigures } from './demand-figures';
import { besideOn, limitedNodes, type Limited } from './limited-nodes';
import { AFRESH, type Steps } from './memory';
import { overloadFindings, reckonNodes, weakestNode, type ReckonedNode } from './node-assessments';
import { askFindings, openQuestions } from './questions/register';
import { reckonDemand, type ReckonedDemand } from './reckoned-demand';
import { routeOf } from './route/route';
import type { SupplyDemand } from './route/trigger';
import type { Rules } from './rules/rules';
import type { Proposal } from './survey/proposal';
import type { Survey } from './survey/survey';
import { nodeOf } from './tree/sets-below';
import { equipmentAt, outermostFuse, treeOf, type SupplyTree } from './tree/supply-tree';

/**
 * Everything that can be said of a valid survey under a set of rules, in named steps: figures, what is found, what is asked, the verdicts that rest
 * on all three, and the route that is decided from the verdicts. Pure and total: whatever is missing becomes a question or a figure that says it is
 * not known; nothing is thrown. With a memory, a step whose facts are the very same as the last time is not made again.
 */
export function assess(survey: Survey, rules: Rules, { step, joined }: Steps = AFRESH): Assessment {
  const given = { survey, rules };
  const { nodes: recorded } = survey.supply;
  const tree = step('tree', { recorded, at: equipmentAt(survey.proposals) }, (facts) =>
    treeOf(facts.recorded, facts.at),
  );
  const demand = step('demand', { ...given, tree }, reckonDemand);
  const { fuses, phases, measured, declared, connected, afterUnmanaged } = demand;
  const intake = step('intake', { ...given, tree, fuses }, intakeOf);
  const { fuse, condition, loop } = intake;
  const clamps = step('clamps', { ...given, tree }, (facts) => clampLimit(facts.survey, facts.tree, facts.rules));
  const beside = step('beside', { ...given, tree }, besideOn);
  const reckoned = step(
    'nodes',
    { ...given, ...demand, tree, limit: clamps, beside, counted: demand.countedAnywhere },
    reckonNodes,
  );
  const limited = step('limits', { ...given, tree, demand, limit: clamps, reckoned }, limitedNodes);
  const { nodes, limiter, shared } = limited;
  const earth = { survey, tree, fuse, rules, after: afterUnmanaged };
  const earthing = step('earthing', earth, assessEarthing);
  const circuitFacts = { ...given, ...step('circuit facts', { tree, demand, limited }, whatCircuitsCarry) };
  const circuits = step('circuits', { survey, circuitFacts }, circuitsOf);
  const assessed = step('assessed circuits', { circuits }, (facts) => facts.circuits.map((each) => each.assessed));
  const feeders = step('feeders', { circuitFacts, circuits }, (facts) =>
    assessFeeders(facts.circuitFacts, ownDrops(facts.circuits)),
  );
  const checks = step('checks', { survey, rules, tree, fuse }, checkOutcomes);

  const found = {
    ...given,
    tree,
    fuses,
    shared,
    checks,
    earth,
    earthing,
    measured,
    connected,
    declared,
    nodes,
    limiter,
  };
  const all = { ...found, circuits, assessed, circuitFacts, feeders };
  const statements = joined(
    'statements',
    FINDERS.map(([name, find]) => step(name, all, find)),
  );
  const open = step('open checks', { survey, tree, checks }, (facts) => openChecks(facts, facts.checks));
  const asked = { ...given, tree, fuse, fuses, condition, loop, shared, checks: open, connected, measured };
  const questions = openQuestions(
    { ...asked, basis: declared.basis, earthing, circuits: assessed, circuitFacts, feeders },
    { step, joined },
  );
  const rests = {
    ...given,
    tree,
    fuses,
    condition,
    loop,
    basis: declared.basis,
    after: afterUnmanaged,
    nodes,
    earthing,
  };
  const verdicts = step(
    'verdicts',
    { ...rests, circuits: assessed, limiter: limited.limiterGrounds, statements, questions },
    verdictsOf,
  );
  const findings = step('findings', { statements, questions }, (facts) =>
    inWalkOrder([...facts.statements, ...askFindings(facts.questions)]),
  );
  const route = step(
    'route',
    { ...given, condition, loop, verdicts, tree, demand, intake, limited, reckoned },
    routeThere,
  );
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
    demand: step('demand figures', { rules, demand, fuse, limited }, demandFigures),
    nodes,
    weakest: step('weakest', { nodes }, (facts) => weakestNode(facts.nodes)),
    earthing,
    circuits: assessed,
    feeders,
    verdicts,
    questions,
    findings,
    route,
  };
}

interface Given {
  readonly survey: Survey;
  readonly rules: Rules;
}

/** The fuse that limits the supply, and what is known of intake and loop. */
function intakeOf({
  survey,
  rules,
  tree,
  fuses,
}: Given & { readonly tree: SupplyTree } & Pick<ReckonedDemand, 'fuses'>) {
  const own = fuses.find(({ nodeId }) => nodeId === (tree.device?.node.id ?? null));
  return {
    fuse: own ?? fuseRating(undefined, rules),
    condition: conditionVerdict(survey.intake),
    loop: loopVerdict(survey.intake.loop),
  };
}

/** What circuits and feeders are judged from beside the survey and its rules. */
function whatCircuitsCarry({
  tree,
  demand: { phases, loads, declared, byLists },
  limited: { held, own },
}: {
  readonly tree: SupplyTree;
  readonly demand: ReckonedDemand;
  readonly limited: Limited;
}): Omit<CircuitFacts, 'survey' | 'rules'> {
  return {
    tree,
    phases,
    limiterHolds: held,
    nodes: new Map(own.map((node) => [node.id, node])),
    uncountedA: uncountedAtFeeders(tree, loads, declared.lists, byLists),
  };
}

interface OneCircuit {
  readonly proposal: Proposal;
  readonly assessed: CircuitAssessment;
}

function circuitsOf({
  survey,
  circuitFacts,
}: {
  readonly survey: Survey;
  readonly circuitFacts: CircuitFacts;
}): OneCircuit[] {
  return survey.proposals.map((proposal) => ({ proposal, assessed: assessCircuit(proposal, circuitFacts) }));
}

/** Everything findings are made from. */
type Found = Given &
  Pick<ReckonedDemand, 'fuses' | 'measured' | 'connected' | 'declared'> &
  Pick<Limited, 'shared' | 'nodes' | 'limiter'> & {
    readonly tree: SupplyTree;
    readonly checks: ReturnType<typeof checkOutcomes>;
    readonly earth: Parameters<typeof assessEarthing>[0];
    readonly earthing: ReturnType<typeof assessEarthing>;
    readonly circuits: readonly OneCircuit[];
    readonly assessed: readonly CircuitAssessment[];
    readonly circuitFacts: CircuitFacts;
    readonly feeders: ReturnType<typeof assessFeeders>;
  };

/** What is found, each kind in a step of its own, in the order it is told. */
const FINDERS: readonly (readonly [string, (found: Found) => readonly Statement[]])[] = [
  ['found: condition', ({ survey, rules }) => conditionFindings(survey.intake, rules)],
  ['found: fuse', ({ survey, fuses }) => fuseFindings(survey, fuses)],
  ['found: loop', ({ survey, rules }) => loopFindings(survey.intake.loop, rules)],
  ['found: shared service', ({ shared }) => sharedServiceFindings(shared)],
  ['found: checks', ({ checks }) => checkFindings(checks)],
  ['found: readings', ({ survey }) => readingFindings(survey)],
  ['found: earthing', ({ earth, earthing }) => earthingFindings(earth, earthing)],
  ['found: measured', ({ survey, measured, rules }) => measuredFindings(survey, measured, rules)],
  ['found: declaration', ({ survey, connected }) => declarationFindings(survey, connected)],
  ['found: declared', ({ declared }) => declared.findings],
  ['found: readings against demand', ({ survey, tree, nodes }) => readingAgainstDemand(survey, tree, nodes)],
  ['found: sources', ({ survey, tree }) => sourceFindings(survey, tree)],
  ['found: chargers', ({ survey, rules, tree }) => chargerFindings(survey, rules, tree)],
  ['found: placement', ({ survey, tree, connected }) => placementFindings(survey, tree, connected)],
  ['found: overload', ({ nodes, limiter }) => overloadFindings(nodes, limiter.holds)],
  [
    'found: circuits',
    ({ circuits, circuitFacts }) =>
      circuits.flatMap(({ proposal, assessed }) => circuitFindings(proposal, assessed, circuitFacts)),
  ],
  ['found: feeders', ({ feeders }) => feederFindings(feeders)],
  ['found: tests', ({ survey, assessed, rules }) => testFindings(survey, assessed, rules)],
];

/** The way to the operator, decided from the verdicts and the demand behind every fuse the new equipment is fed through. */
function routeThere({
  survey,
  rules,
  condition,
  loop,
  verdicts,
  tree,
  demand: { fuses, afterUnmanaged },
  intake: { fuse },
  limited: { held, afterManaged },
  reckoned,
}: Given &
  Pick<ReturnType<typeof intakeOf>, 'condition' | 'loop'> & {
    readonly verdicts: Assessment['verdicts'];
    readonly tree: SupplyTree;
    readonly demand: ReckonedDemand;
    readonly intake: ReturnType<typeof intakeOf>;
    readonly limited: Limited;
    readonly reckoned: readonly ReckonedNode[];
  }): Assessment['route'] {
  const own = { fuse, name: null, unmanaged: worstPhase(afterUnmanaged), managed: worstPhase(afterManaged) };
  const supplies = suppliesOf(survey, tree, fuses, reckoned, held, own);
  return routeOf({ survey, rules, condition, loop, supplies, limiterHolds: held, verdicts });
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

/** Danger first, then in the order of the walk. */
function inWalkOrder(findings: readonly Finding[]): Finding[] {
  const order = (finding: Finding): number => (finding.grade === 'danger' ? -1 : STATIONS.indexOf(finding.station));
  return [...findings].sort((a, b) => order(a) - order(b));
}
