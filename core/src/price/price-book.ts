import { IsIn } from 'class-validator';
import { Count, Day, Id, ListOf, OneOf, Part, Quantity, RequiredText, SomeOf, Text, YesNo } from '../survey/fields';
import { OPTION_KINDS, type OptionKind } from '../survey/words/option-words';
import { TASKS, type Task } from './tasks';

/** What an item is counted in. */
export const ITEM_UNITS = ['each', 'm'] as const;
export type ItemUnit = (typeof ITEM_UNITS)[number];
export const ITEM_UNIT_WORDS: Readonly<Record<ItemUnit, string>> = { each: 'each', m: 'm' };

/** Roles that prices may be kept from; a supervisor sees them always. */
export const PRICE_ROLES = ['surveyor', 'office'] as const;
export type PriceRole = (typeof PRICE_ROLES)[number];

/** Dearest amount anything may have: ten million pounds. */
const MOST_PENCE = 1_000_000_000;

/** An item of the firm’s price list from a day on. Several of one id are its prices over time; the newest that has begun counts. */
export class PriceItem {
  /** The item itself: the lines of a survey name it so. */
  @Id() id: string;
  @RequiredText(120, 'a name') name: string;
  @IsIn([...ITEM_UNITS], { message: `one of ${ITEM_UNITS.join(', ')}` }) unit: ItemUnit;
  @Text(60) supplier?: string;
  @Text(60) supplierCode?: string;
  /** What one unit costs the firm, without tax. */
  @Count(0, MOST_PENCE) buyPence?: number;
  @Quantity('%', 0, 1000) markUpPercent?: number;
  /** The class of tax it is sold under; left out, the usual one. */
  @Text(40) taxClass?: string;
  /** Bought in so many: a drum of 50 m, a box of 100. */
  @Quantity('', 0.01, 100000) soldIn?: number;
  /** Left out, from ever. */
  @Day() validFrom?: string;
}

/** Hours for one word of a task where it is not the task’s own: a metre in stone, a wall of concrete. */
export class RateBy {
  @Id() id: string;
  @Quantity('h', 0, 1000) hours?: number;
}

/** How long one unit of a task takes the firm. */
export class WorkRate {
  @IsIn([...TASKS], { message: `one of ${TASKS.join(', ')}` }) task: Task;
  @Quantity('h', 0, 1000) hours?: number;
  /** People it takes at once: each counts. */
  @Count(1, 6) people?: number;
  @ListOf(() => RateBy, 20) by?: RateBy[];
}

/** Tax of a class between two days; the last day counts. */
export class TaxRate {
  @Id() taxClass: string;
  @RequiredText(60, 'a name') name: string;
  @Quantity('%', 0, 100) percent: number;
  @Day() from?: string;
  @Day() to?: string;
}

/** What the operator charges for what an option asks of it: paid to the operator, and no part of the firm’s sum. */
export class OperatorCharge {
  @IsIn([...OPTION_KINDS], { message: `one of ${OPTION_KINDS.join(', ')}` }) option: OptionKind;
  @Count(0, MOST_PENCE) pence?: number;
}

/** How much of an item is in the van. */
export class VanStock {
  @Id() id: string;
  @Quantity('', 0, 100000) quantity?: number;
}

/** What the firm sets once for every price. */
export class PriceTerms {
  /** An hour of one person as sold, and as it costs. */
  @Count(0, 1_000_000) hourPence?: number;
  @Count(0, 1_000_000) hourCostPence?: number;
  /** Cable that is cut off and thrown away. */
  @Quantity('%', 0, 100) wastePercent?: number;
  /** Cable at each end, inside what it enters. */
  @Quantity('m', 0, 10) endM?: number;
  /** Work above this height takes so many times as long. */
  @Quantity('m', 0.5, 30) highFromM?: number;
  @Quantity('', 1, 10) highFactor?: number;
  /** How long a quotation stands. */
  @Count(1, 365) validDays?: number;
  /** The class of tax of whatever names none. */
  @Text(40) taxClass?: string;
  @SomeOf(PRICE_ROLES) hiddenFrom?: PriceRole[];
  /** Offered beneath every quotation. */
  @Text(2000) conditions?: string;
  /** Jobs from which a rate is suggested from what was worked. */
  @Count(3, 1000) learnFrom?: number;
  /** The whole list is the starter’s, and no price of the firm’s own yet. */
  @YesNo() starter?: boolean;
  @OneOf(['plain', 'lines']) detail?: 'plain' | 'lines';
}

/** A firm’s prices: items, hours, tax, operator’s charges and terms, as one document. */
export class PriceBook {
  @ListOf(() => PriceItem, 3000) items: PriceItem[] = [];
  @ListOf(() => WorkRate, TASKS.length) rates: WorkRate[] = [];
  @ListOf(() => TaxRate, 60) taxes: TaxRate[] = [];
  @ListOf(() => OperatorCharge, OPTION_KINDS.length) charges: OperatorCharge[] = [];
  @ListOf(() => VanStock, 1000) van: VanStock[] = [];
  @Part(() => PriceTerms) terms: PriceTerms = new PriceTerms();
}
