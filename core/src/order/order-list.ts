/** What to buy over several jobs: by supplier, in what it is sold in, without what is in the van. */
import { HAIR } from '../rules/rounding';
import type { StandingLine } from '../materials/edited';
import { times, type Pence } from '../money/pence';
import type { Prices } from '../price/at-day';
import type { VanStock } from '../price/price-book';

/** The lines of one job that are to be bought. */
export interface JobLines {
  readonly jobId: string;
  readonly name: string;
  readonly lines: readonly StandingLine[];
  /** Items ticked as loaded already, in the ids of the crew sheet. */
  readonly loaded: ReadonlySet<string>;
}

export interface OrderRow {
  readonly item: string;
  readonly name: string;
  readonly unit: string;
  readonly supplierCode: string;
  readonly need: number;
  readonly inVan: number;
  /** Rounded up to what it is sold in. */
  readonly buy: number;
  readonly soldIn: number | null;
  readonly pence: Pence | null;
  readonly jobs: readonly string[];
}

export interface OrderList {
  readonly suppliers: readonly {
    readonly supplier: string;
    readonly rows: readonly OrderRow[];
    readonly pence: Pence;
  }[];
  /** Lines that name no item, which somebody has to think of. */
  readonly open: readonly { readonly job: string; readonly text: string }[];
}

/** How much of an item one job takes; of several lines of one item their sum. */
export function orderList(jobs: readonly JobLines[], van: readonly VanStock[], prices: Prices): OrderList {
  const stock = new Map(van.map(({ id, quantity }) => [id, quantity ?? 0]));
  const needs = new Map<string, { need: number; text: string; unit: string; jobs: Set<string> }>();
  const open: { job: string; text: string }[] = [];
  for (const { name, lines, loaded } of jobs)
    for (const { line, isStruck } of lines) {
      if (isStruck || line.kind !== 'material') continue;
      if (line.item === null || line.quantity === null) {
        open.push({ job: name, text: line.gap === undefined ? line.text : `${line.text}: ${line.gap}` });
        continue;
      }
      if (loaded.has(line.item)) continue;
      const had = needs.get(line.item) ?? { need: 0, text: line.text, unit: line.unit, jobs: new Set<string>() };
      had.need += line.quantity;
      had.jobs.add(name);
      needs.set(line.item, had);
    }
  const bySupplier = new Map<string, OrderRow[]>();
  for (const [item, { need, text, unit, jobs: of }] of needs) {
    const found = prices.item(item);
    const inVan = Math.min(need, stock.get(item) ?? 0);
    const rest = need - inVan;
    if (rest <= HAIR) continue;
    const soldIn = found?.soldIn ?? null;
    const lot = soldIn ?? 1;
    const buy = Math.ceil(rest / lot - HAIR) * lot;
    const supplier = found?.supplier ?? '';
    bySupplier.set(supplier, [
      ...(bySupplier.get(supplier) ?? []),
      {
        item,
        name: found?.name ?? text,
        unit,
        supplierCode: found?.supplierCode ?? '',
        need,
        inVan,
        buy,
        soldIn,
        pence: found?.buyPence === undefined ? null : times(buy, found.buyPence),
        jobs: [...of],
      },
    ]);
  }
  return {
    suppliers: [...bySupplier]
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([supplier, rows]) => ({
        supplier,
        rows: rows.sort((a, b) => a.name.localeCompare(b.name)),
        pence: rows.reduce((sum, { pence }) => sum + (pence ?? 0), 0),
      })),
    open,
  };
}
