import type { Load } from '../survey/load';
import type { LoadClass } from '../survey/words/words';

/** A common appliance: generic, with its usual power. The plate of the one at hand always goes before it. */
export interface Appliance {
  readonly name: string;
  readonly class: LoadClass;
  readonly powerW: number;
  readonly powerFactor?: number;
  /** Other words people use for it. */
  readonly also?: string;
}

type Line = readonly [name: string, powerW: number, also?: string, powerFactor?: number];

function of(kind: LoadClass, ...lines: readonly Line[]): Appliance[] {
  return lines.map(([name, powerW, also, powerFactor]) => ({
    name,
    class: kind,
    powerW,
    ...(also === undefined || also === '' ? {} : { also }),
    ...(powerFactor === undefined ? {} : { powerFactor }),
  }));
}

/** Usual powers as plates of such appliances give them; an assumption until the plate has been read. */
export const APPLIANCES: readonly Appliance[] = [
  ...of(
    'socket-appliance',
    ['Kettle', 3000, 'tea'],
    ['Toaster, two slots', 900],
    ['Toaster, four slots', 1800],
    ['Microwave oven', 1300, '', 0.95],
    ['Combination microwave', 2700, '', 0.95],
    ['Air fryer', 1700],
    ['Slow cooker', 250],
    ['Rice cooker', 700],
    ['Bread maker', 600],
    ['Coffee machine', 1450, 'espresso'],
    ['Sandwich toaster', 900],
    ['Deep fryer', 2000],
    ['Table-top hob', 2000],
    ['Food mixer', 800],
    ['Blender', 600],
    ['Fridge', 120, 'refrigerator', 0.8],
    ['Freezer', 150, '', 0.8],
    ['Fridge-freezer', 200, '', 0.8],
    ['Wine cooler', 120, '', 0.8],
    ['Washing machine', 2100],
    ['Washer-dryer', 2200],
    ['Tumble dryer, vented', 2500],
    ['Tumble dryer, heat pump', 800],
    ['Dishwasher', 2000],
    ['Iron', 2600],
    ['Steam generator iron', 2800],
    ['Vacuum cleaner', 850, 'hoover'],
    ['Carpet cleaner', 1500],
    ['Television', 120],
    ['Television, large', 250],
    ['Set-top box', 25],
    ['Games console', 200],
    ['Desktop computer', 250, 'PC'],
    ['Gaming computer', 700, 'PC'],
    ['Laptop', 90],
    ['Printer', 500],
    ['Router and network', 30],
    ['Hi-fi', 150],
    ['Hair dryer', 2000],
    ['Hair straighteners', 170],
    ['Electric blanket', 120],
    ['Fan heater', 2000],
    ['Oil-filled radiator, portable', 2000],
    ['Halogen heater', 1200],
    ['Dehumidifier', 500, '', 0.85],
    ['Portable air conditioner', 1200, '', 0.9],
    ['Pedestal fan', 60],
    ['Aquarium', 200],
    ['Vivarium heating', 150],
    ['Sewing machine', 100],
    ['Lawn mower', 1600, '', 0.9],
    ['Hedge trimmer', 550, '', 0.9],
    ['Pressure washer', 2200, '', 0.9],
    ['Garden shredder', 2500, '', 0.9],
    ['Electric barbecue', 2200],
    ['Patio heater', 2000],
    ['Bench grinder', 350, '', 0.8],
    ['Table saw', 1800, '', 0.85],
    ['Compressor, small', 1500, '', 0.8],
    ['Power drill', 800],
    ['Battery chargers', 200],
    ['Bicycle charger', 150, 'e-bike'],
    ['Stair lift charger', 150],
    ['Profiling bed', 200],
    ['Oxygen concentrator', 350, '', 0.9],
  ),
  ...of(
    'cooking',
    ['Electric cooker', 10500, 'range'],
    ['Oven, single', 3000],
    ['Oven, double', 5000],
    ['Ceramic hob', 6500],
    ['Induction hob', 7400],
    ['Solid plate hob', 6000],
    ['Range cooker, electric', 14000],
    ['Heat-storage range', 3000],
    ['Warming drawer', 400],
    ['Steam oven', 3400],
    ['Commercial fryer', 6000],
    ['Commercial oven', 9000],
    ['Griddle', 3000],
    ['Salamander grill', 4000],
    ['Bain-marie', 2000],
  ),
  ...of(
    'instantaneous-water-heating',
    ['Electric shower, 7.5 kW', 7500],
    ['Electric shower, 8.5 kW', 8500],
    ['Electric shower, 9.5 kW', 9500],
    ['Electric shower, 10.5 kW', 10500],
    ['Hand-wash heater', 3000, 'over-sink'],
    ['Instantaneous heater, multi-point', 12000],
  ),
  ...of(
    'thermostatic-water-heating',
    ['Immersion heater', 3000],
    ['Under-sink water heater', 2000],
    ['Boiling-water tap', 1600],
    ['Water boiler, catering', 3000, 'urn'],
  ),
  ...of(
    'heating-and-power',
    ['Gas boiler and controls', 150],
    ['Oil boiler', 250],
    ['Panel heater, 1 kW', 1000, 'convector'],
    ['Panel heater, 1.5 kW', 1500, 'convector'],
    ['Panel heater, 2 kW', 2000, 'convector'],
    ['Towel rail', 150],
    ['Bathroom wall heater', 1500],
    ['Infra-red panel', 600],
    ['Kickspace heater', 2000, 'plinth'],
    ['Over-door air curtain', 4500],
    ['Waste disposal unit', 500, 'macerator'],
    ['Cooker hood', 200],
    ['Autoclave', 2200],
    ['X-ray set', 3500],
    ['Server cabinet', 1500],
    ['Hand dryer', 1600],
    ['Display fridge', 700, '', 0.8],
    ['Cold room', 2500, '', 0.8],
  ),
  ...of(
    'storage-heating',
    ['Storage heater, small', 1700],
    ['Storage heater, medium', 2550],
    ['Storage heater, large', 3400],
    ['Electric boiler, storage', 9000],
  ),
  ...of(
    'floor-warming',
    ['Floor warming, bathroom', 500, 'underfloor'],
    ['Floor warming, kitchen', 1500, 'underfloor'],
    ['Floor warming, whole floor', 6000, 'underfloor'],
  ),
  ...of(
    'motor',
    ['Central heating pump', 60, 'circulator', 0.9],
    ['Shower pump', 600, '', 0.85],
    ['Pressure set', 900, 'booster pump', 0.85],
    ['Sewage pump', 1100, 'lift station', 0.8],
    ['Borehole pump', 1500, '', 0.8],
    ['Pond pump', 120, '', 0.85],
    ['Pool pump', 1100, '', 0.85],
    ['Air conditioning, one room', 1200, '', 0.9],
    ['Air conditioning, multi-split', 3500, '', 0.9],
    ['Ventilation with heat recovery', 150],
    ['Garage door', 350, '', 0.8],
    ['Gate motors', 400, '', 0.8],
    ['Passenger lift, small', 3000, '', 0.75],
    ['Workshop lathe', 1500, '', 0.8],
    ['Dust extractor', 1100, '', 0.85],
  ),
  ...of(
    'heat-pump',
    ['Heat pump, 5 kW output', 2200, 'ASHP', 0.95],
    ['Heat pump, 9 kW output', 3800, 'ASHP', 0.95],
    ['Heat pump, 14 kW output', 5500, 'ASHP', 0.95],
    ['Pool heat pump', 2500, '', 0.95],
  ),
  ...of(
    'ev-charging',
    ['Vehicle charger, 3.7 kW', 3680],
    ['Vehicle charger, 7.4 kW', 7360],
    ['Vehicle charging cable on a socket', 2300],
  ),
  ...of(
    'hot-tub-sauna-kiln-welder',
    ['Hot tub, 13 A', 3000, 'spa'],
    ['Hot tub, 32 A', 7300, 'spa'],
    ['Sauna', 6000],
    ['Steam room', 6000],
    ['Kiln, small', 3000],
    ['Kiln, large', 9000],
    ['Welder', 5500, '', 0.7],
  ),
];

/** Appliances with every word of the search in their name, the other words for them, or the name of their class. */
export function findAppliances(search: string, most = 12): Appliance[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const text = ({ name, also, class: kind }: Appliance): string => `${name} ${also ?? ''} ${kind}`.toLowerCase();
  return APPLIANCES.filter((appliance) => words.every((word) => text(appliance).includes(word)))
    .sort((a, b) => Number(startsWith(b, words)) - Number(startsWith(a, words)))
    .slice(0, most);
}

function startsWith({ name }: Appliance, words: readonly string[]): boolean {
  return name.toLowerCase().startsWith(words[0] ?? '');
}

/** The appliance as a load of a survey. */
export function applianceLoad({ name, class: kind, powerW, powerFactor }: Appliance, id: string): Load {
  // A usual power nobody has read off a plate is a guess.
  return { id, class: kind, label: name, powerW, assumed: true, ...(powerFactor === undefined ? {} : { powerFactor }) };
}
