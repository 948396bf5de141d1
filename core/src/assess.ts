import type { Assessment, Decided } from './assessment';
import { testFindings } from './after/test-findings';
import { assessCircuit, type CircuitAssessment } from './circuit/charger-circuit';
import type { CircuitFacts } from './circuit/circuit-facts';
import { circuitFindings } from './circuit/circuit-findings';
import type { Declared } from './demand/declared';
import { declarationFindings } from './demand/findings';
import { goingFindings } from './demand/going-findings';
import { measuredFindings } from './demand/measured/verdict';
import { worstPhase } from './demand/per-phase';
import { readingAgainstDemand } from './demand/readings-against';
import { assessEarthing, earthingFindings } from './earthing/assess-earthing';
import { assessFeeders } from './feeder/feeder';
import { feederFindings } from './feeder/feeder-findings';
import { uncountedAtFeeders } from './feeder/feeder-loads';
import { STATIONS, type Finding, type Statement } from './finding';
import { verdictsOf, type VerdictFacts } from './grounds/verdicts';
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
import { supplyDemand, type SupplyDemand } from './demand/supply-demand';
import { AFRESH, type Steps } from './memory';
import { weakestNode } from './nodes/least-left';
import { limitedNodes, type Limited } from './nodes/limited-nodes';
import { besideOn } from './nodes/neighbours';
import { nodeDemands, type NodeDemand } from './nodes/node-demand';
import { overloadAt } from './nodes/overload';
import { withPutOff } from './questions/put-off';
import type { Question, QuestionFacts } from './questions/question';
import { askFinding, openQuestions } from './questions/register';
import { routeOf } from './route/route';
import type { FusedDemand } from './route/trigger';
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
export function assess(survey: Survey, rules: Rules, steps: Steps = AFRESH): Assessment {
  const { step, each } = steps;
  const reckoned = reckon(survey, rules, steps);
  const open = openQuestions(reckoned.known, steps);
  const questions = step('put off', { open, putOff: survey.putOff }, (facts) => withPutOff(facts.open, facts.putOff));
  const { route, statements, asked, ...decided } = conclude(reckoned, questions, steps);
  const findings = step('findings', { statements, asked }, (facts) =>
    inWalkOrder([...facts.statements, ...each('ask findings', facts.asked, askFinding)]),
  );
  return {
    format: 'keen-gauge-assessment',
    version: 3,
    rules: { id: rules.id, version: rules.version, title: rules.title },
    ...decided,
    questions,
    findings,
    route,
  };
}

/** The same verdicts and the same route, for one of many surveys that might be: nothing is asked that no verdict stands on. */
export function decide(survey: Survey, rules: Rules): Decided {
  const reckoned = reckon(survey, rules, AFRESH);
  const open = openQuestions(reckoned.known, AFRESH, 'deciding');
  const {
    statements: _statements,
    asked: _asked,
    ...decided
  } = conclude(reckoned, withPutOff(open, survey.putOff), AFRESH);
  return decided;
}

type Reckoned = ReturnType<typeof reckon>;

