import { assumedLoad } from '../survey/assumed';
import type { Load } from '../survey/load';

/** A usual set of loads for a kind of home, to be corrected rather than typed. Generic figures, no makers. */
export interface StartingSet {
  readonly id: string;
  readonly name: string;
  readonly loads: readonly Load[];
}

const ledLighting: Load = {
  id: 'lighting',
  class: 'lighting',
  label: 'LED lighting',
  powerW: 10,
  quantity: 18,
  fixedLed: true,
};
const rings: readonly Load[] = [
  { id: 'ring-down', class: 'socket-circuit', label: 'Ring, downstairs', currentA: 32 },
  { id: 'ring-up', class: 'socket-circuit', label: 'Ring, upstairs', currentA: 32 },
];
const kitchenAppliances: readonly Load[] = [
  { id: 'kettle', class: 'socket-appliance', label: 'Kettle', powerW: 3000 },
  { id: 'washing-machine', class: 'socket-appliance', label: 'Washing machine', powerW: 2100 },
  { id: 'dishwasher', class: 'socket-appliance', label: 'Dishwasher', powerW: 2000 },
  { id: 'fridge-freezer', class: 'socket-appliance', label: 'Fridge-freezer', powerW: 200 },
  { id: 'screens', class: 'socket-appliance', label: 'Screens and chargers', powerW: 400 },
];
const cooker: Load = {
  id: 'cooker',
  class: 'cooking',
  label: 'Electric cooker',
  powerW: 7000,
  controlUnitsWithSocket: 1,
};
const shower: Load = { id: 'shower', class: 'instantaneous-water-heating', label: 'Electric shower', powerW: 9500 };
const immersion: Load = {
  id: 'immersion',
  class: 'thermostatic-water-heating',
  label: 'Immersion heater',
  powerW: 3000,
};

export const STARTING_SETS: readonly StartingSet[] = [
  {
    id: 'gas-heated',
    name: 'Gas-heated home',
    loads: [
      ledLighting,
      cooker,
      ...rings,
      { id: 'boiler', class: 'heating-and-power', label: 'Boiler and controls', powerW: 150 },
      ...kitchenAppliances,
    ],
  },
  {
    id: 'gas-heated-shower',
    name: 'Gas-heated home, electric shower',
    loads: [
      ledLighting,
      cooker,
      shower,
      ...rings,
      { id: 'boiler', class: 'heating-and-power', label: 'Boiler and controls', powerW: 150 },
      ...kitchenAppliances,
    ],
  },
  {
    id: 'all-electric-flat',
    name: 'All-electric flat',
    loads: [
      { ...ledLighting, quantity: 10 },
      { ...cooker, powerW: 6000 },
      { id: 'ring', class: 'socket-circuit', label: 'Ring', currentA: 32 },
      immersion,
      { id: 'panel-heaters', class: 'heating-and-power', label: 'Panel heaters', powerW: 1500, quantity: 3 },
      shower,
      ...kitchenAppliances,
    ],
  },
  {
    id: 'gas-heated-flat',
    name: 'Gas-heated flat',
    loads: [
      { ...ledLighting, quantity: 9 },
      { ...cooker, powerW: 6000 },
      { id: 'ring', class: 'socket-circuit', label: 'Ring', currentA: 32 },
      { id: 'boiler', class: 'heating-and-power', label: 'Boiler and controls', powerW: 150 },
      ...kitchenAppliances,
    ],
  },
  {
    id: 'all-electric-home',
    name: 'All-electric home',
    loads: [
      ledLighting,
      { ...cooker, powerW: 9000 },
      ...rings,
      immersion,
      shower,
      {
        id: 'storage-heaters',
        class: 'storage-heating',
        label: 'Storage heaters',
        powerW: 2550,
        quantity: 4,
        season: 'heating',
      },
      {
        id: 'panel-heaters',
        class: 'heating-and-power',
        label: 'Panel heaters',
        powerW: 1500,
        quantity: 2,
        season: 'heating',
      },
      ...kitchenAppliances,
    ],
  },
  {
    id: 'heat-pump-home',
    name: 'Heat pump home',
    loads: [
      ledLighting,
      cooker,
      ...rings,
      {
        id: 'heat-pump',
        class: 'heat-pump',
        label: 'Heat pump',
        currentA: 16,
        backupHeaterW: 3000,
        backupWithCompressor: 'unknown',
      },
      immersion,
      ...kitchenAppliances,
    ],
  },
  {
    id: 'small-shop',
    name: 'Small shop',
    loads: [
      { ...ledLighting, powerW: 30, quantity: 16 },
      { id: 'ring', class: 'socket-circuit', label: 'Shop sockets', currentA: 32 },
      { id: 'sockets-back', class: 'socket-circuit', label: 'Back room sockets', currentA: 20 },
      { id: 'till', class: 'socket-appliance', label: 'Till and network', powerW: 250 },
      { id: 'display-fridge', class: 'socket-appliance', label: 'Display fridge', powerW: 700, powerFactor: 0.8 },
      { id: 'kettle', class: 'socket-appliance', label: 'Kettle', powerW: 3000 },
      {
        id: 'air-curtain',
        class: 'heating-and-power',
        label: 'Over-door air curtain',
        powerW: 4500,
        season: 'heating',
      },
      {
        id: 'panel-heaters',
        class: 'heating-and-power',
        label: 'Panel heaters',
        powerW: 2000,
        quantity: 2,
        season: 'heating',
      },
      { id: 'cooling', class: 'motor', label: 'Air conditioning', powerW: 3500, powerFactor: 0.9, season: 'cooling' },
      { id: 'hand-wash', class: 'instantaneous-water-heating', label: 'Hand-wash heater', powerW: 3000 },
    ],
  },
  {
    id: 'guest-house',
    name: 'Guest house',
    loads: [
      { ...ledLighting, quantity: 40 },
      { ...cooker, powerW: 12000 },
      { id: 'ring-down', class: 'socket-circuit', label: 'Ring, ground floor', currentA: 32 },
      { id: 'ring-up', class: 'socket-circuit', label: 'Ring, first floor', currentA: 32 },
      { id: 'ring-top', class: 'socket-circuit', label: 'Ring, second floor', currentA: 32 },
      { id: 'showers', class: 'instantaneous-water-heating', label: 'Electric showers', powerW: 8500, quantity: 4 },
      immersion,
      { id: 'tumble-dryer', class: 'socket-appliance', label: 'Tumble dryer', powerW: 2500 },
      {
        id: 'kettles',
        class: 'socket-appliance',
        label: 'Kettles in rooms',
        powerW: 1000,
        quantity: 6,
        mainRoom: false,
      },
      ...kitchenAppliances,
    ],
  },
];

/** The loads of a set as they go into a survey: assumed until somebody confirms or corrects each. */
export function startingLoads(set: StartingSet, fresh: (kind: string) => string): Load[] {
  return set.loads.map((load) => assumedLoad({ ...load, id: fresh(load.id) }));
}
