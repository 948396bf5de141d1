import { STATIONS, type AskOf, type Station } from '@keen-gauge/core/finding';

/** Stations as they are called on the walk. */
export const STATION_NAMES: Readonly<Record<Station, string>> = {
  place: 'Place and meter point',
  'cut-out': 'Intake and cut-out',
  loop: 'Loop',
  'line-up': 'Line-up',
  earthing: 'Earthing',
  loads: 'Loads',
  charger: 'New equipment',
  limit: 'Limit and clamp',
  circuit: 'Circuit and protection',
  compare: 'Compare options',
  route: 'Route and dates',
  pack: 'Pack',
  works: 'Work on site',
  materials: 'Materials and price',
  quotation: 'Quotation',
  crew: 'Crew sheet',
  commissioning: 'Commissioning',
  tests: 'Tests',
  after: 'Labels and handover',
};

/** The walk in its legs. */
export const LEGS: readonly { readonly name: string; readonly stations: readonly Station[] }[] = [
  { name: 'The supply', stations: ['place', 'cut-out', 'loop', 'line-up', 'earthing', 'loads'] },
  { name: 'The new load', stations: ['charger', 'limit', 'circuit', 'compare'] },
  { name: 'The operator', stations: ['route', 'pack'] },
  { name: 'The price', stations: ['works', 'materials', 'quotation'] },
  { name: 'The fit', stations: ['crew', 'commissioning', 'tests', 'after'] },
];

/** What can be looked at of a survey: the next question, its stations, its photographs, what is still to find out, the review before signing, what the customer is asked and says, a row of bays, and the supplies of a site. */
export const VIEWS = [...STATIONS, 'next', 'photos', 'to-look', 'review', 'customer', 'pool', 'site'] as const;
export type View = (typeof VIEWS)[number];

export const VIEW_NAMES: Readonly<Record<View, string>> = {
  ...STATION_NAMES,
  next: 'Next question',
  photos: 'Photographs',
  'to-look': 'Still to find out',
  review: 'Review',
  customer: 'From the customer',
  pool: 'Bays and cars',
  site: 'Supplies and bays',
};

/** Who can answer a question, in words. */
export const ASK_WORDS: Readonly<Record<AskOf, string>> = {
  surveyor: 'you, here',
  customer: 'the customer',
  operator: 'the operator',
};
