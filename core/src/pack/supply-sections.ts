import type { Assessment } from '../assessment';
import { ARRANGEMENT_NAMES } from '../earthing/arrangement-names';
import { FAULT_NAMES, overrideOf } from '../intake/condition';
import { LOOP_SIGN_NAMES } from '../intake/loop-status';
import { READING_FORMS, readingText } from '../intake/readings';
import type { Survey } from '../survey/survey';
import type { SupplyNode } from '../survey/supply';
import type { Load } from '../survey/load';
import { CLASS_NAMES } from '../demand/maximum-demand';
import { GENERATION_NAMES, type LoadClass, nodeName } from '../survey/words/words';
import { LOAD_FATE_NAMES } from '../survey/words/works-words';
import { isGoing } from '../tree/going';
import { figureText, NOT_KNOWN, phasesText, row, rowOf, type Row, type Section } from './rows';

/** What is there: the fuse and how it is known, the chain behind it, loop, condition, earthing. */
const LOOP_WORDS = {
  'not-looped': 'Not looped',
  'feeds-next-door': 'Looped: feeds next door',
  'fed-from-next-door': 'Looped: fed from next door',
  unknown: NOT_KNOWN,
} as const;

export function supplySection(survey: Survey, { supply, nodes }: Assessment): Section {
  const { intake, earthing } = survey;
  const device = survey.supply.nodes.find(({ id }) => id === supply.deviceId);
  const cutOut = survey.supply.nodes.find(({ kind }) => kind === 'cut-out');
  const looks = { fine: 'Looked at, fine', 'not-fine': 'Looked at, not fine', 'could-not-see': 'Could not be seen' };
  return {
    id: 'supply',
    title: 'Existing supply',
    rows: [
      row(
        'phases',
        'Phases',
        survey.supply.phases === undefined ? undefined : survey.supply.phases === 3 ? 'Three' : 'Single',
      ),
      row(
        'cut-out-fuse',
        device?.kind === 'switch-fuse' ? `${nodeName(device)} (solid link at the head)` : 'Cut-out fuse',
        supply.ratingEstablished === true
          ? `${supply.rating.value ?? ''} A`
          : `Not established; ${supply.rating.value ?? ''} A used as fallback`,
        `Evidence: ${supply.evidence ?? 'none'}${device?.evidenceNote ? `; ${device.evidenceNote}` : ''}`,
      ),
      ...(cutOut?.holderMaximumA === undefined
        ? []
        : [row('holder-moulded', 'Holder moulded', `${cutOut.holderMaximumA} A at most`)]),
      ...nodes
        .filter(({ id, kind }) => id !== supply.deviceId && kind !== 'service')
        .flatMap(({ id, label, ratingA }) => chainRow(survey, id, label, ratingA)),
      row(
        'loop-status',
        'Loop status',
        intake.loop.status === 'not-looped' && supply.loop !== 'own'
          ? 'Recorded as not looped; not confirmed'
          : intake.loop.status && LOOP_WORDS[intake.loop.status],
        intake.loop.evidence?.replaceAll('-', ' '),
      ),
      ...loopRows(survey, supply.sharedService),
      row('condition', 'Condition', intake.look ? looks[intake.look] : guidedWords(survey)),
      ...intake.faults.flatMap(faultRows),
      row(
        'earthing',
        'Earthing',
        earthing.arrangement && ARRANGEMENT_NAMES[earthing.arrangement],
        earthing.recognisedBy,
      ),
    ],
  };
}

/** Generation, chargers and heat pumps that are there already, each by name: operators ask for them whatever is new. */
export function thereSection({ generation, loads, supply }: Survey): Section {
  const names = (kind: LoadClass): string => {
    const found = loads.filter((load) => load.class === kind);
    return found.length === 0 ? 'None among the loads listed' : found.map(loadWords).join('; ');
  };
  const sources = generation?.map(({ label, kind, ratedA }) =>
    [label ?? GENERATION_NAMES[kind], ratedA === undefined ? 'rating not known' : `${ratedA} A`].join(', '),
  );
  return {
    id: 'there',
    title: 'On the premises already',
    rows: [
      row(
        'generation-and-storage',
        'Generation and storage',
        sources && (sources.length === 0 ? 'None' : sources.join('; ')),
      ),
      row('vehicle-chargers', 'Vehicle chargers', names('ev-charging')),
      row('heat-pumps', 'Heat pumps', names('heat-pump')),
      ...loads
        .filter(isGoing)
        .map((load) =>
          rowOf('goes-away', load.id, 'Goes with this work', loadWords(load), load.fate && LOAD_FATE_NAMES[load.fate]),
        ),
      ...supply.nodes
        .filter(({ goes }) => goes)
        .map((node) => rowOf('goes-away', node.id, 'Goes with this work', nodeName(node), 'taken out')),
    ],
  };
}

