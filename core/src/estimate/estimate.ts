/** What lines come to: each line priced, hours by task, tax by class, and the sum; every figure with its working. */
import { fixed } from '../rules/rounding';
import type { StandingLine } from '../materials/edited';
import type { Line, MaterialLine, WorkLine } from '../materials/line';
import { marked, money, pence, pounds, share, times, total, type Money, type Pence } from '../money/pence';
import type { Prices } from '../price/at-day';
import { TASK_WORDS, type Task } from '../price/tasks';

/** A line with its price, or why it has none. */
export interface PricedLine {
  readonly standing: StandingLine;
  readonly line: Line;
  /** What the customer pays for it, without tax; null where it cannot be said. */
  readonly price: Money | null;
  readonly costPence: Pence | null;
  readonly taxClass: string;
  /** Hours of everybody on it added up; of work only. */
  readonly hours: number | null;
  /** Why it has no price. */
  readonly why: string | null;
}

/** Tax of one class on what is sold under it. */
export interface TaxLine {
  readonly taxClass: string;
  readonly name: string;
  readonly percent: number | null;
  readonly net: Money;
  /** Null where no rate of the class holds on that day. */
  readonly tax: Money | null;
}

export interface Estimate {
  readonly day: string;
  readonly lines: readonly PricedLine[];
  readonly materials: Money;
  readonly work: Money;
  readonly net: Money;
  readonly taxes: readonly TaxLine[];
  readonly tax: Money;
  readonly total: Money;
  readonly costPence: Pence;
  readonly hours: number;
  readonly hoursByTask: Readonly<Partial<Record<Task, number>>>;
  /** Lines that stand without a price: while there is any, the sum is only what the rest comes to. */
  readonly unpriced: readonly PricedLine[];
  readonly isComplete: boolean;
}

/**
 * An estimate on a day. Each line is rounded once, to the penny; tax once for each class, on what is sold under it; sums add whole pence, so that
 * parts add up. A line without a price is left out of the sum and told.
 */
export function estimateOf(lines: readonly StandingLine[], prices: Prices): Estimate {
  const priced = lines.map((standing) => pricedLine(standing, prices));
  const standing = priced.filter((each) => !each.standing.isStruck);
  const known = standing.flatMap((each) => (each.price === null ? [] : [{ ...each, price: each.price }]));
  const of = (kind: Line['kind']): Money[] => known.filter(({ line }) => line.kind === kind).map(({ price }) => price);
  const materials = total('Materials', of('material'));
  const work = total('Work', of('work'));
  const net = total('Without tax', [materials, work]);
  const taxes = [...new Set(known.map(({ taxClass }) => taxClass))].map((taxClass) =>
    taxLine(
      taxClass,
      known.filter((each) => each.taxClass === taxClass).map(({ price }) => price),
      prices,
    ),
  );
  const tax = total(
    'Tax',
    taxes.flatMap((each) => each.tax ?? []),
  );
  const unpriced = standing.filter(({ price }) => price === null);
  return {
    day: prices.day,
    lines: priced,
    materials,
    work,
    net,
    taxes,
    tax,
    total: total('To pay', [net, tax]),
    costPence: known.reduce((sum, { costPence }) => sum + (costPence ?? 0), 0),
    hours: known.reduce((sum, { hours }) => sum + (hours ?? 0), 0),
    hoursByTask: hoursByTask(known),
    unpriced,
    isComplete: unpriced.length === 0 && taxes.every((each) => each.tax !== null),
  };
}

function hoursByTask(lines: readonly PricedLine[]): Partial<Record<Task, number>> {
  const found: Partial<Record<Task, number>> = {};
  for (const { line, hours } of lines)
    if (line.kind === 'work' && hours !== null) found[line.task] = (found[line.task] ?? 0) + hours;
  return found;
}

