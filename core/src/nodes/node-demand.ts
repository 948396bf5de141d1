import type { Connected } from '../demand/connected';
import type { Reckon } from '../demand/declared';
import { SOCKETS_LEFT_OUT, type PhaseDemand } from '../demand/maximum-demand';
import { perPhase } from '../demand/per-phase';
import type { PerPhase } from '../demand/per-phase-figures';
import type { MeasuredDemand } from '../demand/measured/verdict';
import type { SupplyDemand } from '../demand/supply-demand';
import type { FuseRating } from '../intake/fuse-rating';
import type { ClampLimit } from '../management/clamp-limit';
import { guardedA, lostA, managedDemand } from '../management/managed-demand';
import { momentsAt, type Moment } from '../management/moments';
import { givenOn } from '../management/sources';
import type { Steps } from '../memory';
import type { Rules } from '../rules/rules';
import type { SupplyNode } from '../survey/supply';
import { nodeName, type Phase } from '../survey/words/words';
import { hangsFrom, towardsStreet, type SupplyTree, type TreeNode } from '../tree/supply-tree';
import { figure, given, unknownFigure, type Figure } from '../worked';
import type { Beside } from './neighbours';
import type { NodeAssessment } from './node-assessment';
import { guardOf, type PhaseFlow } from './node-guard';
import { nodeLists, type NodeLists } from './node-lists';

/** A node before it is known whether the limiter holds, which decides what its headroom is counted from. */
export type NodeDemand = Omit<NodeAssessment, 'headroom' | 'moments'> & {
  readonly rating: Figure;
  /** What short times come to here, with the chargers free and with the limiter working; empty where none were logged. */
  readonly free: readonly Moment[];
  readonly held: readonly Moment[];
};

interface Inputs {
  readonly tree: SupplyTree;
  readonly demand: SupplyDemand;
  readonly limit: ClampLimit | null;
  /** The neighbours on a service known to be shared: what they take of it on each line, and what it may carry. */
  readonly beside: Beside | undefined;
  readonly rules: Rules;
}

/** Everything one node is judged from. */
interface Facts extends NodeLists, Pick<SupplyDemand, 'byLists' | 'reckoner' | 'gap' | 'shortfall'> {
  readonly node: SupplyNode;
  readonly fuse: FuseRating | undefined;
  readonly moments: MeasuredDemand['moments'];
  /** Whether anything is listed at all, and whether all of it, or all that was measured, is carried here. */
  readonly isListed: boolean;
  readonly isWhole: boolean;
  /** Whether it is the supply's own fuse or hangs from it. */
  readonly isOwn: boolean;
  readonly beside: Beside | undefined;
  readonly rules: Rules;
  /** The limit that holds the chargers fed through here; null where none is. */
  readonly limit: ClampLimit | null;
  readonly here: TreeNode;
  readonly unplaced: TreeNode | null;
}

/** Demand and guard at every node of the tree, street first, each a step of its own. */
export function nodeDemands(inputs: Inputs, steps: Steps): readonly NodeDemand[] {
  return steps.step('nodes', inputs, (facts) => everyNode(facts, steps));
}

function everyNode({ tree, demand, limit, beside, rules }: Inputs, steps: Steps): readonly NodeDemand[] {
  const { countedAnywhere: counted, fuses, measured, byLists, reckoner, gap, shortfall } = demand;
  const lists = nodeLists(tree, demand, limit, steps);
  const ratings = new Map(fuses.map((fuse) => [fuse.nodeId, fuse]));
  const isListed = counted.length > 0;
  const { own, carriesAll } = steps.step('below the fuse', { tree }, ownNodes);
  return steps.same(
    'nodes',
    tree.nodes.map((here) => {
      const { before, after, leavesOut, others, held, unseen } = lists(here);
      // Written out, name by name: spread, it takes longer than all that is looked up in it.
      return steps.step(
        `node ${here.node.id}`,
        {
          byLists,
          reckoner,
          gap,
          shortfall,
          isListed,
          beside,
          rules,
          unplaced: tree.unplaced,
          before,
          after,
          leavesOut,
          others,
          held,
          unseen,
          here,
          node: here.node,
          fuse: ratings.get(here.node.id),
          moments: measured.moments,
          // With nothing listed, a measurement is of what all boards hang from, and says nothing of one part.
          isWhole: isListed ? before.length === counted.length : carriesAll.has(here),
          isOwn: own.has(here),
          limit: limit?.seesChargers && limit.way.has(here) ? limit : null,
        },
        nodeDemand,
      );
    }),
  );
}

/** The nodes at or below the supply's own fuse, and those that carry all that hangs from the boards. */
function ownNodes({ tree }: Pick<Inputs, 'tree'>): {
  readonly own: ReadonlySet<TreeNode>;
  readonly carriesAll: ReadonlySet<TreeNode>;
} {
  const isOwn = (here: TreeNode): boolean => tree.device === null || hangsFrom(here, tree.device);
  return {
    own: new Set(tree.nodes.filter(isOwn)),
    carriesAll: new Set(towardsStreet(tree.unplaced).filter(isOwn)),
  };
}

