/**
 * Changes to the shape of the supply tree. Each takes a survey and returns another, valid whenever the one it was given
 * was: nothing is left hanging from a node that has gone, and one node stays nearest the street.
 */
import { plainSurvey } from '../survey/opening/read';
import type { Pool } from '../survey/pool';
import type { Survey } from '../survey/survey';
import type { SupplyNode } from '../survey/supply';
import { STARTING_SHAPES } from './shapes';
import { below, supplyTree } from './supply-tree';

/** The survey with a new node hanging from another. */
export function addBelow(survey: Survey, parentId: string, node: SupplyNode): Survey {
  return withNodes(survey, insertAfter(survey.supply.nodes, parentId, { ...node, fedFrom: parentId }));
}

/**
 * The survey with a new node put into the line before another: it takes the other's place, and the other hangs from it.
 * Before the first node it becomes the one nearest the street.
 */
export function insertAbove(survey: Survey, childId: string, node: SupplyNode): Survey {
  const child = survey.supply.nodes.find(({ id }) => id === childId);
  if (!child) return survey;
  const { fedFrom: _own, ...bare } = node;
  const placed: SupplyNode = child.fedFrom === undefined ? bare : { ...bare, fedFrom: child.fedFrom };
  return withNodes(
    survey,
    survey.supply.nodes.flatMap((each) => (each.id === childId ? [placed, { ...each, fedFrom: node.id }] : [each])),
  );
}

/** The survey with the line into a node divided: a split block before it, and a second board on the block. */
export function splitInto(survey: Survey, childId: string, block: SupplyNode, board: SupplyNode): Survey {
  return addBelow(insertAbove(survey, childId, block), block.id, board);
}

/** Where a node may be moved to: any node that does not itself hang from it, its present feeder left out. */
export function placesFor(survey: Survey, nodeId: string): SupplyNode[] {
  const tree = supplyTree(survey);
  const moving = tree.byId.get(nodeId);
  if (!moving?.parent) return [];
  const own = new Set(below(moving).map(({ node }) => node.id));
  return tree.nodes.map(({ node }) => node).filter(({ id }) => !own.has(id) && id !== moving.parent?.node.id);
}

/** The survey with a node and all below it hanging from another; unchanged where that cannot be. */
export function moveTo(survey: Survey, nodeId: string, parentId: string): Survey {
  if (!placesFor(survey, nodeId).some(({ id }) => id === parentId)) return survey;
  return withNodes(
    survey,
    survey.supply.nodes.map((node) => (node.id === nodeId ? { ...node, fedFrom: parentId } : node)),
  );
}

/** Whether a node can be taken out: any but the first, and the first as long as it feeds just one. */
export function canRemove(survey: Survey, nodeId: string): boolean {
  const found = supplyTree(survey).byId.get(nodeId);
  return found !== undefined && (found.parent !== null || found.children.length === 1);
}

/**
 * The survey without a node: what hung from it hangs from what fed it, loads, new equipment and readings included. A
 * clamp that sat on it is on nothing any more, which is asked about. Unchanged where it cannot be removed.
 */
export function removeNode(survey: Survey, nodeId: string): Survey {
  if (!canRemove(survey, nodeId)) return survey;
  const parentId = survey.supply.nodes.find(({ id }) => id === nodeId)?.fedFrom;
  const heirId = parentId ?? survey.supply.nodes.find(({ fedFrom }) => fedFrom === nodeId)?.id;
  const nodes = survey.supply.nodes
    .filter(({ id }) => id !== nodeId)
    .map((node) => (node.fedFrom === nodeId ? refed(node, parentId) : node));
  return rehung(withNodes(survey, nodes), (id) => (id === nodeId ? heirId : id));
}

/**
 * The survey on another shape. What was recorded of nodes the shape has under the same id and kind is kept; whatever
 * hung from a node that has gone is left to be placed again.
 */
