/** A starter list: generic items and hours, at round figures that every firm replaces by its own. */
import {
  cableItem,
  cableWords,
  deviceItem,
  deviceWords,
  equipmentItem,
  fixingItem,
  glandItem,
  PLAIN_ITEMS,
  type PlainItem,
  type RunCable,
} from '../materials/items';
import { GLAND_SIZES } from '../materials/usual';
import { USUAL_EQUIPMENT } from '../firm/equipment';
import type { PriceBook, PriceItem, TaxRate, WorkRate } from './price-book';
import type { Task } from './tasks';

/** Terms a firm begins with. */
export const STARTER_TERMS = {
  hourPence: 4800,
  hourCostPence: 2600,
  wastePercent: 10,
  endM: 0.5,
  highFromM: 2.5,
  highFactor: 1.5,
  validDays: 30,
  taxClass: 'standard',
  learnFrom: 5,
  detail: 'plain',
} as const;

/** Tax as dated data. Source: value added tax, standard rate since 2011 and relief for energy-saving materials until 2027; a firm keeps its own. */
export const STARTER_TAXES: readonly TaxRate[] = [
  { taxClass: 'standard', name: 'VAT, standard rate', percent: 20, from: '2011-01-04' },
  { taxClass: 'energy-saving', name: 'VAT, energy-saving materials', percent: 0, from: '2022-04-01', to: '2027-03-31' },
  { taxClass: 'none', name: 'Not registered for VAT', percent: 0 },
];

const item = (id: string, name: string, unit: PriceItem['unit'], buyPence: number, markUpPercent = 25): PriceItem => ({
  id,
  name,
  unit,
  buyPence,
  markUpPercent,
});

/** A metre of cable by what copper is in it: a fixed part, and so much for each core and square millimetre. */
const FLAT_SIZES = [1, 1.5, 2.5, 4, 6, 10, 16] as const;
const ARMOURED_SIZES = [1.5, 2.5, 4, 6, 10, 16, 25, 35] as const;

function cables(): PriceItem[] {
  const cable = (type: RunCable, cores: number, sizeMm2: number, buyPence: number): PriceItem =>
    item(cableItem(type, cores, sizeMm2), cableWords(type, cores, sizeMm2), 'm', Math.round(buyPence));
  return [
    ...FLAT_SIZES.map((mm2) => cable('flat-twin', 3, mm2, 30 + 2.6 * mm2 * 12)),
    ...[2, 3, 4, 5].flatMap((cores) =>
      ARMOURED_SIZES.map((mm2) => cable('armoured', cores, mm2, 90 + cores * mm2 * 17)),
    ),
  ];
}

function fixings(): PriceItem[] {
  return [
    ...FLAT_SIZES.map((mm2) => item(fixingItem('flat-twin', mm2), `Clip for flat twin, ${mm2} mm²`, 'each', 5)),
    ...ARMOURED_SIZES.map((mm2) => item(fixingItem('armoured', mm2), `Cleat for armoured, ${mm2} mm²`, 'each', 45)),
    ...GLAND_SIZES.map((size, at) =>
      item(glandItem(size), `Gland for armoured cable, ${size} mm`, 'each', 320 + 140 * at),
    ),
  ];
}

const RATINGS = [6, 10, 16, 20, 25, 32, 40, 50, 63] as const;

function devices(): PriceItem[] {
  return RATINGS.flatMap((amperes) =>
    (['B', 'C'] as const).flatMap((curve) => [
      item(deviceItem(curve, amperes, 1, null), deviceWords(curve, amperes, 1, null), 'each', 520),
      item(deviceItem(curve, amperes, 3, null), deviceWords(curve, amperes, 3, null), 'each', 2100),
      ...(['A', 'F', 'B'] as const).map((type) =>
        item(
          deviceItem(curve, amperes, 1, type),
          deviceWords(curve, amperes, 1, type),
          'each',
          { A: 2400, F: 5200, B: 14500 }[type],
        ),
      ),
    ]),
  );
}

