import type { FindingId } from '../finding-ids';
import type { Statement } from '../finding';
import type { OwnRcd } from '../survey/circuit';
import type { FieldPath } from '../survey/schema/field-path';
import { equipmentName, isGeneration } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import { nodeOf } from '../tree/sets-below';
import { exceeds } from '../worked';
import { circuitStart } from '../circuit/charger-circuit';
import type { CircuitFacts } from '../circuit/circuit-facts';
import { rcdsAbove, type TreeRcd } from './rcds-above';
import { upstreamRcdFindings } from './upstream-rcds';

/** What is wrong with the RCD that protects a charging point, and with everything before it. */
export function rcdFindings(proposal: Proposal, facts: CircuitFacts): Statement[] {
  const above = rcdsAbove(nodeOf(facts.tree, proposal.nodeId));
  const before = upstreamRcdFindings(above, proposal, facts.rules.circuit);
  return [...ownFindings(proposal, above, facts), ...flowBackFindings(proposal), ...before];
}

/** Something wrong with the RCD: what it is, and what would put it right. */
interface Wrong {
  readonly id: FindingId;
  readonly title: string;
  readonly remedy: string;
  readonly field: FieldPath;
}

function ownFindings(proposal: Proposal, above: readonly TreeRcd[], facts: CircuitFacts): Statement[] {
  const { rcd } = proposal;
  if (rcd?.place === undefined) return [];
  const { value, source } = facts.rules.circuit.rcd;
  const deviceA = circuitStart(proposal, facts).circuit.deviceRatingA;
  return [...wrongWith(rcd, value.residualMa, deviceA), ...concealedWrong(proposal, above, value.residualMa)].map(
    ({ title, ...rest }): Statement => ({
      ...rest,
      station: 'circuit',
      subjectId: proposal.id,
      source,
      grade: 'act',
      on: 'circuit',
      title: `${equipmentName(proposal)}: ${title}`,
    }),
  );
}

/** What is known to be wrong: not declared, too coarse, neutral not broken, of the wrong type, rated too low. */
function wrongWith(rcd: OwnRcd, mostMa: number, deviceA: number | undefined): Wrong[] {
  const wrong: (Wrong | false)[] = [
    rcd.place === 'built-in' &&
      rcd.declared === 'no' && {
        id: 'own-rcd-not-declared',
        title: 'its maker does not declare the built-in RCD.',
        remedy: 'An RCD beside its device.',
        field: 'proposals.rcd.declared',
      },
    rcd.residualMa !== undefined &&
      exceeds(rcd.residualMa, mostMa) && {
        id: 'own-rcd-residual',
        title: `an RCD of ${rcd.residualMa} mA is above ${mostMa} mA.`,
        remedy: `One of ${mostMa} mA.`,
        field: 'proposals.rcd.residualMa',
      },
    rcd.breaksNeutral === 'no' && {
      id: 'own-rcd-poles',
      title: 'its RCD does not break the neutral.',
      remedy: 'One that breaks all live conductors.',
      field: 'proposals.rcd.breaksNeutral',
    },
    rcd.rcdType === 'AC' && {
      id: 'own-rcd-type',
      title: 'an RCD of type AC is unsuitable: direct current blinds it.',
      remedy: 'Type A or F with 6 mA detection in the equipment, otherwise type B.',
      field: 'proposals.rcd.rcdType',
    },
    (rcd.rcdType === 'A' || rcd.rcdType === 'F') &&
      rcd.dcDetection === 'no' && {
        id: 'own-rcd-type',
        title: `type ${rcd.rcdType} without 6 mA detection in the equipment is not enough.`,
        remedy: 'Type B, or equipment that detects 6 mA of direct current.',
        field: 'proposals.rcd.rcdType',
      },
    rcd.place === 'at-board' &&
      rcd.ratedA !== undefined &&
      deviceA !== undefined &&
      exceeds(deviceA, rcd.ratedA) && {
        id: 'own-rcd-rated-current',
        title: `its RCD is rated ${rcd.ratedA} A behind a device of ${deviceA} A.`,
        remedy: 'One rated at least as high as the device: it may not rest on diversity.',
        field: 'proposals.rcd.ratedA',
      },
  ];
  return wrong.filter((each) => each !== false);
}

/** A cable hidden shallowly in a wall needs an RCD before it, which one inside the equipment is not. */
function concealedWrong({ circuit, rcd }: Proposal, above: readonly TreeRcd[], mostMa: number): Wrong[] {
  if (rcd?.place !== 'built-in' || circuit?.concealed !== 'yes' || isCovered(above, mostMa)) return [];
  return [
    {
      id: 'concealed-without-rcd',
      title: 'its cable lies under 50 mm in a wall, and the RCD in the equipment is behind it.',
      remedy: 'A 30 mA RCD at the board, the cable on the surface, or earthed protection over it.',
      field: 'proposals.circuit.concealed',
    },
  ];
}

function isCovered(above: readonly TreeRcd[], mostMa: number): boolean {
  return above.some(({ residualMa }) => residualMa !== undefined && residualMa <= mostMa);
}

/** What of its own RCD nobody has recorded, in words; nothing is asked of one whose place is not recorded. */
export function rcdGaps(proposal: Proposal, { tree, rules }: Pick<CircuitFacts, 'tree' | 'rules'>): string[] {
  const { circuit, rcd } = proposal;
  if (rcd?.place === undefined) return [];
  const above = rcdsAbove(nodeOf(tree, proposal.nodeId));
  const mostMa = rules.circuit.rcd.value.residualMa;
  const unanswered = (answer: string | undefined): boolean => answer === undefined || answer === 'unknown';
  const needsDetection = rcd.rcdType === 'A' || rcd.rcdType === 'F';
  return [
    rcd.place === 'built-in' && unanswered(rcd.declared) ? 'whether its maker declares it' : '',
    rcd.residualMa === undefined ? 'residual current' : '',
    unanswered(rcd.breaksNeutral) ? 'whether it breaks the neutral too' : '',
    rcd.rcdType === undefined ? 'type' : '',
    needsDetection && unanswered(rcd.dcDetection) ? 'whether the equipment detects 6 mA of direct current' : '',
    rcd.place === 'at-board' && rcd.ratedA === undefined ? 'rated current' : '',
    rcd.place === 'built-in' && unanswered(circuit?.concealed) && !isCovered(above, mostMa)
      ? 'whether the cable before it lies under 50 mm in a wall'
      : '',
  ].filter((part) => part !== '');
}

/** Whether power can flow back through the new circuit. */
export function flowsBack(proposal: Proposal): boolean {
  return proposal.canExport === 'yes' || isGeneration(proposal);
}

/** Where power can flow back, devices not marked for both directions may not open. */
export function flowBackFindings(proposal: Proposal): Statement[] {
  if (!flowsBack(proposal) || proposal.circuit?.bothDirections !== 'no') return [];
  return [
    {
      station: 'circuit',
      subjectId: proposal.id,
      field: 'proposals.circuit.bothDirections',
      id: 'device-one-direction',
      grade: 'act',
      on: 'circuit',
      title: `${equipmentName(proposal)}: power can flow back, and its device is marked for one direction only.`,
      remedy: 'Devices marked for both directions, the RCD among them.',
    },
  ];
}
