import { ANSWERS, type Answer } from './words/words';
import { SUPPLY_OWNERS, type SupplyOwner } from './words/site-words';
import { Count, Id, ListOf, OneOf, Part, Quantity, Reference, Text } from './fields';

/** Whose one of the supplies behind a building’s intake is. */
export class SiteSupply {
  @Id() id: string;
  /** Its own limiting device. */
  @Reference('supply.nodes') nodeId?: string;
  /** Left out, a dwelling’s. */
  @OneOf(SUPPLY_OWNERS) whose?: SupplyOwner;
  @Text(200) customerName?: string;
  @Text(40) meterPointNumber?: string;
}

/** What bays fed from one supply cost, once and for each of them, and whether whoever has to agrees. */
export class SiteTerms {
  /** Shared supplies: whoever manages the building; for a new one the operator too. */
  @OneOf(ANSWERS) agreed?: Answer;
  @Quantity('£', 0, 10_000_000) oncePounds?: number;
  @Quantity('£', 0, 1_000_000) eachPounds?: number;
  /** Own supplies: each metre of the way. */
  @Quantity('£/m', 0, 10_000) metrePounds?: number;
  /** Money help for each bay, for the whole building at most, and from how many bays. */
  @Quantity('£', 0, 1_000_000) helpEachPounds?: number;
  @Quantity('£', 0, 10_000_000) helpMostPounds?: number;
  @Count(1, 1000) helpFromBays?: number;
}

/** Several supplies behind one building intake, and what feeding the bays from each would take. */
export class Site {
  /** Left out, every supply is a dwelling’s. */
  @ListOf(() => SiteSupply, 200) supplies?: SiteSupply[];
  /** The operator’s figures for the group demand of dwellings, where they are known: for each, and once. */
  @Quantity('kW', 0, 50) groupEachKw?: number;
  @Quantity('kW', 0, 500) groupOnceKw?: number;
  /** The fuse of a new supply for charging, and how long it would take. */
  @Quantity('A', 1, 5000) newFuseA?: number;
  @Quantity('weeks', 0, 520) newWeeks?: number;
  @Part(() => SiteTerms) own?: SiteTerms;
  @Part(() => SiteTerms) landlord?: SiteTerms;
  @Part(() => SiteTerms) anew?: SiteTerms;
}
