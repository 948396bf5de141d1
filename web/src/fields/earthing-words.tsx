import { ARRANGEMENT_NAMES } from '@keen-gauge/core/earthing/arrangement-names';
import { ArrangementPicture } from '../stations/earthing/ArrangementPicture';
import type { WordsOf } from './field-words';

const NOTES = {
  'tn-c-s': 'Earth taken from the neutral at the cut-out',
  'tn-s': 'Earth on the cable’s sheath or armour',
  tt: 'Own electrode, often on overhead lines',
} as const;

/** Earth, bonding and the earthing conductor. */
export const EARTHING_WORDS: WordsOf = {
  'earthing.arrangement': {
    label: 'Arrangement',
    tile: '14rem',
    options: [
      ...(['tn-c-s', 'tn-s', 'tt'] as const).map((value) => ({
        value,
        label: ARRANGEMENT_NAMES[value],
        picture: <ArrangementPicture arrangement={value} />,
        note: NOTES[value],
      })),
      { value: 'unknown', label: 'Not known' },
    ],
  },
  'earthing.recognisedBy': { label: 'How it was recognised', lines: true },
  'earthing.zeOhm': { label: 'Ze as handed in, highest reading' },
  'earthing.electrodeOhm': { label: 'Electrode resistance as handed in, highest reading' },
  'earthing.supplyNeutralMm2': {
    few: true,
    label: 'Supply neutral, copper equivalent',
    help: 'The operator’s to say; left out, one usual behind the fuse is taken.',
  },
  'earthing.conductor.sizeMm2': { label: 'Size, copper', usual: [6, 10, 16] },
  'earthing.conductor.faultCurrentA': { few: true, label: 'Earth fault current, where known' },
  'earthing.conductor.disconnectionS': {
    few: true,
    label: 'How long it lasts',
    help: 'From the fuse’s curve, for that current.',
  },
};
