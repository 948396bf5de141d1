import type { NodeAssessment, PerPhase } from './assessment';
import type { Connected } from './demand/connected';
import type { PhaseDemand } from './demand/maximum-demand';
import { headroomOf, perPhase } from './demand/per-phase';
import type { Finding } from './finding';
import type { FuseRating } from './intake/fuse-rating';
import type { SharedService } from './intake/shared-service';
import type { ClampLimit } from './management/clamp-limit';
import { guard, heldBy, managedDemand, type NodeFlow } from './management/managed-demand';
import { givenOn } from './management/sources';
import type { Survey } from './survey/survey';
import { NODE_NAMES, type NodeKind, type Phase } from './survey/words';
import { nodeOf, placedOn, setsBelow } from './tree/sets-below';
import { hangsFrom, towardsStreet, type SupplyTree } from './tree/supply-tree';
import { exceeds, figure, given, unknownFigure, written, type Figure } from './worked';

/** The demand of a list of loads on each phase. */
export type Reckoner = (loads: readonly Connected[]) => readonly PhaseDemand[];

export interface NodeInputs {
  readonly survey: Survey;
  readonly tree: SupplyTree;
  readonly fuse: FuseRating;
  /** Existing loads that count in the basis used. */
  readonly counted: readonly Connected[];
  readonly proposed: readonly Connected[];
  readonly limit: ClampLimit | null;
  readonly reckoner: Reckoner;
  /** Why no demand can be given at all. */
  readonly gap: string | undefined;
}

type PhaseFlow = NodeFlow & { readonly phase: Phase };

/** Demand, headroom and guard at every node of the tree, street first: folds over the set of loads below each. */
export function assessNodes(inputs: NodeInputs): NodeAssessment[] {
  const { tree, limit, reckoner, gap, fuse } = inputs;
  const everything = [...inputs.counted, ...inputs.proposed];
  const below = (loads: readonly Connected[]): Map<string, readonly Connected[]> =>
    setsBelow(tree, placedOn(tree, loads));
  const [before, added, together] = [below(inputs.counted), below(inputs.proposed), below(everything)];
  // Where nothing is added the very list of before serves, and with it the demand already reckoned.
  const after = (id: string): readonly Connected[] => (added.get(id)?.length ? together : before).get(id) ?? [];
  const managed = new Map(limit?.chargers.map((each) => [each.proposal.id, each]));
  const others = limit && below(everything.filter(({ id }) => !managed.has(id)));
  const held = limit && below(inputs.proposed.filter(({ id }) => managed.has(id)));
  // What each clamp cannot see, by node: loads, and chargers it is blind to.
  const blinds = limit?.clamps.map(({ setPointA, seenNodes, sources }) => ({
    setPointA,
    sources,
    unseen: below(everything.filter((load) => !seenNodes.has(nodeOf(tree, load.nodeId)?.node.id ?? ''))),
  }));

  return tree.nodes.map((here) => {
    const { node } = here;
    const now = nodeFigures('MD now', reckoner(before.get(node.id) ?? []), gap);
    const then = nodeFigures('MD after', reckoner(after(node.id)), gap);
    const rating = ratingOf(inputs, node.id, node.ratingA);
    const ratingA = node.id === fuse.nodeId ? fuse.ratingA : (node.ratingA ?? null);
    const base = {
      id: node.id,
      kind: node.kind,
      label: node.label ?? NODE_NAMES[node.kind],
      fedFrom: node.fedFrom ?? null,
      ratingA,
      before: now,
      after: then,
    };
    if (!limit?.seesChargers || !limit.way.has(here)) return { ...base, headroom: headroomOf(rating, then) };

    const chargers = (held?.get(node.id) ?? []).flatMap(({ id, phases }) => {
      const found = managed.get(id);
      return found ? [{ ...found, phases }] : [];
    });
    const unseen = blinds?.map(({ setPointA, sources, unseen: sets }) => ({
      setPointA,
      // What gives below this node takes from its own current; what gives elsewhere lets more of it through.
      elsewhere: sources.filter((each) => !hangsFrom(each.node, here)),
      demands: reckoner(sets.get(node.id) ?? []),
    }));
    const flows = reckoner(others?.get(node.id) ?? []).map(({ phase, worked }, index): PhaseFlow => {
      const on = chargers.filter(({ phases }) => phases.includes(phase));
      return {
        phase,
        other: { ...worked, label: 'Other demand' },
        limitA: on.reduce((total, { limitA }) => total + limitA, 0),
        failSafeA: on.reduce((total, { failSafeA }) => total + failSafeA, 0),
        clamps: (unseen ?? []).map(({ setPointA, demands, elsewhere }) => ({
          setPointA,
          sourcesA: givenOn(elsewhere, phase),
          blind: { ...(demands[index]?.worked ?? given('', 0, 'A')), label: 'What the clamp cannot see' },
        })),
      };
    });
    const kept = Object.fromEntries(flows.map((flow) => [flow.phase, managedFigure(flow, then[flow.phase])]));
    const verdict = guardOf(ratingA, flows, then);
    return { ...base, managed: kept, headroom: headroomOf(rating, verdict.holds ? kept : then), guard: verdict };
  });
}