function taxLine(taxClass: string, parts: readonly Money[], prices: Prices): TaxLine {
  const rate = prices.tax(taxClass);
  const name = rate?.name ?? taxClass;
  const net = total(`Sold under ${name}`, parts);
  if (rate === null) return { taxClass, name, percent: null, net, tax: null };
  const { percent } = rate;
  const amount = share(net.pence, percent);
  const tax = money(
    name,
    amount,
    () => ({
      expression: 'what is sold under it × rate, to the penny',
      substituted: `${pounds(net.pence)} × ${percent} % = ${pounds(amount)}`,
      source:
        `rate ${rate.from === undefined ? '' : `from ${rate.from}`}${rate.to === undefined ? '' : ` to ${rate.to}`}`.trim(),
    }),
    [net],
  );
  return { taxClass, name, percent, net, tax };
}

function pricedLine(standing: StandingLine, prices: Prices): PricedLine {
  const { line } = standing;
  const usual = prices.terms.taxClass;
  const none = (why: string, taxClass = usual): PricedLine => ({
    standing,
    line,
    price: null,
    costPence: null,
    taxClass,
    hours: null,
    why,
  });
  if (line.gap !== undefined) return none(`Not priced: ${line.gap}.`);
  if (line.quantity === null) return none('Not priced: how much is not known.');
  return line.kind === 'work' ? workPrice(standing, line, prices, none) : materialPrice(standing, line, prices, none);
}

type None = (why: string, taxClass?: string) => PricedLine;

function materialPrice(standing: StandingLine, line: MaterialLine, prices: Prices, none: None): PricedLine {
  const quantity = line.quantity ?? 0;
  if (line.item === null) return none('Not priced: no item of the list.');
  const found = prices.item(line.item);
  const taxClass = found?.taxClass ?? prices.terms.taxClass;
  if (found?.buyPence === undefined) return none('Not priced: no price in the list.', taxClass);
  const { buyPence, markUpPercent = 0 } = found;
  const amount = pence(quantity * marked(buyPence, markUpPercent));
  return {
    standing,
    line,
    price: money(line.text, amount, () => ({
      expression: 'quantity × buying price × (100 % + mark-up), to the penny',
      substituted: `${quantity} × ${pounds(buyPence)} × ${100 + markUpPercent} % = ${pounds(amount)}`,
      source: `price list, ${found.name}${found.validFrom === undefined ? '' : `, from ${found.validFrom}`}`,
    })),
    costPence: times(quantity, buyPence),
    taxClass,
    hours: null,
    why: null,
  };
}

/** Hours of one unit of a task, by the word of the line where the rate has one, of everybody it takes. */
function hoursEach({ task, by, heightM }: WorkLine, prices: Prices): { hours: number; words: string } | null {
  const rate = prices.rate(task);
  if (rate?.hours === undefined) return null;
  const own = by === undefined ? undefined : rate.by?.find(({ id }) => id === by)?.hours;
  const people = rate.people ?? 1;
  const { highFromM, highFactor } = prices.terms;
  const isHigh = heightM !== undefined && heightM > highFromM;
  const hours = (own ?? rate.hours) * people * (isHigh ? highFactor : 1);
  const words = [
    `${own ?? rate.hours} h${own === undefined ? '' : ` in ${by ?? ''}`}`,
    people > 1 ? `${people} people` : '',
    isHigh ? `${highFactor} above ${highFromM} m` : '',
  ];
  return { hours, words: words.filter(Boolean).join(' × ') };
}

function workPrice(standing: StandingLine, line: WorkLine, prices: Prices, none: None): PricedLine {
  const quantity = line.quantity ?? 0;
  const each = line.hours === undefined ? hoursEach(line, prices) : { hours: line.hours, words: 'typed' };
  if (each === null) return none(`Not priced: no hours for “${TASK_WORDS[line.task].name}”.`);
  const { hourPence, hourCostPence, taxClass } = prices.terms;
  const hours = quantity * each.hours;
  const amount = times(hours, hourPence);
  return {
    standing,
    line,
    price: money(line.text, amount, () => ({
      expression: 'quantity × hours × price of an hour, to the penny',
      substituted: `${fixed(quantity, 2)} × ${fixed(each.hours, 3)} h (${each.words}) × ${pounds(hourPence)} = ${pounds(amount)}`,
      source: 'the firm’s work rates',
    })),
    costPence: times(hours, hourCostPence),
    taxClass,
    hours,
    why: null,
  };
}
