/** Words for customers, for a reading age of eleven: no abbreviations, one thing a sentence. */
import type { Station } from '../finding';
import type { RouteWay } from '../route/ways';
import type { OptionKind } from '../survey/words/option-words';

/** What each way of doing it means for whoever pays. */
export const OPTION_PLAIN_WORDS: Readonly<Record<OptionKind, string>> = {
  'full-rate': 'It charges as fast as it can.',
  'fixed-limit': 'It is set to charge more slowly, so that your supply carries it.',
  managed: 'A sensor watches your supply, and charging slows down when your home needs more.',
  'fuse-upgrade': 'The network operator fits a larger main fuse first.',
  'un-loop': 'The network operator gives your home a supply cable of its own first.',
  'new-feeder': 'We lay a new cable to the building it stands at.',
  'three-phase': 'The network operator brings a three-phase supply first.',
  'other-supply': 'It is fed from another supply on the site.',
  'fewer-chargers': 'One charger is fitted and shared.',
};

/** What happens between the firm and the network operator. */
export const OPERATOR_STEP_WORDS: Readonly<Record<RouteWay, string>> = {
  'fit-then-notify': 'We fit it and then tell the network operator.',
  'ask-then-fit': 'The network operator has to agree before we fit it. That takes some weeks.',
  hold: 'Something at your supply has to be made safe before anything is fitted.',
};

/** What is not known yet at each part of the survey, and that it may change the price; empty where it does not. */
export const ASK_STATION_WORDS: Readonly<Record<Station, string>> = {
  place: '',
  'cut-out': 'The size of your main fuse is not confirmed. If it is smaller than we think, the price may change.',
  loop: 'It is not confirmed that your supply cable is yours alone. If you share it, the network operator has to act first.',
  'line-up':
    'Not every part between the street and your fuse board was seen. If one has to be replaced, the price changes.',
  earthing: 'The earthing of your home is not confirmed. If it needs work, the price changes.',
  loads:
    'We do not know yet everything that runs in your home. If it is more than we think, the charging may have to be slower.',
  charger: 'The data of the new equipment are not complete.',
  limit: 'How the charging is limited is not settled yet.',
  circuit: 'The way of the new cable is not settled in every detail. If it is longer or harder, the price changes.',
  compare: '',
  route: '',
  pack: '',
  works: 'How the work is done at your place is not settled in every detail.',
  materials: '',
  quotation: '',
  crew: '',
  commissioning: '',
  tests: '',
  after: '',
};
