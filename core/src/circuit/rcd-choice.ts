import type { Finding } from '../finding';
import type { OwnRcd } from '../survey/circuit';
import { equipmentName, isGeneration } from '../survey/kinds';
import type { Proposal } from '../survey/proposal';
import { nodeOf } from '../tree/sets-below';
import { exceeds } from '../worked';
import { circuitStart } from './charger-circuit';
import type { CircuitFacts } from './circuit-facts';
import { rcdsAbove, type TreeRcd } from './rcds-above';
import { upstreamRcdFindings } from './upstream-rcds';

/** What has to be so of the RCD that protects a charging point, and of everything before it. */
export function rcdFindings(proposal: Proposal, facts: CircuitFacts): Finding[] {
  const above = rcdsAbove(nodeOf(facts.tree, proposal.nodeId));
  const before = upstreamRcdFindings(above, proposal, facts.pack.circuit);
  return [...ownFindings(proposal, above, facts), ...flowBackFindings(proposal), ...before];
}

/** Something wrong with the RCD: what it is, and what would put it right. */
interface Wrong {
  readonly id: string;
  readonly title: string;
  readonly remedy: string;
  readonly field: string;
}

function ownFindings(proposal: Proposal, above: readonly TreeRcd[], facts: CircuitFacts): Finding[] {
  const { rcd } = proposal;
  const name = equipmentName(proposal);
  const { value, source } = facts.pack.circuit.rcd;
  const about = { station: 'circuit', subjectId: proposal.id, source } as const;
  const ask = { ...about, grade: 'ask', askOf: 'surveyor', ownUse: true } as const;
  if (rcd?.place === undefined)
    return [
      {
        ...ask,
        id: 'own-rcd-not-said',
        title: `${name}: no ${value.residualMa} mA RCD of its own is recorded.`,
        remedy: 'Say whether it is built into the equipment, as its maker declares, or goes beside its device.',
        field: 'proposals.rcd.place',
      },
    ];
  const deviceA = circuitStart(proposal, facts).circuit.deviceRatingA;
  const wrong = wrongWith(rcd, value.residualMa, deviceA).concat(concealedWrong(proposal, above, value.residualMa));
  const open = openQuestions(proposal, rcd, above, value.residualMa);
  return [
    ...wrong.map(({ title, ...rest }): Finding => ({ ...about, ...rest, grade: 'act', title: `${name}: ${title}` })),
    ...(open.length === 0
      ? []
      : [
          {
            ...ask,
            id: 'own-rcd-not-settled',
            title: `${name}: its RCD is not known in full: ${open.join('; ')}.`,
            remedy: 'Take it from the maker’s data, or read it off its face.',
            field: 'proposals.rcd',
          },
        ]),
  ];
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

function openQuestions({ circuit }: Proposal, rcd: OwnRcd, above: readonly TreeRcd[], mostMa: number): string[] {
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

/** Where power can flow back, devices not marked for both directions may not open. */
export function flowBackFindings(proposal: Proposal): Finding[] {
  const { id, canExport, circuit } = proposal;
  const label = equipmentName(proposal);
  if ((canExport !== 'yes' && !isGeneration(proposal)) || circuit?.bothDirections === 'yes') return [];
  const about = { station: 'circuit', subjectId: id, field: 'proposals.circuit.bothDirections' } as const;
  return circuit?.bothDirections === 'no'
    ? [
        {
          ...about,
          id: 'device-one-direction',
          grade: 'act',
          title: `${label}: power can flow back, and its device is marked for one direction only.`,
          remedy: 'Devices marked for both directions, the RCD among them.',
        },
      ]
    : [
        {
          ...about,
          id: 'device-one-direction',
          grade: 'ask',
          title: `${label}: power can flow back; not known whether its device is marked for both directions.`,
          remedy: 'Look for “line” and “load” marks on it: those are for one direction only.',
          askOf: 'surveyor',
          ownUse: true,
        },
      ];
}
