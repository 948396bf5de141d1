import type { Station } from '@keen-gauge/core/finding';
import { lazyPart } from '../kit/lazy-part';
import { CutOutStation } from './cut-out/CutOutStation';
import { EarthingStation } from './earthing/EarthingStation';
import { LineupStation } from './line-up/LineupStation';
import { LoadsStation } from './loads/LoadsStation';
import { LoopStation } from './loop/LoopStation';
import { PlaceStation } from './place/PlaceStation';
import { RouteStation } from './route/RouteStation';

const ChargerStation = lazyPart(() => import('./charger/ChargerStation'));
const CircuitStation = lazyPart(() => import('./circuit/CircuitStation'));
const LimitStation = lazyPart(() => import('./charger/LimitStation'));
const CompareStation = lazyPart(() => import('./charger/CompareStation'));
const CommissioningStation = lazyPart(() => import('./after/CommissioningStation'));
const TestsStation = lazyPart(() => import('./after/TestsStation'));
const AfterStation = lazyPart(() => import('./after/AfterStation'));
const PackStation = lazyPart(() => import('./pack/PackStation'));

/** The station at hand. */
export function StationView({ station }: { readonly station: Station }) {
  switch (station) {
    case 'place':
      return <PlaceStation />;
    case 'cut-out':
      return <CutOutStation />;
    case 'loop':
      return <LoopStation />;
    case 'line-up':
      return <LineupStation />;
    case 'earthing':
      return <EarthingStation />;
    case 'loads':
      return <LoadsStation />;
    case 'charger':
      return <ChargerStation />;
    case 'limit':
      return <LimitStation />;
    case 'compare':
      return <CompareStation />;
    case 'commissioning':
      return <CommissioningStation />;
    case 'tests':
      return <TestsStation />;
    case 'circuit':
      return <CircuitStation />;
    case 'route':
      return <RouteStation />;
    case 'pack':
      return <PackStation />;
    case 'after':
      return <AfterStation />;
  }
}
