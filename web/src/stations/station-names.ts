import type { AskOf, Station } from '@keen-gauge/core/finding';

/** Stations as they are called on the walk. */
export const STATION_NAMES: Readonly<Record<Station, string>> = {
  place: 'Place and meter point',
  'cut-out': 'Intake and cut-out',
  loop: 'Loop',
  'line-up': 'Line-up',
  earthing: 'Earthing',
  loads: 'Loads',
  charger: 'New equipment',
  circuit: 'Circuit and protection',
  route: 'Route',
  pack: 'Pack',
  after: 'After the job',
};

/** Who can answer a question, in words. */
export const ASK_WORDS: Readonly<Record<AskOf, string>> = {
  surveyor: 'you, here',
  customer: 'the customer',
  operator: 'the operator',
};