function loadWords({ label, class: kind, currentA, powerW, quantity = 1 }: Load): string {
  const size = currentA === undefined ? (powerW === undefined ? 'size not known' : `${powerW} W`) : `${currentA} A`;
  return `${quantity > 1 ? `${quantity} × ` : ''}${label ?? CLASS_NAMES[kind]}, ${size}`;
}

function chainRow(survey: Survey, id: string, label: string, ratingA: number | null): Row[] {
  const node = survey.supply.nodes.find((each) => each.id === id);
  const cable = node && cableText(node);
  const rcd = node && rcdText(node);
  if (ratingA === null && !cable && !rcd) return [];
  const ticked = node?.checks?.some(({ assumed }) => assumed) ? 'some checks assumed: ticked together' : '';
  const notes = [rcd, cable ? `Fed by ${cable}` : '', node?.planned ? 'to be fitted' : '', ticked].filter(Boolean);
  return [rowOf('part', id, label, ratingA === null ? undefined : `${ratingA} A`, notes.join('; '))];
}

/** What an RCD is, since its type decides what may stand behind it. */
function rcdText(node: SupplyNode): string {
  if (node.kind !== 'rcd' && node.deviceType !== 'rcbo' && node.residualMa === undefined) return '';
  const parts = [
    node.rcdType === undefined ? 'type not recorded' : `type ${node.rcdType}`,
    node.residualMa === undefined ? 'residual current not recorded' : `${node.residualMa} mA`,
    node.timeDelayed ? 'time-delayed' : '',
  ];
  return parts.filter((part) => part !== '').join(', ');
}

function cableText({ cable }: SupplyNode): string {
  if (!cable) return '';
  const { type, sizeMm2, lengthM, laid } = cable;
  return [
    sizeMm2 === undefined ? '' : `${sizeMm2} mm²`,
    type?.replace('-', ' ') ?? '',
    lengthM === undefined ? '' : `${lengthM} m`,
    laid?.replace('-', ' ') ?? '',
  ]
    .filter((part) => part !== '')
    .join(', ');
}

/** The arithmetic of a shared service, the neighbour's part marked as what it is. */
function loopRows(survey: Survey, shared: Assessment['supply']['sharedService']): Row[] {
  const seen = (survey.intake.loop.signs ?? []).filter(({ answer }) => answer === 'not-fine');
  const signs =
    seen.length > 0 ? [row('signs-seen', 'Signs seen', seen.map(({ id }) => LOOP_SIGN_NAMES[id]).join('; '))] : [];
  if (!shared?.known) return signs;
  return [
    ...signs,
    row(
      'neighbours-demand',
      'Neighbours’ demand',
      figureText(shared.neighbour),
      shared.neighbourAssumed ? 'Assumed' : 'Entered',
    ),
    row(
      'shared-service-all-properties-after',
      'Shared service, all properties after',
      phasesText(shared.after),
      `against ${figureText(shared.rating)}`,
    ),
  ];
}

function guidedWords({ intake }: Survey): string | undefined {
  const looks = intake.looks ?? [];
  if (looks.length === 0) return undefined;
  const unseen = looks.filter(({ answer }) => answer === 'could-not-see').length;
  return `Looked over fault by fault: ${looks.length} answered${unseen > 0 ? `, ${unseen} could not be seen` : ''}`;
}

/** A fault, and with it, never apart from it, who overrode the hold it put on the job. */
function faultRows(fault: Survey['intake']['faults'][number]): Row[] {
  const override = overrideOf(fault);
  const words = [FAULT_NAMES[fault.fault], fault.grade?.replaceAll('-', ' ') ?? 'not graded', fault.note];
  return [
    rowOf('fault', fault.id, 'Fault', words.filter(Boolean).join(', ')),
    ...(override ? [rowOf('hold-overridden', fault.id, 'Hold overridden', `by ${override.by}`, override.reason)] : []),
  ];
}

/** What was measured, with what, by whom and when. */
export function readingsSection({ readings, supply }: Survey): Section {
  const rows = readings.map((reading) => {
    const at = supply.nodes.find(({ id }) => id === reading.nodeId);
    const where = at && nodeName(at);
    const name = [READING_FORMS[reading.kind].name, reading.phase, where && `at ${where}`].filter(Boolean).join(', ');
    const by = [reading.instrument, reading.takenBy, reading.takenAt?.slice(0, 10), reading.note];
    return rowOf(
      'reading',
      reading.id,
      name,
      reading.value === undefined ? NOT_KNOWN : readingText(reading),
      by.filter(Boolean).join('; '),
    );
  });
  return { id: 'readings', title: 'Readings', rows };
}
