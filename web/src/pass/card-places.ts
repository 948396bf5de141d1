import { consumerLinks } from '@keen-gauge/core/intake/checks/tails';
import { supplyTree } from '@keen-gauge/core/tree/supply-tree';
import type { FindingId } from '@keen-gauge/core/finding-ids';
import type { Place } from '@keen-gauge/core/survey/schema/field-path';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import type { Question } from '@keen-gauge/core/questions/question';
import { valueAt, type Value } from '@keen-gauge/core/record/changes';
import type { Survey } from '@keen-gauge/core/survey/survey';

/** Questions about how the clamp is put on: answered together, since they are seen together. */
const CLAMP_FIT: readonly FindingId[] = [
  'clamp-conductor-not-known',
  'clamp-arrow-not-known',
  'clamp-sealed-not-known',
  'clamp-line-not-known',
  'clamp-export-not-known',
  'clamp-sign-not-known',
];

/** What is to be known of the place of a charger, in the order one sees it. */
function positionPlaces({ id }: Proposal): Place[] {
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
function tailsPlaces(survey: Survey, nodeId: string): Place[] {
  const tree = supplyTree(survey);
  const here = tree.byId.get(nodeId);
  if (!here) return [];
  return consumerLinks(here, tree.device)
    .map(({ node }): Place => ['supply', 'nodes', node.id, 'cable', 'lengthM'])
    .reverse();
}

/** The device that protects the circuit, whole. */
function devicePlaces({ id }: Proposal): Place[] {
  const at = ['proposals', id, 'circuit'] as const;
  return [
    [...at, 'deviceRatingA'],
    [...at, 'curve'],
  ];
}

/** The way of the cable section by section, and the device it is judged with. */
export function routePlaces(proposal: Proposal): Place[] {
  const sections = (proposal.circuit?.segments ?? []).flatMap(({ id }) => {
    const at = ['proposals', proposal.id, 'circuit', 'segments', id] as const;
    return [[...at, 'laid'] as const, [...at, 'lengthM'] as const];
  });
  return [...sections, ...devicePlaces(proposal)];
}

/** What warms the cable along its way, section by section. */
function conditionPlaces({ id, circuit }: Proposal): Place[] {
  return (circuit?.segments ?? []).flatMap((section) => {
    const at = ['proposals', id, 'circuit', 'segments', section.id] as const;
    return [[...at, 'ambientC'] as const, [...at, 'circuitsTogether'] as const, [...at, 'insulationMm'] as const];
  });
}

/** What is to be known of its own RCD; the later ones follow from the answers before. */
function rcdPlaces({ id, rcd }: Proposal): Place[] {
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
function fitPlaces({ id, limiter }: Proposal, { supply, generation }: Survey): Place[] {
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

/** The places that one card asks for one after another; none where its question has one answer, or a control of its own. */
export function placesOf({ id, subjectId = '' }: Question, survey: Survey): readonly Place[] {
  if (id === 'check-tails-length') return tailsPlaces(survey, subjectId);
  const proposal = survey.proposals.find((each) => each.id === subjectId);
  if (!proposal) return [];
  if (CLAMP_FIT.includes(id)) return fitPlaces(proposal, survey);
  switch (id) {
    case 'position-not-settled':
      return positionPlaces(proposal);
    case 'own-rcd-not-said':
    case 'own-rcd-not-settled':
      return rcdPlaces(proposal);
    case 'circuit-device-not-chosen':
      return devicePlaces(proposal);
    case 'cable-not-judged':
      return routePlaces(proposal);
    case 'route-conditions-taken':
      return conditionPlaces(proposal);
    default:
      return [];
  }
}

/** Whether a card has still something to ask though its question is settled: the curve after the rating. */
export function asksMore(question: Question, survey: Survey): boolean {
  return placesOf(question, survey).some((place) => valueAt(survey as unknown as Value, place) === undefined);
}