export function onShape(survey: Survey, shape: readonly SupplyNode[], phases?: 1 | 3): Survey {
  const known = new Map(survey.supply.nodes.map((node) => [node.id, node]));
  const nodes = shape.map((node): SupplyNode => {
    const old = known.get(node.id);
    if (!old || old.kind !== node.kind) return { ...node };
    return { ...recordedOf(old), ...node };
  });
  const kept = new Set(nodes.map(({ id }) => id));
  const next = rehung(withNodes(survey, nodes), (id) => (kept.has(id) ? id : undefined));
  return phases === undefined ? next : { ...next, supply: { ...next.supply, phases } };
}

/** What somebody recorded of a node: not what feeds it, and not the name or kind a starting shape gave it. */
function recordedOf(node: SupplyNode): SupplyNode {
  const { fedFrom: _fedFrom, ...recorded } = node;
  for (const shape of STARTING_SHAPES)
    for (const given of shape.nodes.filter(({ id }) => id === node.id))
      for (const key of ['label', 'head', 'phase'] as const)
        if (given[key] !== undefined && given[key] === recorded[key]) Reflect.deleteProperty(recorded, key);
  return recorded;
}

function withNodes(survey: Survey, nodes: readonly SupplyNode[]): Survey {
  return { ...survey, supply: { ...survey.supply, nodes: [...nodes] } };
}

function insertAfter(nodes: readonly SupplyNode[], id: string, node: SupplyNode): SupplyNode[] {
  return nodes.flatMap((each) => (each.id === id ? [each, node] : [each]));
}

function refed(node: SupplyNode, fedFrom: string | undefined): SupplyNode {
  const { fedFrom: _gone, ...bare } = node;
  return fedFrom === undefined ? bare : { ...bare, fedFrom };
}

/** Every link to a node led elsewhere, or dropped where there is nowhere to lead it; a plain document again. */
function rehung(survey: Survey, to: (id: string) => string | undefined): Survey {
  const led = <T extends { nodeId?: string }>(thing: T): T =>
    thing.nodeId === undefined ? thing : { ...thing, nodeId: to(thing.nodeId) };
  const present = new Set(survey.supply.nodes.map(({ id }) => id));
  return plainSurvey({
    ...survey,
    loads: survey.loads.map(led),
    ...(survey.generation ? { generation: survey.generation.map(led) } : {}),
    readings: survey.readings.map(led),
    supply: without(survey.supply, 'deviceId', present),
    ...(survey.pool ? { pool: rehungPool(led(survey.pool), present) } : {}),
    ...(survey.site?.supplies
      ? { site: { ...survey.site, supplies: survey.site.supplies.filter(({ nodeId }) => present.has(nodeId ?? '')) } }
      : {}),
    proposals: survey.proposals.map((proposal) => {
      const { clampNodeId, moreClamps, ...limiter } = proposal.limiter;
      const stays = clampNodeId !== undefined && present.has(clampNodeId);
      const more = moreClamps?.map(({ nodeId, ...clamp }) =>
        nodeId !== undefined && present.has(nodeId) ? { ...clamp, nodeId } : clamp,
      );
      return led({
        ...proposal,
        limiter: { ...limiter, ...(stays ? { clampNodeId } : {}), ...(more ? { moreClamps: more } : {}) },
      });
    }),
  });
}

/** A row whose clamps, or whose owners’ supplies, were on something that has gone has them nowhere. */
function rehungPool(pool: Pool, present: ReadonlySet<string>): Pool {
  return {
    ...without(pool, 'clampNodeId', present),
    outlets: pool.outlets.map((outlet) => without(outlet, 'ownNodeId', present)),
  };
}

/** A thing without the link it has under a name, where that leads to something that has gone. */
function without<K extends string, T extends { readonly [key in K]?: string }>(
  thing: T,
  key: K,
  present: ReadonlySet<string>,
): T {
  if (thing[key] === undefined || present.has(thing[key])) return thing;
  const { [key]: _gone, ...rest } = thing;
  return rest as T;
}