const PLAIN: Readonly<Record<PlainItem, readonly [PriceItem['unit'], number]>> = {
  'clamp-ct': ['each', 2800],
  'clamp-wireless': ['each', 6500],
  'data-cable': ['m', 65],
  'data-plug': ['each', 90],
  'duct-50': ['m', 210],
  'warning-tape': ['m', 25],
  'trunking-25': ['m', 240],
  'conduit-25': ['m', 190],
  'tray-75': ['m', 620],
  transition: ['each', 180],
  'wall-seal': ['each', 240],
  'board-small': ['each', 4200],
  'board-10-way': ['each', 11500],
  'board-outdoor': ['each', 7600],
  'split-block': ['each', 1600],
  'tails-25': ['m', 420],
  'isolator-100': ['each', 2300],
  'switch-fuse': ['each', 5200],
  'rcd-100-s': ['each', 6800],
  'surge-device': ['each', 4900],
  'open-pen-device': ['each', 14000],
  'electrode-rod': ['each', 4600],
  'earth-conductor-10': ['m', 180],
  'earth-conductor-16': ['m', 270],
  'bonding-clamp': ['each', 190],
  'labels-set': ['each', 450],
  'fixings-set': ['each', 600],
  post: ['each', 18500],
  'rcd-4p-63-b': ['each', 29000],
  'tap-box': ['each', 7400],
  'lock-kit': ['each', 8800],
  'energy-meter': ['each', 9600],
  'own-sim-router': ['each', 12500],
};

function plain(): PriceItem[] {
  return (Object.keys(PLAIN_ITEMS) as PlainItem[]).map((id) => item(id, PLAIN_ITEMS[id], PLAIN[id][0], PLAIN[id][1]));
}

const EQUIPMENT_PENCE: Readonly<Record<string, number>> = {
  'usual-dial': 29000,
  'usual-wired': 48000,
  'usual-wireless': 52000,
  'usual-small': 24000,
  'usual-three-phase': 69000,
};

function equipment(): PriceItem[] {
  return USUAL_EQUIPMENT.map(({ id, name }) => item(equipmentItem(id), name, 'each', EQUIPMENT_PENCE[id] ?? 45000, 20));
}

const rate = (task: Task, hours: number, more: Partial<WorkRate> = {}): WorkRate => ({ task, hours, ...more });
const by = (hours: Readonly<Record<string, number>>): NonNullable<WorkRate['by']> =>
  Object.entries(hours).map(([id, each]) => ({ id, hours: each }));

/** Hours a firm begins with. Source: house rule; the firm corrects them from what its jobs took. */
export const STARTER_RATES: readonly WorkRate[] = [
  rate('fit-equipment', 1.5),
  rate('fit-clamp', 0.5),
  rate('run-cable', 0.1, {
    by: by({
      brick: 0.1,
      block: 0.1,
      stone: 0.16,
      render: 0.13,
      timber: 0.07,
      plasterboard: 0.08,
      cladding: 0.12,
      steel: 0.12,
    }),
  }),
  rate('run-data', 0.04),
  rate('dig', 0.5, { by: by({ soil: 0.35, gravel: 0.4, paving: 0.7, tarmac: 0.9, concrete: 1.2 }) }),
  rate('lay-in-duct', 0.05),
  rate('drill', 0.15, {
    by: by({ brick: 0.12, block: 0.1, stone: 0.4, render: 0.15, timber: 0.05, plasterboard: 0.03 }),
  }),
  rate('terminate', 0.3),
  rate('fit-device', 0.4),
  rate('fit-board', 1.5),
  rate('change-board', 5),
  rate('fit-surge', 0.5),
  rate('tails', 1),
  rate('electrode', 1),
  rate('bonding', 0.75),
  rate('remove', 0.5),
  rate('furniture', 0.5, { people: 2 }),
  rate('floor', 1, { people: 2 }),
  rate('decoration', 0.75),
  rate('garden', 0.75),
  rate('test', 0.75),
  rate('commission', 0.5),
  rate('travel', 0),
];

/** A price book to begin with. */
export function starterBook(): PriceBook {
  return {
    items: [...equipment(), ...cables(), ...fixings(), ...devices(), ...plain()],
    rates: STARTER_RATES.map((each) => ({ ...each })),
    taxes: STARTER_TAXES.map((each) => ({ ...each })),
    charges: [],
    van: [],
    terms: { ...STARTER_TERMS, starter: true },
  };
}