/** Every figure of a survey, and the facts that findings, questions and verdicts are made from. */
function reckon(survey: Survey, rules: Rules, steps: Steps) {
  const { step, each } = steps;
  const given = { survey, rules };
  const { nodes: recorded, deviceId } = survey.supply;
  const tree = step('tree', { recorded, at: equipmentAt(survey.proposals), deviceId }, (facts) =>
    treeOf(facts.recorded, facts.at, facts.deviceId),
  );
  const demand = supplyDemand({ ...given, tree }, steps);
  const { fuses, measured, declared, connected, afterUnmanaged } = demand;
  const intake = step('intake', { ...given, tree, fuses }, intakeOf);
  const { fuse, condition, loop } = intake;
  const clamps = step('clamps', { ...given, tree }, (facts) => clampLimit(facts.survey, facts.tree, facts.rules));
  const beside = step('beside', { ...given, tree }, besideOn);
  const carried = nodeDemands({ tree, demand, limit: clamps, beside, rules }, steps);
  const limited = limitedNodes({ ...given, tree, demand, limit: clamps, carried }, steps);
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

  const over = step('over', { nodes, holds: limiter.holds }, (facts) =>
    each(`over, limiter ${facts.holds ?? 'not known'}`, facts.nodes, (node) => overloadAt(node, facts.holds)).flat(),
  );
  const unchecked = step('open checks', { survey, tree, checks }, (facts) => openChecks(facts, facts.checks));

  // Everything that findings, questions and verdicts are made from, in one record: each step notes what it looks at.
  const known: Known = {
    survey,
    rules,
    tree,
    fuse,
    fuses,
    condition,
    loop,
    shared,
    outcomes: checks,
    checks: unchecked,
    earth,
    earthing,
    measured,
    connected,
    declared,
    basis: declared.basis,
    after: afterUnmanaged,
    nodes,
    over,
    limiter: limited.limiterGrounds,
    judged: circuits,
    circuits: assessed,
    circuitFacts,
    feeders,
  };
  return { known, demand, intake, carried, limited };
}

/** What is found, the verdicts that rest on it and on what is asked, and the route. */
function conclude(
  { known, demand, intake: { fuse, condition, loop }, carried, limited }: Reckoned,
  questions: readonly Question[],
  steps: Steps,
) {
  const { step, joined } = steps;
  const { survey, rules, tree, fuses, nodes } = known;
  const { phases, afterUnmanaged } = demand;
  const statements = joined(
    'statements',
    FINDERS.map(([name, find]) => step(name, known, find)),
  );
  const asked = step('asked', { questions }, (facts) => facts.questions.filter(({ taken }) => taken === undefined));
  const verdicts = verdictsOf(known, { statements, asked }, steps);
  const route = step(
    'route',
    { survey, rules, condition, loop, verdicts, tree, fuses, fuse, afterUnmanaged, limited, carried },
    routeThere,
  );
  return {
    supply: {
      phases,
      rating: fuse.figure,
      ratingEstablished: fuse.established,
      evidence: fuse.evidence,
      loop,
      sharedService: known.shared,
      condition,
      deviceId: tree.device?.node.id ?? null,
    },
    demand: step('demand figures', { rules, demand, fuse, limited }, demandFigures),
    nodes,
    weakest: step('weakest', { nodes }, (facts) => weakestNode(facts.nodes)),
    earthing: known.earthing,
    circuits: known.circuits,
    feeders: known.feeders,
    verdicts,
    statements,
    asked,
    route,
  };
}

interface Given {
  readonly survey: Survey;
  readonly rules: Rules;
}

