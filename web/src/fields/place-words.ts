import type { WordsOf } from './field-words';

const YES_NO = [
  { value: 'true', label: 'Yes' },
  { value: 'false', label: 'No' },
];

/** The place, the customer, and what the operator is asked for besides. */
export const PLACE_WORDS: WordsOf = {
  'place.meterPointNumber': { label: 'Meter point number (MPAN)', inputMode: 'numeric' },
  'place.operatorName': { label: 'Network operator' },
  'place.premises': {
    label: 'Kind of premises',
    help: 'Decides which diversity allowances are used.',
    options: [
      { value: 'household', label: 'Household', note: 'One dwelling' },
      { value: 'small-shop-or-office', label: 'Small shop or office' },
      { value: 'guest-house', label: 'Guest house' },
    ],
  },
  'place.customerName': { label: 'Customer' },
  'place.customerPhone': { label: 'Telephone', type: 'tel' },
  'place.customerEmail': { label: 'E-mail', type: 'email' },
  'place.addressLine1': { label: 'Address' },
  'place.addressLine2': { few: true, label: 'Address, second line' },
  'place.town': { label: 'Town' },
  'place.postcode': { label: 'Postcode' },
  'place.nation': {
    label: 'Nation',
    tile: '8rem',
    options: [
      { value: 'england', label: 'England' },
      { value: 'wales', label: 'Wales' },
      { value: 'scotland', label: 'Scotland' },
      { value: 'northern-ireland', label: 'Northern Ireland' },
    ],
  },
  notes: { label: 'Notes', help: 'Anything the office or the fitter should know.', lines: true },
  'request.fuseUpgrade': { label: 'A larger cut-out fuse?', tile: '6rem', options: YES_NO },
  'request.wantedFuseA': { label: 'The fuse asked for', usual: [80, 100] },
  'request.newPhases': { label: 'More phases?', tile: '6rem', options: YES_NO },
  'request.importLimitation': { label: 'An import limitation scheme?', tile: '6rem', options: YES_NO },
  'request.exportLimitation': { label: 'An export limitation scheme?', tile: '6rem', options: YES_NO },
  'request.installationsOnDevelopment': {
    label: 'Installations on this development',
    help: 'This one included; leave out for one.',
  },
  'request.upgradeOnly': {
    label: 'Or is only the supply to be changed?',
    help: 'What is asked for goes in at the route.',
    tile: '6rem',
    options: YES_NO,
  },
};
