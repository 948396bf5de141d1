import type { Station } from '@keen-gauge/core/finding';
import { lazyPart } from '../kit/lazy-part';
import { PlaceStation } from './place/PlaceStation';

const AfterStation = lazyPart(() => import('./after/AfterStation'));
const ChargerStation = lazyPart(() => import('./charger/ChargerStation'));
const CircuitStation = lazyPart(() => import('./circuit/CircuitStation'));
const CommissioningStation = lazyPart(() => import('./after/CommissioningStation'));
const CompareStation = lazyPart(() => import('./charger/CompareStation'));
const CutOutStation = lazyPart(() => import('./cut-out/CutOutStation'));
const EarthingStation = lazyPart(() => import('./earthing/EarthingStation'));
const LimitStation = lazyPart(() => import('./charger/LimitStation'));
const LineupStation = lazyPart(() => import('./line-up/LineupStation'));
const LoadsStation = lazyPart(() => import('./loads/LoadsStation'));
const LoopStation = lazyPart(() => import('./loop/LoopStation'));
const PackStation = lazyPart(() => import('./pack/PackStation'));
const RouteStation = lazyPart(() => import('./route/RouteStation'));
const CrewStation = lazyPart(() => import('./crew/CrewStation'));
const MaterialsStation = lazyPart(() => import('./materials/MaterialsStation'));
const QuotationStation = lazyPart(() => import('./quotation/QuotationStation'));
const WorksStation = lazyPart(() => import('./works/WorksStation'));
const TestsStation = lazyPart(() => import('./after/TestsStation'));

/** Has every station come before it is gone to: the connection may be lost on the way from one to the next. */
export function fetchStationsAhead(): void {
  for (const station of [
    CutOutStation,
    LoopStation,
    LineupStation,
    EarthingStation,
    LoadsStation,
    ChargerStation,
    LimitStation,
    CircuitStation,
    CompareStation,
    RouteStation,
    PackStation,
    WorksStation,
    MaterialsStation,
    QuotationStation,
    CrewStation,
    CommissioningStation,
    TestsStation,
    AfterStation,
  ])
    station.fetchAhead();
}

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
    case 'works':
      return <WorksStation />;
    case 'materials':
      return <MaterialsStation />;
    case 'quotation':
      return <QuotationStation />;
    case 'crew':
      return <CrewStation />;
    case 'after':
      return <AfterStation />;
  }
}