/** The fuse that limits the supply, and what is known of intake and loop. */
function intakeOf({ survey, rules, tree, fuses }: Given & { readonly tree: SupplyTree } & Pick<SupplyDemand, 'fuses'>) {
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
  demand: { phases, loads, countedAnywhere, stayingAnywhere, declared, byLists },
  limited: { held, own },
}: {
  readonly tree: SupplyTree;
  readonly demand: SupplyDemand;
  readonly limited: Limited;
}): Omit<CircuitFacts, 'survey' | 'rules'> {
  const stays = new Set(stayingAnywhere.map(({ id }) => id));
  const gone = new Set(countedAnywhere.flatMap(({ id }) => (stays.has(id) ? [] : [id])));
  return {
    tree,
    phases,
    limiterHolds: held,
    nodes: new Map(own.map((node) => [node.id, node])),
    uncountedA: uncountedAtFeeders(
      tree,
      countedAnywhere === stayingAnywhere ? loads : loads.filter(({ id }) => !gone.has(id)),
      declared.lists,
      byLists,
    ),
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

/** Everything findings, questions and verdicts are made from. */
interface Known extends QuestionFacts, VerdictFacts {
  readonly outcomes: ReturnType<typeof checkOutcomes>;
  readonly earth: Parameters<typeof assessEarthing>[0];
  readonly earthing: ReturnType<typeof assessEarthing>;
  readonly declared: Declared;
  readonly over: readonly Statement[];
  readonly judged: readonly OneCircuit[];
  readonly circuits: readonly CircuitAssessment[];
}

/** What is found, each kind in a step of its own, in the order it is told. */
const FINDERS: readonly (readonly [string, (known: Known) => readonly Statement[]])[] = [
  ['found: condition', ({ survey, rules }) => conditionFindings(survey.intake, rules)],
  ['found: fuse', ({ survey, fuses }) => fuseFindings(survey, fuses)],
  ['found: loop', ({ survey, rules }) => loopFindings(survey.intake.loop, rules)],
  ['found: shared service', ({ shared }) => sharedServiceFindings(shared)],
  ['found: checks', ({ outcomes }) => checkFindings(outcomes)],
  ['found: readings', ({ survey }) => readingFindings(survey)],
  ['found: earthing', ({ earth, earthing }) => earthingFindings(earth, earthing)],
  ['found: measured', ({ survey, measured, rules }) => measuredFindings(survey, measured, rules)],
  ['found: declaration', ({ survey, connected }) => declarationFindings(survey, connected)],
  ['found: declared', ({ declared }) => declared.findings],
  ['found: going', ({ survey, tree, declared }) => goingFindings(survey, tree, declared)],
  ['found: readings against demand', ({ survey, tree, nodes }) => readingAgainstDemand(survey, tree, nodes)],
  ['found: sources', ({ survey, tree }) => sourceFindings(survey, tree)],
  ['found: chargers', ({ survey, rules, tree }) => chargerFindings(survey, rules, tree)],
  ['found: placement', ({ survey, tree, connected }) => placementFindings(survey, tree, connected)],
  ['found: overload', ({ over }) => over],
  [
    'found: circuits',
    ({ judged, circuitFacts }) =>
      judged.flatMap(({ proposal, assessed }) => circuitFindings(proposal, assessed, circuitFacts)),
  ],
  ['found: feeders', ({ feeders }) => feederFindings(feeders)],
  ['found: tests', ({ survey, circuits, rules }) => testFindings(survey, circuits, rules)],
];

/** The way to the operator, decided from the verdicts and the demand behind every fuse the new equipment is fed through. */
function routeThere({
  survey,
  rules,
  condition,
  loop,
  verdicts,
  tree,
  fuses,
  fuse,
  afterUnmanaged,
  limited: { held, afterManaged },
  carried,
}: Given &
  Pick<ReturnType<typeof intakeOf>, 'condition' | 'loop' | 'fuse'> &
  Pick<SupplyDemand, 'fuses' | 'afterUnmanaged'> & {
    readonly verdicts: Assessment['verdicts'];
    readonly tree: SupplyTree;
    readonly limited: Limited;
    readonly carried: readonly NodeDemand[];
  }): Assessment['route'] {
  const own = { fuse, name: null, unmanaged: worstPhase(afterUnmanaged), managed: worstPhase(afterManaged) };
  const supplies = suppliesOf(survey, tree, fuses, carried, held, own);
  return routeOf({ survey, rules, condition, loop, supplies, limiterHolds: held, verdicts });
}

/** The demand behind every limiting fuse that new equipment is fed through, this survey's own supply first. */
function suppliesOf(
  survey: Survey,
  tree: SupplyTree,
  fuses: readonly FuseRating[],
  nodes: readonly NodeDemand[],
  held: boolean,
  own: FusedDemand,
): FusedDemand[] {
  const others = new Set(
    survey.proposals
      .flatMap(({ nodeId }) => outermostFuse(nodeOf(tree, nodeId)) ?? [])
      .filter((here) => here !== tree.device),
  );
  return [
    own,
    ...[...others].flatMap(({ node }): FusedDemand[] => {
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

const WALK = new Map(STATIONS.map((station, at) => [station, at]));

/** Danger first, then in the order of the walk. */
function inWalkOrder(findings: readonly Finding[]): Finding[] {
  const order = ({ grade, station }: Finding): number => (grade === 'danger' ? -1 : (WALK.get(station) ?? 0));
  return [...findings].sort((a, b) => order(a) - order(b));
}
