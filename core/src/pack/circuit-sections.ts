import type { Assessment } from '../assessment';
import type { CircuitAssessment } from '../circuit/charger-circuit';
import type { FeederAssessment } from '../feeder/feeder';
import { limitWords } from '../cable/size-search';
import { WAY_PLAN_NAMES } from '../survey/words/circuit-words';
import type { Proposal } from '../survey/proposal';
import type { Figure } from '../worked';
import { figureText, NOT_KNOWN, row, rowOf, type Row, type Section } from './rows';

const SURGE = {
  fit: 'To be fitted',
  'there-already': 'There already',
  'owner-declined': 'Declined by the owner',
} as const;
const RCD_PLACES = { 'built-in': 'in the equipment', 'at-board': 'beside its device' } as const;

/** The circuit of one piece of new equipment: device, RCD, cable with what limits it, surge protection. */
export function circuitSections(proposal: Proposal, { circuits }: Assessment): Section[] {
  const circuit = circuits.find(({ proposalId }) => proposalId === proposal.id);
  if (!circuit || (proposal.circuit === undefined && proposal.rcd === undefined && circuit.recorded === null))
    return [];
  const { device } = circuit;
  const { rcd, surge, way } = proposal;
  return [
    {
      id: 'circuit',
      subject: proposal.id,
      title: `Circuit: ${circuit.label}`,
      rows: [
        row(
          'device',
          'Device',
          device.ratingA === null ? undefined : `${device.curve ?? ''}${device.ratingA} A`,
          [device.taken ? 'taken, not chosen' : '', way?.plan && WAY_PLAN_NAMES[way.plan], way?.note]
            .filter(Boolean)
            .join('; '),
        ),
        row(
          'rcd-of-its-own',
          'RCD of its own',
          rcd?.place && `${rcd.residualMa ?? '?'} mA type ${rcd.rcdType ?? '?'}, ${RCD_PLACES[rcd.place]}`,
          rcd?.dcDetection === 'yes' ? 'the equipment detects 6 mA of direct current' : undefined,
        ),
        ...cableRows(circuit),
        ...(surge?.decision === undefined
          ? []
          : [
              row(
                'surge-protection',
                'Surge protection',
                SURGE[surge.decision],
                [surge.decidedBy, surge.reason, surge.leadsM === undefined ? '' : `leads ${surge.leadsM} m`]
                  .filter(Boolean)
                  .join('; '),
              ),
            ]),
      ],
    },
  ];
}

function cableRows({ cable, recorded, search, gap, lengthM, loopLimit, taken }: CircuitAssessment): Row[] {
  if (gap !== null || !search) return [row('cable', 'Cable', undefined, gap ?? undefined)];
  const verdict = recorded ?? search.sizes.find(({ sizeMm2 }) => sizeMm2 === search.smallestMm2);
  const length = lengthM === null ? 'length not known' : `${lengthM} m`;
  if (!verdict) return [row('cable', 'Cable', `${cable ?? NOT_KNOWN}, ${length}`, 'No size is shown to pass.')];
  const smallest =
    search.smallestMm2 === null
      ? 'no size is shown to pass'
      : `${search.smallestMm2} mm² is the smallest that passes${search.limitedBy.length > 0 ? `, limited by ${limitWords(search.limitedBy)}` : ''}`;
  const state = {
    passes: 'passes',
    fails: `fails by ${limitWords(verdict.failsBy)}`,
    'not-known': 'not judged in full',
  };
  return [
    row('cable', 'Cable', `${cable ?? ''}, ${verdict.sizeMm2} mm², ${length}`, `${state[verdict.state]}; ${smallest}`),
    row(
      'carries-as-laid',
      'Carries, as laid',
      figureText(verdict.capacity),
      taken.length > 0 ? `taken: ${taken.join(', ')}` : undefined,
    ),
    row('volt-drop-from-the-origin', 'Volt drop from the origin', figureText(verdict.drop)),
    row(
      'loop-impedance-at-its-end',
      'Loop impedance at its end',
      figureText(verdict.loop),
      `${figureText(loopLimit)} at most`,
    ),
    row(
      'least-protective-conductor',
      'Least protective conductor',
      figureText(verdict.leastCpc),
      verdict.cpcMm2 === null ? undefined : `${verdict.cpcMm2} mm² here`,
    ),
  ];
}

/** The figures of the size that is recorded, or of the smallest that passes, with their working. */
export function circuitWorkings({ recorded, search, loopLimit, label }: CircuitAssessment): Figure[] {
  const verdict = recorded ?? search?.sizes.find(({ sizeMm2 }) => sizeMm2 === search.smallestMm2);
  if (!verdict) return [];
  return [verdict.capacity, verdict.drop, verdict.loop, loopLimit, verdict.leastCpc]
    .filter(({ value }) => value !== null)
    .map(({ label: name, value, unit, bound, why, working }) => ({
      label: `${label}: ${name.charAt(0).toLowerCase()}${name.slice(1)}`,
      value,
      unit,
      bound,
      why,
      working,
    }));
}

/** A feeder's questions as they were answered, and what may be done for a charger at its far end. */
export function feederSection({ nodeId, label, questions, answers, claim }: FeederAssessment): Section {
  const words = { true: 'Holds', false: 'Does not hold', null: NOT_KNOWN } as const;
  const said = (holds: boolean | null): string => words[`${holds}`];
  return {
    id: 'feeder',
    subject: nodeId,
    title: `Feeder: ${label}`,
    rows: [
      ...questions.map(({ id, question, answer }) => rowOf('feeder-question', id, question, answer)),
      ...(claim
        ? [row('claim', `Whether it would carry ${claim.claimedA} A`, said(claim.holds), claim.reasons.join('; '))]
        : []),
      ...answers
        .filter(({ kind }) => kind !== 'wait')
        .map(({ kind, title, holds, says }, at) =>
          rowOf('feeder-answer', kind, `Answer ${at + 1}: ${title}`, said(holds), says),
        ),
    ],
  };
}
