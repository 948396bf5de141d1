import type { WordsOf } from './field-words';

const LINKS = [
  { value: 'wired', label: 'Data cable' },
  { value: 'wireless', label: 'Wireless' },
  { value: 'none', label: 'Not at all' },
];

/** New equipment: what it is, how it is limited, what the operator asks about it. */
export const EQUIPMENT_WORDS: WordsOf = {
  'proposals.label': { label: 'Name' },
  'proposals.makeAndModel': { label: 'Make and model', help: 'As its plate says.' },
  'proposals.ratedA': { label: 'Rated output, each phase', usual: [16, 32] },
  'proposals.phases': {
    label: 'Phases',
    options: [
      { value: '1', label: 'Single-phase' },
      { value: '3', label: 'Three-phase' },
    ],
  },
  'proposals.phase': {
    label: 'On which phase?',
    tile: '5rem',
    options: (['L1', 'L2', 'L3'] as const).map((value) => ({ value, label: value })),
  },
  'proposals.typeTested': { label: 'On the type-tested register?' },
  'proposals.registerReference': { label: 'Register reference' },
  'proposals.canExport': { label: 'Can it send power back to the supply?' },
  'proposals.startingA': { label: 'Starting current, each phase', help: 'With its soft start, where it has one.' },
  'proposals.exportA': { label: 'Sends back at most, each phase', help: 'As it is set; left out, its rating.' },
  'proposals.parking': {
    label: 'Where do vehicles charge?',
    options: [
      { value: 'outdoors', label: 'Outdoors' },
      { value: 'indoors-only', label: 'Indoors only' },
    ],
  },
  'proposals.limiter.kind': {
    label: 'How is it kept inside the supply?',
    tile: '13rem',
    options: [
      { value: 'none', label: 'Full rate', note: 'The headroom suffices' },
      { value: 'fixed', label: 'Fixed limit', note: 'A setting it never exceeds' },
      { value: 'clamp', label: 'Clamp management', note: 'It gives way to the house' },
    ],
  },
  'proposals.limiter.fixedA': { label: 'Held to' },
  'proposals.limiter.setPointA': {
    label: 'Set-point',
    help: 'Usually a margin below the fuse: clamps and meters err.',
  },
  'proposals.limiter.failSafeA': {
    label: 'Fail-safe current',
    usual: [0, 6, 10, 16],
    help: 'What it drops to when the clamp or its link is lost; 0 stops it.',
  },
  'proposals.limiter.fit.conductor': {
    label: 'On which conductor?',
    tile: '9rem',
    options: [
      { value: 'line', label: 'Line' },
      { value: 'neutral', label: 'Neutral', note: 'Its arrow then points against the current' },
    ],
  },
  'proposals.limiter.fit.phase': {
    label: 'On which phase?',
    help: 'Chargers on three phases need a clamp on each.',
    tile: '6rem',
    options: [
      ...(['L1', 'L2', 'L3'] as const).map((value) => ({ value, label: value })),
      { value: 'all', label: 'All three' },
    ],
  },
  'proposals.limiter.fit.arrowAlong': { label: 'Does its arrow point along the current, street to house?' },
  'proposals.limiter.fit.insideSealed': { label: 'Would it sit inside sealed equipment?' },
  'proposals.limiter.fit.seesExport': { label: 'Does generation or a battery send power past it?' },
  'proposals.limiter.fit.signedReading': { label: 'Can its controller tell export from import?' },
  'proposals.dataLink.clamp': { label: 'How does the clamp reach it?', tile: '8rem', options: LINKS },
  'proposals.dataLink.network': { label: 'How does the network reach it?', tile: '8rem', options: LINKS },
  'proposals.dataLink.signalDbm': { label: 'Signal at the place' },
  'proposals.dataLink.lengthM': { few: true, label: 'Data cable, where wired' },
};