function nodeFigures(label: string, demands: readonly PhaseDemand[], gap: string | undefined): PerPhase {
  const complete = demands.every((demand) => demand.complete);
  return perPhase(demands, label, gap, complete ? undefined : 'Something here has no size given.');
}

function ratingOf({ fuse }: NodeInputs, id: string, ratingA: number | undefined): Figure {
  if (id === fuse.nodeId) return fuse.figure;
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
): NonNullable<NodeAssessment['guard']> {
  const unknown = Object.values(after).find(({ value, bound }) => value === null || bound === 'at-least');
  const bounds = boundsOf(ratingA, flows);
  if (unknown) return { ...bounds, holds: false, why: unknown.why ?? 'The demand here is not known.' };
  if (ratingA === null) return { ...bounds, holds: true, why: 'No rating is recorded here to hold it against.' };
  if (flows.some(({ clamps }) => clamps.some(({ sourcesA }) => sourcesA === null)))
    return { ...bounds, holds: false, why: 'Not known what generation behind the clamp gives.' };
  const verdicts = flows.map((flow) => ({ phase: flow.phase, ...guard(ratingA, flow) }));
  const failing = verdicts.find(({ holds }) => !holds);
  if (!failing) return { ...bounds, holds: true, why: 'Within its rating, clamp working or lost.' };
  const on = flows.length > 1 ? ` on ${failing.phase}` : '';
  return failing.overA > 0
    ? { ...bounds, holds: false, why: `${written(failing.overA)} A over its rating${on} with the clamp working.` }
    : {
        ...bounds,
        holds: false,
        why: `${written(failing.failSafeOverA)} A over its rating${on} at the fail-safe current.`,
      };
}

/** What a node allows of the settings: no set-point is too large where everything at once stays within its rating. */
function boundsOf(
  ratingA: number | null,
  flows: readonly PhaseFlow[],
): { mostSetPointA: number | null; mostFailSafeA: number | null } {
  if (ratingA === null) return { mostSetPointA: null, mostFailSafeA: null };
  const carrying = flows.filter(({ limitA }) => limitA > 0);
  const setPoints = carrying
    .filter(({ other, limitA }) => exceeds(other.value + limitA, ratingA))
    // What another clamp of the controller keeps here the first need not.
    .filter(({ clamps }) => clamps.slice(1).every((clamp) => exceeds(heldBy(clamp) ?? Infinity, ratingA)))
    .map(({ clamps: [first] }) => ratingA - (first?.blind.value ?? 0) - (first?.sourcesA ?? 0));
  const failSafes = carrying.map(({ other }) => ratingA - other.value);
  return {
    mostSetPointA: setPoints.length === 0 ? null : Math.min(...setPoints),
    mostFailSafeA: failSafes.length === 0 ? null : Math.min(...failSafes),
  };
}

/** The nodes with the neighbours' demand added where the service is shared, so that it is judged by all it carries. */
export function withNeighbours(
  nodes: readonly NodeAssessment[],
  serviceId: string,
  { before, after, left, rating }: SharedService,
): NodeAssessment[] {
  return nodes.map((node) =>
    node.id === serviceId ? { ...node, before, after, headroom: left, ratingA: rating.value } : node,
  );
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

/** Every node that would carry more than its rating. */
export function overloadFindings(nodes: readonly NodeAssessment[]): Finding[] {
  return nodes.flatMap((node): Finding[] => {
    const leastA = leastHeadroom(node.headroom);
    if (leastA === null || leastA > -1e-6) return [];
    return [
      {
        id: 'node-over-rating',
        grade: 'act',
        station: 'charger',
        title: `${node.label}: ${written(-leastA)} A over its ${node.ratingA ?? '?'} A rating after the work.`,
        remedy: 'Hold the charger to a lower current, manage it by clamp, or change what feeds it.',
        subjectId: node.id,
      },
    ];
  });
}

/** Kinds whose rating is asked for here; the others have a check of the chain that asks, and a cable bears no marking. */
const ASKED_HERE: readonly NodeKind[] = ['switch-fuse', 'device', 'feeder'];

/**
 * Nodes that carry the new equipment's current and have no rating recorded: nothing can be held against them, which is
 * not the same as being fine. The limiting device has findings of its own.
 */

export function unratedFindings(survey: Survey, tree: SupplyTree, fuse: FuseRating): Finding[] {
  const carrying = new Set(survey.proposals.flatMap(({ nodeId }) => towardsStreet(nodeOf(tree, nodeId))));
  return tree.nodes
    .filter((here) => carrying.has(here) && here.node.id !== fuse.nodeId)
    .filter(({ node }) => ASKED_HERE.includes(node.kind) && node.ratingA === undefined)
    .map(({ node }) => ({
      id: 'node-rating-not-known',
      grade: 'ask',
      station: 'line-up',
      title: `${node.label ?? NODE_NAMES[node.kind]}: rating not known, so nothing is held against it.`,
      remedy: 'Read it off the device; where it cannot be read, say so in the notes.',
      askOf: 'surveyor',
      subjectId: node.id,
      field: 'supply.nodes.ratingA',
    }));
}

function leastHeadroom(headroom: PerPhase): number | null {
  let least: number | null = null;
  for (const phase in headroom) {
    const value = headroom[phase as Phase]?.value ?? null;
    if (value !== null && (least === null || value < least)) least = value;
  }
  return least;
}
