import { consumerLinks } from '@keen-gauge/core/intake/checks/tails';
import { supplyTree } from '@keen-gauge/core/tree/supply-tree';
import type { FindingId } from '@keen-gauge/core/finding-ids';
import type { Place } from '@keen-gauge/core/survey/schema/field-path';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import type { Survey } from '@keen-gauge/core/survey/survey';

/** Questions about how the clamp is put on: answered together, since they are seen together. */
export const CLAMP_FIT: readonly FindingId[] = [
  'clamp-conductor-not-known',
  'clamp-arrow-not-known',
  'clamp-sealed-not-known',
  'clamp-line-not-known',
  'clamp-export-not-known',
  'clamp-sign-not-known',
];

/** What is to be known of the place of a charger, in the order one sees it. */
export function positionPlaces({ id }: Proposal): Place[] {
  const at = ['proposals', id, 'position'] as const;
  return [
    [...at, 'heightM'],
    [...at, 'toInletM'],
    [...at, 'leadM'],
    [...at, 'reachable'],
    [...at, 'obstructs'],
    [...at, 'otherSideLooked'],
  ];
}

/** The lengths that add up to the tails into a node, from the meter inwards. */
export function tailsPlaces(survey: Survey, nodeId: string): Place[] {
  const tree = supplyTree(survey);
  const here = tree.byId.get(nodeId);
  if (!here) return [];
  return consumerLinks(here, tree.device)
    .map(({ node }): Place => ['supply', 'nodes', node.id, 'cable', 'lengthM'])
    .reverse();
}

/** The device that protects the circuit, whole. */
export function devicePlaces({ id }: Proposal): Place[] {
  const at = ['proposals', id, 'circuit'] as const;
  return [
    [...at, 'deviceRatingA'],
    [...at, 'curve'],
  ];
}

/** What warms the cable along its way, section by section. */
export function conditionPlaces({ id, circuit }: Proposal): Place[] {
  return (circuit?.segments ?? []).flatMap((section) => {
    const at = ['proposals', id, 'circuit', 'segments', section.id] as const;
    return [[...at, 'ambientC'] as const, [...at, 'circuitsTogether'] as const, [...at, 'insulationMm'] as const];
  });
}

/** What is to be known of its own RCD; the later ones follow from the answers before. */
export function rcdPlaces({ id, rcd }: Proposal): Place[] {
  const at = ['proposals', id, 'rcd'] as const;
  return [
    [...at, 'place'],
    [...at, 'rcdType'],
    [...at, 'residualMa'],
    ...(rcd?.place === 'at-board' ? [[...at, 'ratedA'] as const] : []),
    [...at, 'breaksNeutral'],
    ...(rcd?.rcdType === 'A' || rcd?.rcdType === 'F' ? [[...at, 'dcDetection'] as const] : []),
    // The cable before an RCD in the equipment is not covered by it.
    ...(rcd?.place === 'built-in'
      ? [[...at, 'declared'] as const, ['proposals', id, 'circuit', 'concealed'] as const]
      : []),
  ];
}

/** How the clamp is put on; what generation sends past it only where that is not recorded otherwise. */
export function fitPlaces({ id, limiter }: Proposal, { supply, generation }: Survey): Place[] {
  const at = ['proposals', id, 'limiter', 'fit'] as const;
  return [
    [...at, 'conductor'],
    [...at, 'arrowAlong'],
    [...at, 'insideSealed'],
    ...(supply.phases === 3 ? [[...at, 'phase'] as const] : []),
    ...(generation === undefined ? [[...at, 'seesExport'] as const] : []),
    ...(limiter.fit?.seesExport === 'yes' || (generation?.length ?? 0) > 0 ? [[...at, 'signedReading'] as const] : []),
  ];
}
