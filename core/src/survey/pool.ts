import { ANSWERS, LAID, type Answer, type Laid } from './words/words';
import { BAY_SUPPLIES, CROSSED, type BaySupply, type Crossed } from './words/site-words';
import { POOL_POLICIES, type PoolPolicy } from './words/pool-words';
import { Count, Id, ListOf, OneOf, Part, Quantity, Reference, Text, YesNo } from './fields';

/** An outlet of a row of bays, in the order of the row. */
export class PoolOutlet {
  @Id() id: string;
  @Text(60) label?: string;
  @OneOf([1, 3]) phases?: 1 | 3;
  /** The line it begins with; left out, as proposed along the row. */
  @OneOf(['L1', 'L2', 'L3']) firstLine?: 'L1' | 'L2' | 'L3';
  @Quantity('A', 6, 125) mostA?: number;
  /** From where the trunk begins. */
  @Quantity('m', 0, 2000) alongM?: number;
  /** Only a tap for now: the trunk is made for it, and its outlet comes later. */
  @YesNo() prepared?: boolean;

  /** Where it could hang instead: the limiting device of its owner’s supply, and the way from there. */
  @Reference('supply.nodes') ownNodeId?: string;
  @Quantity('m', 0, 2000) ownRouteM?: number;
  @OneOf(CROSSED) crosses?: Crossed;
  /** Who has to agree to that way, and whether they do. */
  @Text(200) mustAgree?: string;
  @OneOf(ANSWERS) agreed?: Answer;
  /** Which supply feeds it, where somebody has settled that. */
  @OneOf(BAY_SUPPLIES) pinned?: BaySupply;
}

/** Drivers of one kind. Hours are of the clock; spreads are standard deviations. */
export class PoolDrivers {
  @Id() id: string;
  @Text(60) label?: string;
  /** How many of all. */
  @Count(0, 1000) share?: number;
  @Quantity('h', 0, 24) arrivesH?: number;
  @Quantity('h', 0, 12) arrivesSpreadH?: number;
  @Quantity('h', 0, 24) leavesH?: number;
  @Quantity('h', 0, 12) leavesSpreadH?: number;
  @Quantity('kWh', 0, 200) kwhPerDay?: number;
  @Quantity('kWh', 0, 100) kwhSpread?: number;
  @Quantity('', 0, 7) daysAWeek?: number;
  @Quantity('A', 6, 125) onboardA?: number;
  @OneOf([1, 3]) lines?: 1 | 3;
}

/** The cable or bus along a row of bays, as tabulated or as its maker says. */
export class PoolTrunk {
  /** As it was found or chosen: what is bought. Of four cores and one for protection. */
  @Quantity('mm²', 0.5, 1000) sizeMm2?: number;
  @OneOf(LAID) laid?: Laid;
  @Quantity('mV/A/m', 0.01, 100) mVPerAM?: number;
  @Quantity('A', 1, 5000) capacityA?: number;
  /** Line and protective conductor together, hot. */
  @Quantity('mΩ/m', 0.01, 100) loopMOhmPerM?: number;
  @Quantity('Ω', 0, 20) loopAtStartOhm?: number;
  @Quantity('Ω', 0, 20) mostLoopOhm?: number;
}

/** What the row costs its owner, and what a driver would pay from an own supply instead. */
export class PoolCosts {
  @Quantity('p/kWh', 0, 500) energyPencePerKwh?: number;
  @Quantity('p/day', 0, 100_000) standingPencePerDay?: number;
  @Quantity('£/year', 0, 1_000_000) upkeepPounds?: number;
  @Quantity('£', 0, 10_000_000) installationPounds?: number;
  /** In which the installation is to be earned back. */
  @Count(1, 50) overYears?: number;
  @Quantity('miles', 0, 100_000) milesPerYear?: number;
  @Quantity('p/kWh', 0, 500) ownEnergyPencePerKwh?: number;
  @Quantity('£', 0, 1_000_000) ownInstallationPounds?: number;
}

/** How many cars there are to be in a year. */
export class PoolYearCars {
  @Id() id: string;
  @Count(2000, 2200) year?: number;
  @Count(0, 1000) cars?: number;
}

/** Several outlets behind one set-point, and how many cars are to come. */
export class Pool {
  @ListOf(() => PoolOutlet, 200) outlets: PoolOutlet[] = [];
  /** The part of the supply it hangs from; left out, this supply's own fuse. */
  @Reference('supply.nodes') nodeId?: string;
  /** Where its clamps sit; left out, where it hangs. */
  @Reference('supply.nodes') clampNodeId?: string;
  @Quantity('A', 0, 3000) setPointA?: number;
  /** Of each outlet, where a clamp or its link is lost. */
  @Quantity('A', 0, 125) failSafeA?: number;
  @OneOf(POOL_POLICIES) policy?: PoolPolicy;
  @Quantity('min', 1, 240) turnMin?: number;
  /** Everything else on each line, where it is not taken from the loads: in the evening from 17 to 22 h, and otherwise. */
  @Quantity('A', 0, 3000) otherEveningA?: number;
  @Quantity('A', 0, 3000) otherElseA?: number;
  /** Left out, usual commuters, shift workers and visitors. */
  @ListOf(() => PoolDrivers, 10) drivers?: PoolDrivers[];
  @Count(2000, 2200) firstYear?: number;
  @Count(0, 1000) startCars?: number;
  @Count(0, 1000) ceilingCars?: number;
  @Count(2000, 2200) middleYear?: number;
  /** Cars year by year; left out, along the curve. */
  @ListOf(() => PoolYearCars, 50) carsByYear?: PoolYearCars[];
  @Part(() => PoolTrunk) trunk?: PoolTrunk;
  @Part(() => PoolCosts) costs?: PoolCosts;
}