function nodeDemand(facts: Facts): NodeDemand {
  const { node, before, after, leavesOut, isWhole, isListed, reckoner: byWhole, byLists, fuse, limit } = facts;
  const reckoner = isWhole || isListed ? byWhole : byLists;
  const nothing = !isWhole && !isListed && facts.gap === undefined;
  const gap = nothing ? 'Nothing is listed here.' : facts.gap;
  // What the whole falls short of, every part that carries all of it falls short of as well, and so does each that feeds what was left out.
  const unnamed = leavesOut && !isWhole ? SOCKETS_LEFT_OUT : undefined;
  const short = unnamed ?? (isWhole ? facts.shortfall : undefined);
  const now = nodeFigures('MD now', reckoner(before), gap, short, facts.shortfall);
  const then = nodeFigures('MD after', reckoner(after), gap, short, facts.shortfall);
  const ratingA = fuse ? fuse.ratingA : (node.ratingA ?? null);
  const momentsFor = (flow: (phase: Phase, houseA: number) => number, steady: PerPhase): readonly Moment[] =>
    ratingA === null || !isWhole || !facts.isOwn ? [] : momentsAt(ratingA, facts.moments, steady, flow);
  const addedA = (phase: Phase): number => (then[phase]?.value ?? 0) - (now[phase]?.value ?? 0);
  const base = {
    id: node.id,
    kind: node.kind,
    label: nodeName(node),
    fedFrom: node.fedFrom ?? null,
    ratingA,
    rating: fuse ? fuse.figure : ratingOf(node.ratingA),
    before: now,
    after: then,
    free: momentsFor((phase, houseA) => houseA + addedA(phase), then),
    held: [],
    empty: before.length === 0 && !isWhole,
  };
  if (!limit) return base;

  const flows = flowsAt(facts, limit, reckoner, then);
  const kept: PerPhase = Object.fromEntries(flows.map((flow) => [flow.phase, managedFigure(flow, then[flow.phase])]));
  const flowOn = new Map(flows.map((flow) => [flow.phase, flow]));
  const heldMoments = momentsFor((phase, houseA) => {
    const flow = flowOn.get(phase);
    return flow ? Math.max(guardedA(flow, houseA), houseA + flow.failSafeA) : houseA;
  }, kept);
  return {
    ...base,
    managed: kept,
    lost: Object.fromEntries(flows.map((flow) => [flow.phase, lostA(flow)])),
    held: heldMoments,
    guard: guardOf(leftBeside(facts.beside, node.id, ratingA), flows, then, heldMoments, facts.rules),
  };
}

/** What flows here on each line with a clamp limiter, part by part. */
function flowsAt(
  { held, others, unseen, byLists, reckoner: byWhole, isListed, gap, here, unplaced }: Facts,
  limit: ClampLimit,
  reckoner: Reckon,
  then: PerPhase,
): PhaseFlow[] {
  const managed = new Map(limit.chargers.map((each) => [each.proposal.id, each]));
  const chargers = held.flatMap(({ id, phases }) => {
    const found = managed.get(id);
    return found ? [{ ...found, phases }] : [];
  });
  const blinds = limit.clamps.map((clamp, at) => ({
    clamp,
    // What gives below this node takes from its own current; what gives elsewhere lets more of it through.
    elsewhere: clamp.sources.filter((each) => !hangsFrom(each.node, here)),
    // Where only the whole was measured, a clamp that does not see all of it is blind to nobody knows how much.
    hidden: !isListed && gap === undefined && !clamp.seenNodes.has(unplaced?.node.id ?? ''),
    demands: (isListed ? byWhole : byLists)(unseen[at] ?? NONE),
  }));
  return reckoner(others).map(({ phase, worked }, index): PhaseFlow => {
    const on = chargers.filter(({ phases }) => phases.includes(phase));
    const limitA = on.reduce((total, each) => total + each.limitA, 0);
    return {
      phase,
      other: { ...worked, label: 'Other demand' },
      unmanagedA: then[phase]?.value ?? worked.value + limitA,
      limitA,
      failSafeA: on.reduce((total, { failSafeA }) => total + failSafeA, 0),
      clamps: blinds.map(({ clamp, demands, elsewhere, hidden }) => ({
        setPointA: clamp.setPointA,
        worstA: clamp.worstA,
        sourcesA: hidden ? null : givenOn(elsewhere, phase),
        blind: { ...(demands[index]?.worked ?? given('', 0, 'A')), label: 'What the clamp cannot see' },
      })),
    };
  });
}

const NONE: readonly Connected[] = [];

/** What a node may carry of this supply: its rating, less what the neighbours take where the service is shared. */
function leftBeside(beside: Beside | undefined, nodeId: string, ratingA: number | null): number | null {
  if (beside?.nodeId !== nodeId) return ratingA;
  return beside.ratingA === null ? null : beside.ratingA - beside.amperes;
}

/** The figures of one node; `short` is why they are a lower bound here, `unsized` why where a load here has no size. */
function nodeFigures(
  label: string,
  demands: readonly PhaseDemand[],
  gap: string | undefined,
  short: string | undefined,
  unsized: string | undefined,
): PerPhase {
  const complete = demands.every((demand) => demand.complete);
  return perPhase(
    demands,
    label,
    gap,
    short ?? (complete ? undefined : (unsized ?? 'Something here has no size given.')),
  );
}

function ratingOf(ratingA: number | undefined): Figure {
  if (ratingA === undefined) return unknownFigure('Rating', 'A', 'The rating is not known.');
  return figure(given('Rating', ratingA, 'A'));
}

function managedFigure(flow: PhaseFlow, unmanaged: Figure | undefined): Figure {
  const label = 'MD after, managed';
  if (!unmanaged || unmanaged.value === null) return unknownFigure(label, 'A', unmanaged?.why ?? 'Not known yet.');
  return figure(managedDemand(flow), unmanaged.bound, unmanaged.why, label);
}
