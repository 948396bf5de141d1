import { lazyPart, type LazyPart } from '../kit/lazy-part';
import type { View } from '../stations/station-names';

/** What draws each view of a survey. Each is fetched by itself, so that a phone that opens one does not wait for the others. */
const PARTS: Readonly<Record<View, LazyPart<object>>> = {
  place: lazyPart(() => import('../stations/place/PlaceStation')),
  'cut-out': lazyPart(() => import('../stations/cut-out/CutOutStation')),
  loop: lazyPart(() => import('../stations/loop/LoopStation')),
  'line-up': lazyPart(() => import('../stations/line-up/LineupStation')),
  earthing: lazyPart(() => import('../stations/earthing/EarthingStation')),
  loads: lazyPart(() => import('../stations/loads/LoadsStation')),
  charger: lazyPart(() => import('../stations/charger/ChargerStation')),
  limit: lazyPart(() => import('../stations/charger/LimitStation')),
  circuit: lazyPart(() => import('../stations/circuit/CircuitStation')),
  compare: lazyPart(() => import('../stations/charger/CompareStation')),
  route: lazyPart(() => import('../stations/route/RouteStation')),
  pack: lazyPart(() => import('../stations/pack/PackStation')),
  works: lazyPart(() => import('../stations/works/WorksStation')),
  materials: lazyPart(() => import('../stations/materials/MaterialsStation')),
  quotation: lazyPart(() => import('../stations/quotation/QuotationStation')),
  crew: lazyPart(() => import('../stations/crew/CrewStation')),
  commissioning: lazyPart(() => import('../stations/after/CommissioningStation')),
  tests: lazyPart(() => import('../stations/after/TestsStation')),
  after: lazyPart(() => import('../stations/after/AfterStation')),
  next: lazyPart(() => import('../pass/PassView')),
  photos: lazyPart(() => import('../photos/PhotosView')),
  'to-look': lazyPart(() => import('../walk/LookView')),
  review: lazyPart(() => import('../review/ReviewView')),
  customer: lazyPart(() => import('../customer/CustomerView')),
  pool: lazyPart(() => import('../pool/PoolView')),
  site: lazyPart(() => import('../site/SiteView')),
};

/** The view an address names; the first station where it names none. */
export const viewAt = (address: string | undefined): View =>
  address !== undefined && Object.hasOwn(PARTS, address) ? (address as View) : 'place';

/** Has one come while something else is still being waited for. */
export function fetchView(view: View): void {
  PARTS[view].fetchAhead();
}

/**
 * Has every one come before it is gone to: the connection may be lost on the way from one to the next. All are asked for at once, and each by itself, so that a key that is
 * pressed meanwhile waits for the asking of one alone.
 */
export async function fetchEveryView(left: AbortSignal): Promise<void> {
  for (const part of Object.values(PARTS)) {
    if (left.aborted) return;
    part.fetchAhead();
    await new Promise((resolve) => setTimeout(resolve));
  }
}

/** The view at hand. */
export function ViewPart({ view }: { readonly view: View }) {
  const Part = PARTS[view];
  return <Part />;
}
