import type { NodeAssessment } from './node-assessment';
import type { PerPhase } from './demand/per-phase-figures';
import type { Connected } from './demand/connected';
import { SOCKETS_LEFT_OUT, type PhaseDemand } from './demand/maximum-demand';
import type { MeasuredDemand } from './demand/measured/verdict';
import { headroomOf, perPhase } from './demand/per-phase';
import type { Statement } from './finding';
import type { FuseRating } from './intake/fuse-rating';
import { withNeighbour, type SharedService } from './intake/shared-service';
import { setPointWithin, type ClampLimit } from './management/clamp-limit';
import { guard, guardedA, heldAtWorst, lostA, managedDemand, type NodeFlow } from './management/managed-demand';
import { momentsAt, momentWords, type Moment } from './management/moments';
import { givenOn } from './management/sources';
import type { Rules } from './rules/rules';
import type { Survey } from './survey/survey';
import { type NodeKind, type Phase, nodeName } from './survey/words/words';
import { nodeOf, placedOn, setsBelow } from './tree/sets-below';
import { hangsFrom, protects, towardsStreet, type SupplyTree, type TreeNode } from './tree/supply-tree';
import { exceeds, figure, given, unknownFigure, type Figure } from './worked';
import { shown } from './rules/rounding';

/** The demand of a list of loads on each phase. */
export type Reckoner = (loads: readonly Connected[]) => readonly PhaseDemand[];

export interface NodeInputs {
  readonly survey: Survey;
  readonly tree: SupplyTree;
  readonly fuses: readonly FuseRating[];
  /** Existing loads that count in the basis used. */
  readonly counted: readonly Connected[];
  /** Loads that count in the other basis only, and that nothing listed in this one stands for. */
  readonly leftOut: readonly Connected[];
  readonly proposed: readonly Connected[];
  readonly limit: ClampLimit | null;
  /** Demand of a list, and of all that is there where that was measured or seen. */
  readonly reckoner: Reckoner;
  readonly byLists: Reckoner;
  /** Why no demand can be given at all, and why it is only a lower bound. */
  readonly gap: string | undefined;
  readonly shortfall: string | undefined;
  readonly moments: MeasuredDemand['moments'];
  /** The neighbours on a service known to be shared: what they take of it on each line, and what it may carry. */
  readonly beside: Beside | undefined;
  readonly rules: Rules;
}

export interface Beside {
  readonly nodeId: string;
  readonly amperes: number;
  readonly ratingA: number | null;
}

type PhaseFlow = NodeFlow & { readonly phase: Phase };

/** A node before it is known whether the limiter holds, which decides what its headroom is counted from. */
export type ReckonedNode = Omit<NodeAssessment, 'headroom' | 'moments'> & {
  readonly rating: Figure;
  /** What short times come to here, with the chargers free and with the limiter working; empty where none were logged. */
  readonly free: readonly Moment[];
  readonly held: readonly Moment[];
};

