import {
  APPLICANT_NAMES,
  APPLICANTS,
  CABLE_LOOK_NAMES,
  CABLE_LOOKS,
  CONTAINMENT_NAMES,
  CONTAINMENTS,
  DIGGER_NAMES,
  DIGGERS,
  GROUND_NAMES,
  GROUNDS,
  LOAD_FATE_NAMES,
  LOAD_FATES,
  LOCK_NAMES,
  LOCKS,
  OUTLET_NAMES,
  OUTLETS,
  SURFACE_NAMES,
  SURFACES,
  TARIFF_CONTROL_NAMES,
  TARIFF_CONTROLS,
} from '@keen-gauge/core/survey/words/works-words';
import type { FieldWords, WordsOf } from './field-words';

const named = <V extends string>(
  values: readonly V[],
  names: Readonly<Record<V, string>>,
): { readonly value: V; readonly label: string }[] => values.map((value) => ({ value, label: names[value] }));

const SURFACE: FieldWords = { label: 'Fixed to', list: true, options: named(SURFACES, SURFACE_NAMES) };
const CONTAINMENT: FieldWords = { label: 'Held in', list: true, options: named(CONTAINMENTS, CONTAINMENT_NAMES) };
const HEIGHT: FieldWords = { label: 'Height above the floor', usual: [1, 2.5, 4] };
const GROUND: FieldWords = { label: 'Trench through', list: true, options: named(GROUNDS, GROUND_NAMES) };
const DUG: FieldWords = { label: 'Who digs', list: true, options: named(DIGGERS, DIGGER_NAMES) };

/** The work itself, what goes away, what is used again, what the customer asks of the equipment, and money help. */
export const WORKS_WORDS: WordsOf = {
  'proposals.circuit.segments.fixedTo': SURFACE,
  'proposals.circuit.segments.containment': CONTAINMENT,
  'proposals.circuit.segments.heightM': HEIGHT,
  'proposals.circuit.segments.ground': GROUND,
  'proposals.circuit.segments.dug': DUG,
  'supply.nodes.cable.fixedTo': SURFACE,
  'supply.nodes.cable.containment': CONTAINMENT,
  'supply.nodes.cable.heightM': HEIGHT,
  'supply.nodes.cable.ground': GROUND,
  'supply.nodes.cable.dug': DUG,
  'supply.nodes.cable.planned': { label: 'Is this cable laid with the work?', few: true },
  'supply.nodes.goes': { label: 'Is it taken out by the work?', few: true },
  'loads.fate': {
    label: 'What does the work do with it?',
    few: true,
    tile: '12rem',
    options: named(LOAD_FATES, LOAD_FATE_NAMES),
  },
  'loads.notified': { label: 'Was the operator told of it in its day?' },
  'proposals.reuse.used': {
    label: 'Is the circuit it hangs on used again, device and cable?',
    help: 'An old circuit is judged like a new one before it is believed.',
  },
  'proposals.reuse.look': {
    label: 'Is the old cable sound all the way?',
    tile: '9rem',
    options: named(CABLE_LOOKS, CABLE_LOOK_NAMES),
  },
  'proposals.reuse.damage': { label: 'Where is it damaged, and how?' },
  'proposals.reuse.cores': {
    label: 'Conductors in the old cable',
    usual: [3, 5],
    help: 'Its protective conductor counted; armour is not one.',
  },
  'proposals.reuse.insulationMOhm': { label: 'Insulation resistance of the old cable', usual: [50, 200] },
  'proposals.needs.outlet': { label: 'Lead on it, or a socket?', tile: '9rem', options: named(OUTLETS, OUTLET_NAMES) },
  'proposals.needs.publicReach': { label: 'Can strangers reach the bay?' },
  'proposals.needs.lock': {
    label: 'What keeps strangers off?',
    few: true,
    list: true,
    options: named(LOCKS, LOCK_NAMES),
  },
  'proposals.needs.billing': { label: 'Is what is charged billed, or claimed back?' },
  'proposals.needs.tariff': {
    label: 'Who times the charging by the tariff?',
    tile: '9rem',
    options: named(TARIFF_CONTROLS, TARIFF_CONTROL_NAMES),
  },
  'proposals.needs.followsGeneration': { label: 'Is it to charge by what is generated?' },
  'proposals.needs.bothDirections': { label: 'Is it to give power back?' },
  'proposals.needs.hangsOn': { label: 'It hangs on', list: true, options: named(SURFACES, SURFACE_NAMES) },
  'proposals.needs.onPost': { label: 'On a post of its own?' },
  'proposals.needs.inSun': { label: 'Does the sun stand on its place?' },
  'proposals.needs.inWeather': { label: 'Does it hang in the weather?' },
  'proposals.needs.networkCable': { label: 'Can a network cable be run there?' },
  'proposals.needs.mobileDbm': { label: 'Mobile signal at the place', usual: [-110, -95, -80] },
  'works.travelMin': { label: 'Way to the site, one way', usual: [15, 30, 45] },
  'works.powerOffH': { label: 'Power off for', usual: [1, 2, 4] },
  'works.asbestos': { label: 'Is asbestos seen or suspected where the work is?' },
  'works.groundSearched': { label: 'Was the ground searched for cables and pipes?' },
  'works.gasBeside': { label: 'Is there a gas pipe beside the cable route?' },
  'works.promised': { label: 'What the customer was promised', lines: true },
  'works.contact': { label: 'Whom to ring on the day, if not the customer' },
  'works.drillings.through': { label: 'Through', list: true, options: named(SURFACES, SURFACE_NAMES) },
  'works.drillings.thicknessMm': { label: 'Thickness', usual: [100, 250, 450] },
  'works.drillings.where': { label: 'Where' },
  'works.rooms.room': { label: 'Room or place' },
  'help.applicant': { label: 'Who asks for money help?', list: true, options: named(APPLICANTS, APPLICANT_NAMES) },
  'help.offStreet': { label: 'Is there parking of their own, off the street?' },
  'help.outlets': { label: 'Bays with an outlet afterwards', usual: [1, 2, 5] },
  'help.preparedBays': { label: 'Bays prepared for later', usual: [0, 5, 10] },
};
