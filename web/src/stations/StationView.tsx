import type { Station } from '@keen-gauge/core/finding';
import { lazy, Suspense } from 'react';
import { Waiting } from '../app/Waiting';
import { CutOutStation } from './cut-out/CutOutStation';
import { EarthingStation } from './earthing/EarthingStation';
import { LineupStation } from './line-up/LineupStation';
import { LoadsStation } from './loads/LoadsStation';
import { LoopStation } from './loop/LoopStation';
import { PlaceStation } from './place/PlaceStation';
import { RouteStation } from './route/RouteStation';

const ChargerStation = lazy(() => import('./charger/ChargerStation'));
const CircuitStation = lazy(() => import('./circuit/CircuitStation'));
const AfterStation = lazy(() => import('./after/AfterStation'));
const PackStation = lazy(() => import('./pack/PackStation'));

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
      return (
        <Suspense fallback={<Waiting />}>
          <ChargerStation />
        </Suspense>
      );
    case 'circuit':
      return (
        <Suspense fallback={<Waiting />}>
          <CircuitStation />
        </Suspense>
      );
    case 'route':
      return <RouteStation />;
    case 'pack':
      return (
        <Suspense fallback={<Waiting />}>
          <PackStation />
        </Suspense>
      );
    case 'after':
      return (
        <Suspense fallback={<Waiting />}>
          <AfterStation />
        </Suspense>
      );
  }
}