/** Demand and guard at every node of the tree, street first: folds over the set of loads below each. */
export function reckonNodes(inputs: NodeInputs): ReckonedNode[] {
  const { tree, limit, fuses, counted } = inputs;
  const everything = [...counted, ...inputs.proposed];
  const below = (loads: readonly Connected[]): Map<string, readonly Connected[]> =>
    setsBelow(tree, placedOn(tree, loads));
  const [before, added, together] = [below(counted), below(inputs.proposed), below(everything)];
  // Where nothing is added the very list of before serves, and with it the demand already reckoned.
  const after = (id: string): readonly Connected[] => (added.get(id)?.length ? together : before).get(id) ?? [];
  const managed = new Map(limit?.chargers.map((each) => [each.proposal.id, each]));
  const others = limit && below(everything.filter(({ id }) => !managed.has(id)));
  const held = limit && below(inputs.proposed.filter(({ id }) => managed.has(id)));
  // What each clamp cannot see, by node: loads, and chargers it is blind to.
  const blinds = limit?.clamps.map((clamp) => ({
    clamp,
    unseen: below(everything.filter((load) => !clamp.seenNodes.has(nodeOf(tree, load.nodeId)?.node.id ?? ''))),
  }));
  const leftOut = below(inputs.leftOut);
  const ratings = new Map(fuses.map((fuse) => [fuse.nodeId, fuse]));
  // With nothing listed, a measurement is of what all boards hang from, and says nothing of one part.
  const measured = new Set(
    counted.length > 0 ? [] : towardsStreet(tree.unplaced).filter((here) => isAtOrBelow(here, tree.device)),
  );

  return tree.nodes.map((here): ReckonedNode => {
    const { node } = here;
    const isWhole = counted.length > 0 ? (before.get(node.id) ?? []).length === counted.length : measured.has(here);
    const reckoner = isWhole || counted.length > 0 ? inputs.reckoner : inputs.byLists;
    const nothing = !isWhole && counted.length === 0 && inputs.gap === undefined;
    const gap = nothing ? 'Nothing is listed here.' : inputs.gap;
    // What the whole falls short of, every part that carries all of it falls short of as well, and so does each that feeds what was left out.
    const unnamed = (leftOut.get(node.id) ?? []).length > 0 && !isWhole ? SOCKETS_LEFT_OUT : undefined;
    const short = unnamed ?? (isWhole ? inputs.shortfall : undefined);
    const now = nodeFigures('MD now', reckoner(before.get(node.id) ?? []), gap, short, inputs.shortfall);
    const then = nodeFigures('MD after', reckoner(after(node.id)), gap, short, inputs.shortfall);
    const fuse = ratings.get(node.id);
    const ratingA = fuse ? fuse.ratingA : (node.ratingA ?? null);
    const momentsFor = (flow: (phase: Phase, houseA: number) => number, steady: PerPhase): readonly Moment[] =>
      ratingA === null || !isWhole || !isAtOrBelow(here, tree.device)
        ? []
        : momentsAt(ratingA, inputs.moments, steady, flow);
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
      empty: (before.get(node.id) ?? []).length === 0 && !isWhole,
    };
    if (!limit?.seesChargers || !limit.way.has(here)) return base;

    const chargers = (held?.get(node.id) ?? []).flatMap(({ id, phases }) => {
      const found = managed.get(id);
      return found ? [{ ...found, phases }] : [];
    });
    const unseen = blinds?.map(({ clamp, unseen: sets }) => ({
      clamp,
      // What gives below this node takes from its own current; what gives elsewhere lets more of it through.
      elsewhere: clamp.sources.filter((each) => !hangsFrom(each.node, here)),
      // Where only the whole was measured, a clamp that does not see all of it is blind to nobody knows how much.
      hidden: counted.length === 0 && inputs.gap === undefined && !clamp.seenNodes.has(tree.unplaced?.node.id ?? ''),
      demands: (counted.length > 0 ? inputs.reckoner : inputs.byLists)(sets.get(node.id) ?? []),
    }));
    const flows = reckoner(others?.get(node.id) ?? []).map(({ phase, worked }, index): PhaseFlow => {
      const on = chargers.filter(({ phases }) => phases.includes(phase));
      const limitA = on.reduce((total, each) => total + each.limitA, 0);
      return {
        phase,
        other: { ...worked, label: 'Other demand' },
        unmanagedA: then[phase]?.value ?? worked.value + limitA,
        limitA,
        failSafeA: on.reduce((total, { failSafeA }) => total + failSafeA, 0),
        clamps: (unseen ?? []).map(({ clamp, demands, elsewhere, hidden }) => ({
          setPointA: clamp.setPointA,
          worstA: clamp.worstA,
          sourcesA: hidden ? null : givenOn(elsewhere, phase),
          blind: { ...(demands[index]?.worked ?? given('', 0, 'A')), label: 'What the clamp cannot see' },
        })),
      };
    });
    const kept: PerPhase = Object.fromEntries(flows.map((flow) => [flow.phase, managedFigure(flow, then[flow.phase])]));
    const flowOn = new Map(flows.map((flow) => [flow.phase, flow]));
    const heldMoments = momentsFor((phase, houseA) => {
      const flow = flowOn.get(phase);
      return flow ? Math.max(guardedA(flow, houseA), houseA + flow.failSafeA) : houseA;
    }, kept);
    const lost = Object.fromEntries(flows.map((flow) => [flow.phase, lostA(flow)]));
    return {
      ...base,
      managed: kept,
      lost,
      held: heldMoments,
      guard: guardOf(leftBeside(inputs.beside, node.id, ratingA), flows, then, heldMoments, inputs.rules),
    };
  });
}

