import { sharedService } from './intake/shared-service';
import type { ClampLimit } from './management/clamp-limit';
import { limiterVerdict } from './management/limiter-verdict';
import { leastHeadroom, withHeadroom, withNeighbours, type Beside, type ReckonedNode } from './node-assessments';
import type { ReckonedDemand } from './reckoned-demand';
import type { Rules } from './rules/rules';
import type { SupplyNode } from './survey/supply';
import type { Survey } from './survey/survey';
import type { SupplyTree } from './tree/supply-tree';

/** Every node with what it carries, what a limiter keeps it to and whether that holds, neighbours on a shared service counted. */
export function limitedNodes({
  survey,
  rules,
  tree,
  demand: { fuses, before, afterUnmanaged },
  limit,
  reckoned,
}: {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly tree: SupplyTree;
  readonly demand: ReckonedDemand;
  readonly limit: ClampLimit | null;
  readonly reckoned: readonly ReckonedNode[];
}) {
  const service = serviceOf(tree);
  const at = (id: string | undefined): ReckonedNode | undefined => reckoned.find((node) => node.id === id);
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
  const sharedLeftA = ifHeld?.known ? leastHeadroom(ifHeld.left) : undefined;
  const judged = limiterVerdict({ survey, tree, rules, fuses, limit, nodes: reckoned, sharedLeftA });
  const held = judged.limiter.holds === true && judged.limiter.kind === 'clamp';
  const shared = held ? ifHeld : sharedWith(false);
  const own = withHeadroom(reckoned, held);
  const origin = at(tree.device?.node.id ?? tree.root?.node.id);
  return {
    /** Without the neighbours. */
    own,
    nodes: shared?.known && service ? withNeighbours(own, service.id, shared) : own,
    limiter: judged.limiter,
    limiterGrounds: judged.verdict,
    held,
    shared,
    afterManaged: (held ? origin?.managed : undefined) ?? afterUnmanaged,
  };
}

export type Limited = ReturnType<typeof limitedNodes>;

function serviceOf(tree: SupplyTree): SupplyNode | undefined {
  return tree.nodes.find(({ node }) => node.kind === 'service')?.node;
}

/** The neighbours on a service known to be shared; undefined where it is this supply's own, or not known to be shared. */
export function besideOn({
  survey,
  rules,
  tree,
}: {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly tree: SupplyTree;
}): Beside | undefined {
  const service = serviceOf(tree);
  if (!service) return undefined;
  const shared = sharedService(survey.intake.loop, service.ratingA, {}, {}, rules);
  return shared?.known
    ? { nodeId: service.id, amperes: shared.neighbour.value ?? 0, ratingA: shared.rating.value }
    : undefined;
}
