import {
  BOARD_PLACES,
  DEVICE_TYPES,
  ENCLOSURES,
  EVIDENCE,
  type BoardPlace,
  type DeviceType,
  type Enclosure,
  type Evidence,
} from '@keen-gauge/core/survey/words/words';
import { EVIDENCE_NAMES, EvidenceMark } from '../kit/EvidenceMark';
import { EvidencePicture } from '../stations/cut-out/EvidencePicture';
import { CABLE_OPTIONS, LAID_OPTIONS } from './cable-words';
import type { WordsOf } from './field-words';

const EVIDENCE_NOTES: Readonly<Record<Evidence, string>> = {
  assumed: 'Nothing seen; somebody said so',
  moulding: 'Read off the holder: the most it can take, never the fuse inside',
  label: 'Fuse rating legible on a label, tag or through a window; seal intact',
  record: 'The operator’s record or written reply',
  attended: 'The operator’s staff read the fuse on site',
};

const ENCLOSURE_NAMES: Readonly<Record<Enclosure, string>> = { metal: 'Metal', plastic: 'Plastic', other: 'Another' };

const BOARD_PLACE_NAMES: Readonly<Record<BoardPlace, string>> = {
  indoors: 'Indoors',
  'under-stairs': 'Under the stairs',
  'garage-or-shed': 'Garage or shed',
  outdoors: 'Outdoors',
};

const DEVICE_NAMES: Readonly<Record<DeviceType, string>> = {
  mcb: 'Circuit-breaker',
  rcbo: 'Circuit-breaker with RCD',
  'cartridge-fuse': 'Cartridge fuse',
  'rewirable-fuse': 'Rewirable fuse',
  other: 'Another kind',
};

const PHASE_OPTIONS = (['L1', 'L2', 'L3'] as const).map((value) => ({ value, label: value }));
export const RCD_TYPE_OPTIONS = (['AC', 'A', 'F', 'B'] as const).map((value) => ({ value, label: value }));

/** The intake, the loop, and the nodes of the line-up. */
export const SUPPLY_WORDS: WordsOf = {
  'intake.look': {
    label: 'Cut-out, seal, cable and board looked at?',
    options: [
      { value: 'fine', label: 'Looked, fine' },
      { value: 'not-fine', label: 'Looked, not fine' },
      { value: 'could-not-see', label: 'Could not see' },
    ],
  },
  'intake.loop.status': {
    label: 'Loop status',
    tile: '14rem',
    options: [
      { value: 'not-looped', label: 'Not looped', note: 'One cable, traced or on record' },
      { value: 'feeds-next-door', label: 'Feeds next door', note: 'A second cable leaves here' },
      {
        value: 'fed-from-next-door',
        label: 'Fed from next door',
        note: 'It comes through their cut-out',
      },
      { value: 'unknown', label: 'Not known', note: 'Could not be seen or traced' },
    ],
  },
  'intake.loop.evidence': {
    label: 'How is that known?',
    tile: '14rem',
    options: [
      { value: 'cable-traced', label: 'Cable traced', note: 'One cable, seen from the street side to the cut-out' },
      { value: 'operator-record', label: 'Operator’s record' },
      { value: 'signs-only', label: 'Outward signs only', note: 'Not enough: it stays unknown' },
    ],
  },
  'intake.loop.note': { few: true, label: 'What was seen', lines: true },
  'intake.loop.neighbours': { label: 'Other properties on it', usual: [1, 2] },
  'intake.loop.neighbourDemandA': {
    label: 'Their demand together, each phase',
    help: 'Left out, the rules’ figure is assumed for each.',
  },
  'intake.loop.sharedRatingA': {
    label: 'What the shared service may carry',
    usual: [60, 80, 100],
    help: 'The operator’s to say.',
  },
  'intake.faults.note': { label: 'What was seen', lines: true },
  'supply.phases': {
    label: 'Phases',
    options: [
      { value: '1', label: 'Single-phase', note: 'One fuse' },
      { value: '3', label: 'Three-phase', note: 'Three fuses' },
    ],
  },
  'supply.nodes.label': { label: 'Name' },
  'supply.nodes.holderMaximumA': {
    few: true,
    label: 'Holder moulded, at most',
    usual: [60, 100],
    help: 'The most the carrier may hold; not the fuse inside.',
  },
  'supply.nodes.evidence': {
    label: 'How is the rating known?',
    help: 'Only a label, a record or the operator’s staff confirm it. Otherwise the fallback is used and the operator is asked.',
    tile: '13rem',
    options: EVIDENCE.map((value) => ({
      value,
      label: EVIDENCE_NAMES[value],
      note: EVIDENCE_NOTES[value],
      mark: <EvidenceMark evidence={value} />,
      picture: <EvidencePicture evidence={value} />,
    })),
  },
  'supply.nodes.evidenceNote': { few: true, label: 'What was seen', lines: true },
  'supply.nodes.head': {
    label: 'What is in the head?',
    tile: '9rem',
    options: [
      { value: 'fused', label: 'A fuse' },
      { value: 'solid-link', label: 'A solid link', note: 'A switch-fuse after it protects' },
    ],
  },
  'supply.nodes.phase': {
    label: 'Single-phase from here on?',
    help: 'What hangs below is then on that line.',
    tile: '4.4rem',
    options: PHASE_OPTIONS,
  },
  'supply.nodes.rcdType': { label: 'RCD type', tile: '4.4rem', options: RCD_TYPE_OPTIONS },
  'supply.nodes.residualMa': { label: 'Residual current', usual: [30, 100, 300] },
  'supply.nodes.timeDelayed': {
    label: 'Time-delayed?',
    tile: '6rem',
    options: [
      { value: 'true', label: 'Yes' },
      { value: 'false', label: 'No' },
    ],
  },
  'supply.nodes.sharedReason': {
    few: true,
    label: 'Shared with new equipment: why',
    help: 'Only as a recorded exception.',
  },
  'supply.nodes.deviceType': {
    label: 'Device',
    list: true,
    options: DEVICE_TYPES.map((value) => ({ value, label: DEVICE_NAMES[value] })),
  },
  'supply.nodes.curve': {
    label: 'Curve',
    list: true,
    options: (['B', 'C', 'D'] as const).map((value) => ({ value, label: value })),
  },
  'supply.nodes.poles': { label: 'Poles', usual: [1, 2, 4] },
  'supply.nodes.spareWays': { label: 'Spare ways', usual: [0, 1, 2] },
  'supply.nodes.makersFamily': { few: true, label: 'Maker’s family' },
  'supply.nodes.enclosure': {
    label: 'Enclosure',
    list: true,
    options: ENCLOSURES.map((value) => ({ value, label: ENCLOSURE_NAMES[value] })),
  },
  'supply.nodes.place': {
    label: 'Where it is',
    list: true,
    options: BOARD_PLACES.map((value) => ({ value, label: BOARD_PLACE_NAMES[value] })),
  },
  'supply.nodes.acceptsNewDevice': { label: 'Does its maker allow the new device in it?' },
  'supply.nodes.cable.sizeMm2': { label: 'Incoming tails', usual: [16, 25] },
  'supply.nodes.cable.lengthM': { label: 'Their length' },
  'supply.nodes.cable.type': { label: 'Cable', list: true, options: CABLE_OPTIONS },
  'supply.nodes.cable.terminalsFor90': {
    label: 'Are the terminals at both ends declared for 90 °C conductors?',
    help: 'Otherwise its 70 °C figures count.',
  },
  'supply.nodes.cable.laid': { label: 'How laid', list: true, options: LAID_OPTIONS },
};