/** What a node may carry of this supply: its rating, less what the neighbours take where the service is shared. */
function leftBeside(beside: Beside | undefined, nodeId: string, ratingA: number | null): number | null {
  if (beside?.nodeId !== nodeId) return ratingA;
  return beside.ratingA === null ? null : beside.ratingA - beside.amperes;
}

/** The nodes with what is left at each, counted from the managed demand where the limiter holds and from the unmanaged otherwise. */
export function withHeadroom(nodes: readonly ReckonedNode[], limiterHolds: boolean): NodeAssessment[] {
  return nodes.map(({ rating, free, held, ...node }) => {
    const keeps = limiterHolds && node.managed !== undefined;
    const moments = keeps ? held : free;
    return {
      ...node,
      headroom: headroomOf(rating, (keeps ? node.managed : undefined) ?? node.after),
      ...(moments.length === 0 ? {} : { moments }),
    };
  });
}

function isAtOrBelow(here: TreeNode, device: TreeNode | null): boolean {
  return device === null || hangsFrom(here, device);
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

function guardOf(
  ratingA: number | null,
  flows: readonly PhaseFlow[],
  after: PerPhase,
  moments: readonly Moment[],
  rules: Rules,
): NonNullable<NodeAssessment['guard']> {
  const unknown = Object.values(after).find(({ value, bound }) => value === null || bound === 'at-least');
  const bounds = boundsOf(ratingA, flows, rules);
  const hidden = flows.some(({ clamps }) => clamps.some(({ sourcesA }) => sourcesA === null));
  const verdicts =
    ratingA === null ? [] : flows.map((flow) => ({ phase: flow.phase, ...guard(ratingA, atLeast(flow)) }));
  const failing = verdicts.find(({ holds }) => !holds);
  const over = moments.find(({ within }) => !within);
  // What is known already to pass the rating fails, whatever else is not known.
  if (failing) {
    const on = flows.length > 1 ? ` on ${failing.phase}` : '';
    return failing.overA > 0
      ? { ...bounds, holds: false, why: `${shown(failing.overA)} A over its rating${on} with the clamp working.` }
      : {
          ...bounds,
          holds: false,
          why: `${shown(failing.failSafeOverA)} A over its rating${on} at the fail-safe current.`,
        };
  }
  if (over) return { ...bounds, holds: false, why: momentWords(over) };
  if (unknown) return { ...bounds, holds: null, why: unknown.why ?? 'The demand here is not known.' };
  if (ratingA === null) return { ...bounds, holds: null, why: 'Its rating is not recorded.' };
  if (hidden)
    return {
      ...bounds,
      holds: null,
      why: 'Not known what the clamp does not see, or what generation behind it gives.',
    };
  return { ...bounds, holds: true, why: 'Within its rating, clamp working or lost.' };
}

/** What flows at the least where it is not known what a clamp does not see. */
function atLeast(flow: PhaseFlow): PhaseFlow {
  return { ...flow, clamps: flow.clamps.map((clamp) => ({ ...clamp, sourcesA: clamp.sourcesA ?? 0 })) };
}

/** What a node allows of the settings: no set-point is too large where everything at once stays within its rating. */
function boundsOf(
  ratingA: number | null,
  flows: readonly PhaseFlow[],
  rules: Rules,
): { mostSetPointA: number | null; mostFailSafeA: number | null } {
  if (ratingA === null) return { mostSetPointA: null, mostFailSafeA: null };
  const carrying = flows.filter(({ limitA }) => limitA > 0);
  const setPoints = carrying
    .filter(({ unmanagedA }) => exceeds(unmanagedA, ratingA))
    // What another clamp of the controller keeps here the first need not.
    .filter(({ clamps }) => clamps.slice(1).every((clamp) => exceeds(heldAtWorst(clamp) ?? Infinity, ratingA)))
    .map(({ clamps: [first] }) => setPointWithin(ratingA - (first?.blind.value ?? 0) - (first?.sourcesA ?? 0), rules));
  const failSafes = carrying.map(({ other }) => ratingA - other.value);
  return {
    mostSetPointA: setPoints.length === 0 ? null : Math.min(...setPoints),
    mostFailSafeA: failSafes.length === 0 ? null : Math.min(...failSafes),
  };
}

/** The nodes with the neighbours' demand added where the service is shared, so that it is judged by all it carries, managed or not. */
export function withNeighbours(
  nodes: readonly NodeAssessment[],
  serviceId: string,
  { before, after, left, rating, neighbour }: SharedService,
): NodeAssessment[] {
  const moreA = neighbour.value ?? 0;
  return nodes.map((node) => {
    if (node.id !== serviceId) return node;
    const { managed, lost } = node;
    return {
      ...node,
      before,
      after,
      headroom: left,
      ratingA: rating.value,
      ...(managed ? { managed: withNeighbour('MD after, managed, with the neighbours', managed, neighbour) } : {}),
      ...(lost
        ? { lost: Object.fromEntries(Object.entries(lost).map(([phase, amperes]) => [phase, amperes + moreA])) }
        : {}),
    };
  });
}

/** The node with least headroom, and how much is left there. */
export function weakestNode(nodes: readonly NodeAssessment[]): { nodeId: string; headroomA: number } | null {
  let weakest: { nodeId: string; headroomA: number } | null = null;
  for (const { id, headroom } of nodes) {
    const leastA = leastHeadroom(headroom);
    if (leastA !== null && (weakest === null || leastA < weakest.headroomA))
      weakest = { nodeId: id, headroomA: leastA };
  }
  return weakest;
}

/** The id of a finding of what is over already, whatever is done: options are told apart from it (`fits.ts`). */
export const OVER_ALREADY = 'node-over-already';

/**
 * Every node that carries more than its rating, over a half hour or in a shorter time: what is over already, and what the work makes or adds to,
 * each told by itself, so that neither hides the other.
 */
export function overloadFindings(nodes: readonly NodeAssessment[], limiterHolds: boolean | null): Statement[] {
  return nodes.flatMap((node): Statement[] => {
    const about = { grade: 'act', on: 'nodes', station: 'charger', subjectId: node.id } as const;
    const nowA = overNow(node);
    const leastA = leastLeft(node, limiterHolds === true);
    const found: Statement[] = [];
    if (nowA !== null)
      found.push({
        ...about,
        id: OVER_ALREADY,
        title: `${node.label}: ${shown(nowA)} A over its ${node.ratingA ?? '?'} A rating already, before the work.`,
        remedy: 'What is there already is too much for it: no limiter helps. Change it, or what it feeds, first.',
      });
    if (
      leastA !== null &&
      exceeds(0, leastA) &&
      (nowA === null || addsTo(node)) &&
      !waitsForLimiter(node, limiterHolds)
    )
      found.push({
        ...about,
        id: 'node-over-rating',
        title: `${node.label}: ${shown(-leastA)} A over its ${node.ratingA ?? '?'} A rating after the work.`,
        remedy:
          nowA === null
            ? 'Hold the new equipment to a lower current where it can be, manage it by clamp, or change what feeds it.'
            : 'It is over already: change it, or what it feeds, before anything is added.',
      });
    const over = found.length > 0 ? undefined : node.moments?.find(({ within }) => !within);
    if (over)
      found.push({
        ...about,
        id: 'node-over-in-minutes',
        title: `${node.label}: ${momentWords(over)}`,
        remedy: 'The half hour is within its rating and the shorter time is not: hold the charger lower, or change it.',
      });
    return found;
  });
}

/** The least left on any line by what is known of its demand, in amperes: where some of it is missing no more is left than that. Null where nothing is known. */
function leastLeft({ ratingA, managed, after }: NodeAssessment, held: boolean): number | null {
  if (ratingA === null) return null;
  const amperes = Object.values((held ? managed : undefined) ?? after).flatMap(({ value }) => value ?? []);
  return amperes.length === 0 ? null : ratingA - Math.max(...amperes);
}

/** Over its rating unless the limiter holds, and whether it does is not known yet: that is open, and not found wrong. */
export function waitsForLimiter({ managed, guard, ratingA }: NodeAssessment, limiterHolds: boolean | null): boolean {
  if (limiterHolds !== null || !managed || !guard || guard.holds === false || ratingA === null) return false;
  return Object.values(managed).every(({ value }) => value !== null && !exceeds(value, ratingA));
}

/** By how much a node is over its rating before the work, in amperes on its fullest line; null where it is not. */
function overNow({ before, ratingA }: NodeAssessment): number | null {
  if (ratingA === null) return null;
  const overA = Math.max(...Object.values(before).map(({ value }) => (value ?? 0) - ratingA));
  return exceeds(overA, 0) ? overA : null;
}

/** Whether the work adds to what a node carries on any line. */
function addsTo({ before, after }: NodeAssessment): boolean {
  return (Object.keys(after) as Phase[]).some((phase) => exceeds(after[phase]?.value ?? 0, before[phase]?.value ?? 0));
}

/** Kinds whose rating is asked for here; the others have a check of the chain that asks, and a cable bears no marking. */
const ASKED_HERE: readonly NodeKind[] = ['device', 'feeder', 'switch-fuse', 'cut-out'];

/**
 * Nodes that carry something and have no rating recorded: nothing can be held against them, which is not the same as being fine. Fuses the new
 * equipment's current passes through have a question of their own.
 */
export function unratedNodes(survey: Survey, tree: SupplyTree): { readonly here: TreeNode; readonly onWay: boolean }[] {
  const wayOf = (things: readonly { nodeId?: string }[]): Set<TreeNode> => {
    const way = new Set<TreeNode>();
    // What is on the way of one thing already is on it with everything above.
    for (const { nodeId } of things)
      for (let at = nodeOf(tree, nodeId); at && !way.has(at); at = at.parent) way.add(at);
    return way;
  };
  const [carrying, loaded] = [wayOf(survey.proposals), wayOf(survey.loads)];
  return tree.nodes.flatMap((here) => {
    const { kind, ratingA } = here.node;
    const onWay = carrying.has(here);
    const asked = ASKED_HERE.includes(kind) && protects(here) && ratingA === undefined && here !== tree.device;
    const fuse = kind === 'switch-fuse' || kind === 'cut-out';
    return asked && (onWay ? !fuse : loaded.has(here)) ? [{ here, onWay }] : [];
  });
}

/** The least left on any phase; null where none is known. */
export function leastHeadroom(headroom: PerPhase): number | null {
  let least: number | null = null;
  for (const phase in headroom) {
    const value = headroom[phase as Phase]?.value ?? null;
    if (value !== null && (least === null || value < least)) least = value;
  }
  return least;
}
