import type { PriceBook, PriceItem } from '@keen-gauge/core/price/price-book';
import { equipmentItem } from '@keen-gauge/core/materials/items';
import { starterBook } from '@keen-gauge/core/price/starter';
import type { Scheme } from '@keen-gauge/core/schemes/scheme';
import { DEMO_EQUIPMENT } from './equipment';

/** What the made-up makers’ equipment costs, in the order of its list. */
const EQUIPMENT_PENCE = [46_500, 51_900, 42_800] as const;

/** Of which made-up counter an item is bought. */
function supplierOf({ id }: PriceItem): string {
  if (id.startsWith('equipment-')) return 'Brindle Direct';
  return id.startsWith('cable-') || id.startsWith('tails-') ? 'Weirside Cable' : 'Netherby Trade Counter';
}

/** The demo firm’s own price list. */
export function demoBook(): PriceBook {
  const book = starterBook();
  const own = DEMO_EQUIPMENT.map(({ id, name }, at): PriceItem => ({
    id: equipmentItem(id),
    name,
    unit: 'each',
    buyPence: EQUIPMENT_PENCE[at] ?? 45_000,
    markUpPercent: 18,
  }));
  return {
    ...book,
    items: [...own, ...book.items].map((item, at) => ({
      ...item,
      supplier: supplierOf(item),
      supplierCode: `${item.unit === 'm' ? 'M' : 'E'}${String(1000 + at)}`,
      ...(item.id.startsWith('cable-flat') ? { soldIn: 50 } : {}),
      ...(item.id.startsWith('clip-') ? { soldIn: 100 } : {}),
    })),
    charges: [
      { option: 'fuse-upgrade', pence: 0 },
      { option: 'un-loop', pence: 0 },
      { option: 'three-phase', pence: 385_000 },
    ],
    van: [
      { id: 'labels-set', quantity: 4 },
      { id: 'wall-seal', quantity: 6 },
      { id: 'clip-6', quantity: 120 },
    ],
    terms: {
      ...book.terms,
      starter: false,
      learnFrom: 4,
      conditions: 'A quarter when you accept, the rest when it is handed over. Work stays ours until it is paid.',
    },
  };
}

/** Made-up schemes of money help. */
export const DEMO_SCHEMES: readonly Scheme[] = [
  {
    id: 'flats',
    name: 'Weir County help for flats',
    source: 'The county’s page, made up',
    who: ['owner', 'tenant', 'landlord'],
    offStreet: true,
    sharePercent: 75,
    outletCapPence: 35_000,
    preparedPence: 5_000,
    buildingCapPence: 1_500_000,
    evidence: [
      { id: 'parking', text: 'Proof of parking' },
      { id: 'before', text: 'Photographs before the work' },
      { id: 'after', text: 'Photographs after the work' },
    ],
  },
];
