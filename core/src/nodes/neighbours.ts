import { sharedService, withNeighbour, type SharedService } from '../intake/shared-service';
import type { Rules } from '../rules/rules';
import type { SupplyNode } from '../survey/supply';
import type { Survey } from '../survey/survey';
import type { SupplyTree } from '../tree/supply-tree';
import type { NodeAssessment } from './node-assessment';

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

/** The neighbours on a shared service, as they bear on what one node may carry. */
export interface Beside {
  readonly nodeId: string;
  readonly amperes: number;
  readonly ratingA: number | null;
}

/** The service cable of a supply, where one is recorded. */
export function serviceOf(tree: SupplyTree): SupplyNode | undefined {
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
