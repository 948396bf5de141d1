import { CABLE_OPTIONS, LAID_OPTIONS } from './cable-words';
import type { WordsOf } from './field-words';
import { RCD_TYPE_OPTIONS } from './supply-words';

/** The circuit of new equipment, its protection and its place. */
export const CIRCUIT_WORDS: WordsOf = {
  'proposals.circuit.deviceRatingA': {
    label: 'Device of the circuit',
    usual: [20, 32, 40],
    help: 'For a 32 A charger 40 A is common, 32 A is allowed; the cable decides.',
  },
  'proposals.circuit.curve': {
    label: 'Curve',
    list: true,
    tile: '4.4rem',
    options: (['B', 'C', 'D'] as const).map((value) => ({ value, label: value })),
  },
  'proposals.circuit.cableType': {
    label: 'Cable',
    list: true,
    options: CABLE_OPTIONS.filter(({ value }) => value !== 'tails'),
  },
  'proposals.circuit.segments.lengthM': { label: 'Length', usual: [5, 10, 20] },
  'proposals.circuit.segments.laid': { label: 'How laid', list: true, options: LAID_OPTIONS },
  'proposals.circuit.segments.ambientC': { label: 'Air or ground, warmest', usual: [20, 30, 35] },
  'proposals.circuit.segments.circuitsTogether': { label: 'Circuits together, this one counted', usual: [1, 2, 3] },
  'proposals.circuit.segments.insulationMm': { label: 'Length surrounded by insulation', usual: [0, 50, 100] },
  'proposals.circuit.concealed': {
    label: 'Does it lie anywhere in a wall under 50 mm deep, without earthed protection?',
  },
  'proposals.circuit.terminalsFor90': {
    label: 'Are the terminals at both ends declared for 90 °C conductors?',
    help: 'Only the makers’ data says so. Otherwise the cable is sized by its 70 °C figures.',
  },
  'proposals.circuit.bothDirections': {
    label: 'Are its device and RCD marked for both directions?',
    help: 'Power can flow back from this equipment.',
  },
  'proposals.rcd.place': {
    label: 'Where is its own RCD?',
    tile: '12rem',
    options: [
      { value: 'built-in', label: 'In the equipment', note: 'Counts if its maker declares it' },
      { value: 'at-board', label: 'Beside its device', note: 'Protects the cable too' },
    ],
  },
  'proposals.rcd.rcdType': { label: 'RCD type, new equipment', tile: '5.2rem', options: RCD_TYPE_OPTIONS },
  'proposals.rcd.residualMa': { label: 'Residual current, new equipment', usual: [30] },
  'proposals.rcd.ratedA': { label: 'Rated current of the RCD', usual: [40, 63] },
  'proposals.leakageMa': {
    few: true,
    label: 'Standing leakage of the equipment',
    help: 'Only where an RCD is shared.',
  },
  'proposals.rcd.breaksNeutral': { label: 'Does it break the neutral as well as the line?' },
  'proposals.rcd.dcDetection': {
    label: 'Does the equipment detect 6 mA of direct current and disconnect?',
  },
  'proposals.rcd.declared': { label: 'Does its maker declare the built-in RCD?' },
  'proposals.surge.decision': {
    label: 'Offered to the owner: what was decided?',
    tile: '13rem',
    options: [
      { value: 'there-already', label: 'There already' },
      { value: 'fit', label: 'To be fitted' },
      { value: 'owner-declined', label: 'Owner declined', note: 'In a single dwelling only' },
    ],
  },
  'proposals.surge.leadsM': { label: 'Its leads, line and earth together', usual: [0.3, 0.5] },
  'proposals.surge.decidedBy': { label: 'Decided by' },
  'proposals.surge.reason': { label: 'The owner’s reason' },
  'proposals.position.heightM': { label: 'Height of its outlet or controls', usual: [1, 1.2] },
  'proposals.position.toInletM': { label: 'To the vehicle’s inlet, as the lead lies' },
  'proposals.position.leadM': { label: 'Length of the lead', usual: [5, 7.5, 10] },
  'proposals.position.reachable': { label: 'Can it be reached safely?' },
  'proposals.position.obstructs': { label: 'Would it, or its lead, be in anybody’s way?' },
  'proposals.position.otherSideLooked': {
    label: 'Was the other side of the wall looked at for pipes and cables?',
    help: 'Before drilling; a detector does not see everything.',
  },
};
